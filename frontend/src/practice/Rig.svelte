<script lang="ts">
  /** The engine of a lesson, beside its card: turned, felt and taken apart by hand. */
  import { untrack } from "svelte";
  import { Button, Notice } from "../kit";
  import type { Job } from "../card/job.svelte";
  import { STAGES } from "../card/registry";
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
  /** What is left of the lesson, stage by stage, to the one that it ends with. */
  const left = $derived.by(() => {
    const lesson = rig.rig?.lesson;
    if (!lesson || !job.card) return [];
    const at = (stage: string): number => STAGES.findIndex((one) => one.stage === stage);
    return job.card.todo
      .filter(({ stage }) => at(stage) >= at(lesson.begins) && at(stage) <= at(lesson.until))
      .map(({ stage, asks, waiting }) => ({
        name: STAGES[at(stage)]?.name ?? "",
        open: waiting.length,
        all: asks.length,
      }))
      .filter((one) => one.open > 0);
  });
  let ending = $state(false);
  function end(): void {
    if (left.length && !ending) ending = true;
    else route.go(`/truth/${job.id}`);
  }
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
        <p class="leading-5"><b>{rig.rig.lesson.title}.</b> {rig.rig.lesson.does}</p>
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
            {rig.rig.lesson.does}
          </p>
          <p class="figures text-note" role="status">
            {left.length
              ? `Left: ${left.map((one) => `${one.name} ${one.open} of ${one.all}`).join(", ")}.`
              : "Nothing is left: end the lesson and see the truth."}
          </p>
        {/if}
        <p class="min-h-10 leading-5" role="status" aria-live="polite">
          {#if rig.told}<b>{rig.told.word}.</b> {rig.told.sentence}{/if}
        </p>
        {#if rig.refusal}<Notice>{rig.refusal.sentence}</Notice>{/if}
        <div class="border-line mt-2 border-t pt-2">
          {#if ending && left.length}
            <p class="pb-1 leading-5">
              Not all is written down. Afterwards the engine answers no more.
            </p>
            <div class="flex gap-2">
              <Button onclick={end}>End it all the same</Button>
              <Button kind="now" onclick={() => (ending = false)}>Go on</Button>
            </div>
          {:else}
            <Button kind={left.length ? "plain" : "now"} onclick={end}
              >End the lesson, see the truth</Button
            >
          {/if}
        </div>
      </div>
    {/if}
  {:else if rig.refusal}
    <Notice>{rig.refusal.sentence}</Notice>
  {:else}
    <p class="text-soft">Fetching the engine…</p>
  {/if}
</section>
