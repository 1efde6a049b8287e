<script lang="ts">
  /** The record's own copies: how old the last one is, one more now, one put back. */
  import { type Refusal, answer, api } from "../../api/client";
  import { Button, Dialog, Notice } from "../../kit";
  import { copiesState } from "./copies.svelte";

  void copiesState.load();

  const SHOWN = 6;
  let all = $state(false);
  let wanted = $state<string | null>(null);
  let confirming = $state(false);
  const chosen = $derived(copiesState.copies.find((one) => one.name === wanted));
  const lines = $derived(all ? copiesState.copies : copiesState.copies.slice(0, SHOWN));

  async function putBack(): Promise<void> {
    if (!wanted) return;
    try {
      await answer(api.POST("/api/copies/put-back", { body: { name: wanted } }));
      location.assign("/"); // every page that is open shows another record now
    } catch (error) {
      copiesState.said = (error as Refusal).sentence;
      confirming = false;
    }
  }
</script>

<section aria-labelledby="copies" class="border-ink mt-8 border-t-2 pt-2">
  <div class="flex flex-wrap items-center justify-between gap-3">
    <h2 id="copies" class="text-lg">Copies of the record</h2>
    <Button onclick={() => void copiesState.make()} disabled={copiesState.busy}>Make one now</Button
    >
  </div>
  {#if copiesState.copies[0]}
    <p class={copiesState.isOld ? "text-tight font-[560]" : ""}>
      The last one is {copiesState.age(copiesState.copies[0])}.
      {#if copiesState.isOld}While Plimb is served it makes one each day: make one now, and look
        whether the disk is full.{/if}
    </p>
  {:else if copiesState.loaded}
    <p>There is none yet. While Plimb is served it makes one each day.</p>
  {/if}
  <p class="text-soft text-note leading-5">
    They lie beside the record. A disk that breaks takes both: copy the newest onto a stick now and
    then.
  </p>
  <div class="mt-2 grid grid-cols-2 gap-8 max-md:grid-cols-1">
    <div>
      <ul class="border-line border-t">
        {#each lines as one (one.name)}
          <li class="border-line flex min-h-11 items-center gap-3 border-b">
            <span class="figures min-w-0 flex-1 truncate">{copiesState.called(one)}</span>
            <span class="text-soft figures text-note">{copiesState.size(one)}</span>
            <Button
              kind="bare"
              aria-label="Put back the copy {copiesState.called(one)}"
              onclick={() => {
                wanted = one.name;
                confirming = true;
              }}>Put back</Button
            >
          </li>
        {/each}
      </ul>
      {#if copiesState.copies.length > SHOWN && !all}
        <Button kind="bare" onclick={() => (all = true)}>All {copiesState.copies.length}</Button>
      {/if}
    </div>
  </div>
  {#if copiesState.said}<p class="pt-2" role="status">{copiesState.said}</p>{/if}
</section>

<Dialog
  bind:open={confirming}
  title="Put this copy back?"
  says="The record as it is now is laid aside beside it, and nothing of it is lost."
>
  <Notice kind="edge">
    Everything written since {chosen ? copiesState.called(chosen) : "then"} is gone from every screen:
    cards, readings, shims moved.
  </Notice>
  <div class="mt-4 flex flex-wrap gap-2">
    <Button kind="now" onclick={() => void putBack()}>Put it back</Button>
    <Button onclick={() => (confirming = false)}>Leave all as it is</Button>
  </div>
</Dialog>
