<script lang="ts">
  /** Take an engine file into the shop. */
  import { type Refusal, answer, api } from "../../api/client";
  import Button from "../../kit/Button.svelte";
  import Dialog from "../../kit/Dialog.svelte";
  import { shopState } from "../../state/shop.svelte";

  let { open = $bindable(false) }: { open?: boolean } = $props();

  let label = $state("");
  let note = $state("");
  let files = $state<FileList>();
  let refusal = $state<Refusal | null>(null);

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
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
  <form class="flex flex-col gap-3" onsubmit={submit}>
    <label class="block">
      <span class="text-soft">What the shop calls it</span>
      <input class="field" bind:value={label} aria-invalid={refusal?.field === "label"} />
    </label>
    <label class="block">
      <span class="text-soft">Note</span>
      <input class="field" bind:value={note} />
    </label>
    <label class="block">
      <span class="text-soft">Engine file (.json)</span>
      <input class="field" type="file" accept=".json,application/json" bind:files />
    </label>
    {#if refusal}<p class="text-tight font-[560]" role="alert">{refusal.sentence}</p>{/if}
    <Button kind="now" type="submit" class="min-h-12 text-lg">Add the engine</Button>
  </form>
</Dialog>
