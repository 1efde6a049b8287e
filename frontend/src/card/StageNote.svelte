<script lang="ts">
  /** Notes at a stage: what is to be known on this card, and what the engine keeps for the next. */
  import { act } from "../api/acts";
  import { Button, Details } from "../kit";
  import { Draft } from "../state/draft.svelte";
  import type { Job } from "./job.svelte";

  let { job }: { job: Job } = $props();

  const stage = $derived(job.stage);
  const here = $derived(job.card?.notes[stage] ?? "");
  const always = $derived(job.card?.machine.notes[stage] ?? "");
  const note = $derived(job.outbox.field(stage, "note", () => here));
  const next = new Draft(() => always);

  async function save(): Promise<void> {
    const text = note.value;
    const done = await job.act(act("note", { stage, text }));
    if (done && note.value === text) job.outbox.forget(stage, "note");
  }
  async function keep(): Promise<void> {
    await next.save((text) => job.act(act("engine-note", { stage, text })));
  }
</script>

<Details class="no-print border-line border-t pt-1.5" open={always !== "" || here !== ""}>
  <summary class="flex min-h-9 items-baseline justify-between font-[560]">
    Notes here <span class="text-soft text-note">{here || always ? "written" : "none"}</span>
  </summary>
  {#if always}
    <p class="border-now border-l-4 pb-1 pl-2 leading-5">
      <span class="text-soft text-note">From the engine</span> <br />{always}
    </p>
  {/if}
  {#if job.signed}
    <p class="leading-5">{here}</p>
  {:else}
    <label class="block pt-1">
      <span class="text-soft text-note">On this card</span>
      <textarea class="field min-h-16" bind:value={note.value}></textarea>
    </label>
    <div class="flex flex-wrap gap-2 pt-1">
      <Button disabled={note.value === here} onclick={save}>Write the note</Button>
    </div>
    <label class="block pt-2">
      <span class="text-soft text-note">With the engine, for every later card</span>
      <textarea class="field min-h-12" bind:value={next.value}></textarea>
    </label>
    <Button class="mt-1" disabled={!next.changed} onclick={keep}>Keep with the engine</Button>
  {/if}
</Details>
