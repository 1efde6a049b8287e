<script lang="ts">
  /** Pieces in the hand: taken out, measured, put in; a new one from the counter. */
  import { Button } from "../kit";
  import type { Job } from "../card/job.svelte";
  import type { RigState } from "./rig.svelte";
  import Caps from "./Caps.svelte";
  import Thimble from "./Thimble.svelte";

  let { rig, job, valve }: { rig: RigState; job: Job; valve: string } = $props();

  const at = $derived(rig.rig);
  const empty = $derived(at?.empty.includes(valve) ?? false);
  /** Its camshaft lies over it. */
  const covered = $derived(at?.caps?.off === false);
  const own = $derived(at?.out.includes(valve) ?? false);
  const fresh = $derived(at?.new.includes(valve) ?? false);
  const step = $derived(job.card?.fit.find((one) => one.valve === valve));
  const giver = $derived(step?.source === "engine" ? step.from_valve : null);
  const theirs = $derived(giver ? (at?.out.includes(giver) ?? false) : false);
</script>

<Caps {rig} {job} />
{#if !(covered && job.stage === "fit")}
  <div class="flex flex-wrap gap-1">
    <Button class="px-2" onclick={() => void rig.do("close", null)}>Close it on nothing</Button>
    {#if !empty && !covered}
      <Button kind="now" class="px-2" onclick={() => void rig.do("out", valve)}>Take it out</Button>
    {/if}
    {#if own}
      <Button kind="now" class="px-2" onclick={() => void rig.do("close", valve)}>Measure it</Button
      >
      <Button class="px-2" onclick={() => void rig.do("slide", valve)}>With a calliper</Button>
      <Button class="px-2" onclick={() => void rig.do("in", valve, "own")}>Put it back</Button>
    {/if}
    {#if step?.source === "counter" && empty && !fresh}
      <Button class="px-2" onclick={() => void rig.do("new", valve, step.thickness.nm)}
        >Get a new {step.thickness.mm}</Button
      >
    {/if}
    {#if fresh}
      <Button class="px-2" onclick={() => void rig.do("close", valve, true)}
        >Measure the new one</Button
      >
      <Button class="px-2" onclick={() => void rig.do("new", valve, step?.thickness.nm ?? 0)}
        >Another of that size</Button
      >
      {#if empty}
        <Button kind="now" class="px-2" onclick={() => void rig.do("in", valve, "new")}
          >Put the new one in</Button
        >
      {/if}
    {/if}
    {#if empty && step?.source === "drawer"}
      <Button
        kind="now"
        class="px-2"
        onclick={() => void rig.do("in", valve, "tray", step.thickness.nm)}
        >Put in the {step.thickness.mm} off the tray</Button
      >
    {/if}
    {#if empty && giver && theirs}
      <Button kind="now" class="px-2" onclick={() => void rig.do("in", valve, "valve", giver)}
        >Put in the one of {giver}</Button
      >
    {/if}
  </div>
{/if}
{#if rig.told?.shown && rig.told.word === "slid"}
  <p class="figures text-2xl" role="img" aria-label="The calliper shows {rig.told.shown.mm}">
    {rig.told.shown.mm} <span class="text-soft text-base">mm, on the calliper</span>
  </p>
{:else if rig.told?.shown}<Thimble shown={rig.told.shown} />{/if}
