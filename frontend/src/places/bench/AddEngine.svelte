<script lang="ts">
  /** Take an engine file into the shop. */
  import { type Refusal, answer, api } from "../../api/client";
  import { Button, Dialog, Field, Form } from "../../kit";
  import { shopState } from "../../state/shop.svelte";

  let { open = $bindable(false) }: { open?: boolean } = $props();

  let label = $state("");
  let note = $state("");
  let files = $state<FileList>();
  let refusal = $state<Refusal | null>(null);

  async function submit(): Promise<void> {
    try {
      const document = (await files?.[0]?.text()) ?? "";
      await answer(api.POST("/api/engines", { body: { label, note, document } }));
      open = false;
      [label, note, refusal] = ["", "", null];
      await shopState.load();
    } catch (error) {
      refusal = error as Refusal;
    }
  }
</script>

<Dialog bind:open title="Add an engine" says="From an engine file, described in docs/formats.">
  <Form onsend={submit} {refusal}>
    <Field label="Name of this machine" bind:value={label} at="label" />
    <Field label="Note" bind:value={note} />
    <label class="block">
      <span class="text-soft">Engine file (.json)</span>
      <input class="field" type="file" accept=".json,application/json" bind:files />
    </label>
    {#snippet foot()}
      <Button kind="now" type="submit" class="min-h-12 text-lg">Add the engine</Button>
    {/snippet}
  </Form>
</Dialog>
