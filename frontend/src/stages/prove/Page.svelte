<script lang="ts">
  /** Prove: turned by hand, measured again; what was expected shows once the reading is in. */
  import type { CardState } from "../card.svelte";
  import Entry from "../Entry.svelte";
  import InHand from "../InHand.svelte";
  import NextStage from "../NextStage.svelte";
  import { preferences } from "../../kit/preferences.svelte";

  let { job }: { job: CardState } = $props();

  const note = $derived.by(() => {
    const valve = job.valve;
    if (!valve?.proof) return "Turn the crank by hand, two full turns at least, then measure.";
    if (valve.was) {
      const was = preferences.read(valve.was);
      return valve.was.nm < 0
        ? `Worked back: it was held open by ${was.replace("−", "")} ${preferences.unitName}.`
        : `Worked back: the gap was ${was} ${preferences.unitName}.`;
    }
    if (!valve.predicted || !valve.residual) return valve.reason;
    const off = preferences.read(valve.residual);
    return `Expected ${preferences.read(valve.predicted)}, came out ${preferences.read(valve.proof.gap)}: ${
      valve.residual.nm === 0 ? "as worked out" : `off by ${off}`
    }.`;
  });
</script>

{#if job.valve && job.card}
  <InHand
    valve={job.valve}
    gap={job.valve.proof?.gap ?? null}
    verdict={job.valve.proof_verdict}
    {note}
  />
  <Entry {job} what="Gap after fitting" hint="Measure as before. What was expected shows after." />
  {#if job.valve.proof_verdict && job.valve.proof_verdict !== "in"}
    <p class="border-tight text-tight border-l-4 pl-3 font-[560]">
      Not in spec. Check that the shim sits flat and the cam is at its mark before believing it.
    </p>
  {/if}
  <NextStage card={job.card} stage="prove" />
{/if}
