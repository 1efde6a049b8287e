<script lang="ts">
  /** The engine of a lesson, beside its card: turned, felt and taken apart by hand. */
  import { untrack } from "svelte";
  import { Button, Notice } from "../kit";
  import type { Job } from "../card/job.svelte";
  import { route } from "../state/route.svelte";
  import Blades from "./Blades.svelte";
  import Crank from "./Crank.svelte";
  import Pieces from "./Pieces.svelte";
  import { RigState } from "./rig.svelte";

  let { job, wide }: { job: Job; wide: boolean } = $props();

  const rig = new RigState(untrack(() => job.id));
  void rig.load();

  const felt = $derived(["turn", "feel", "prove"].includes(job.stage));
  const handled = $derived(["read", "fit"].includes(job.stage));
  const turning = $derived(job.card?.turning ?? null);
  $effect(() => {
    const to = rig.crank;
    untrack(() => job.turnThrough(to));
  });
</script>

<section
  class="border-now {wide
    ? 'grid shrink-0 grid-cols-[19rem_minmax(0,1fr)_17rem] items-start gap-5 border-t-2 p-3'
    : 'flex flex-col gap-2 border-2 p-2'}"
  aria-label="The engine you practise on"
  data-rig
>
  {#if rig.rig}
    {#if rig.rig.finished}
      <p>The truth is out.</p>
      <Button kind="now" onclick={() => route.go(`/truth/${job.id}`)}>See it again</Button>
    {:else}
      {#if felt && turning?.lanes.length}
        <Crank {rig} {turning} valve={job.inHand} />
      {:else if felt && job.inHand}
        <Button onclick={() => void rig.do("lobe", job.inHand)}
          >Set the lobe of {job.inHand} away</Button
        >
      {:else if wide}
        <p class="leading-5"><b>{rig.rig.lesson.title}.</b> {rig.rig.lesson.point}</p>
      {/if}
      <div class="flex min-w-0 flex-col gap-2">
        {#if felt && job.stage !== "turn" && job.card?.blade_set && job.inHand}
          <Blades {rig} blades={job.card.blade_set} valve={job.inHand} />
        {:else if handled && job.inHand}
          <Pieces {rig} {job} valve={job.inHand} />
        {/if}
      </div>
      <div class="flex min-w-0 flex-col gap-2">
        {#if felt || !wide}
          <p class="leading-5 max-md:line-clamp-2">
            <b>{rig.rig.lesson.title}.</b>
            {rig.rig.lesson.point}
          </p>
        {/if}
        <p class="min-h-10 leading-5" role="status" aria-live="polite">
          {#if rig.told}<b>{rig.told.word}.</b> {rig.told.sentence}{/if}
        </p>
        {#if rig.refusal}<Notice>{rig.refusal.sentence}</Notice>{/if}
        <Button onclick={() => route.go(`/truth/${job.id}`)}>End the lesson, see the truth</Button>
      </div>
    {/if}
  {:else if rig.refusal}
    <Notice>{rig.refusal.sentence}</Notice>
  {:else}
    <p class="text-soft">Fetching the engine…</p>
  {/if}
</section>
