<script lang="ts">
  /** Where to turn to before the valve in hand is measured; said until something is measured there. */
  import type { Valve } from "../api/client";
  import type { Job } from "./job.svelte";
  import { placeOf } from "./place";

  let { job, measured }: { job: Job; measured: (valve: Valve) => boolean } = $props();

  const stop = $derived(job.valve ? job.card?.turning.stops[job.valve.stop] : undefined);
  /** Those that are measured here in this stage, of all that are at rest. */
  const here = $derived(stop?.valves.filter((name) => job.todo?.asks.includes(name)) ?? []);
  const first = $derived(
    here.every((name) => {
      const valve = job.valves.get(name);
      return !valve || !measured(valve);
    }),
  );
</script>

{#if stop && here.length && first && job.card?.only_valve == null && !job.signed && job.valve}
  <p class="border-now border-l-4 pl-3 leading-5">
    <b>Turn to position {job.valve.stop + 1} first: {placeOf(stop)}.</b>
    {#if stop.cue}{stop.cue}.{/if}
    Then measure {here.join(", ")}.
  </p>
{/if}
