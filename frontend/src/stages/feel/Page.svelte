<script lang="ts">
  /** Feel: each gap as found, judged as it comes. */
  import type { CardState } from "../card.svelte";
  import Entry from "../Entry.svelte";
  import InHand from "../InHand.svelte";
  import NextStage from "../NextStage.svelte";
  import { preferences } from "../../kit/preferences.svelte";

  let { job }: { job: CardState } = $props();

  const hint = $derived(
    preferences.unit === "mm"
      ? "15 is 0.15 with light drag. 13-15: goes, refuses. x: nothing goes."
      : "6 is 6 thou with light drag. 6-7: goes, refuses. x: nothing goes.",
  );
</script>

{#if job.valve && job.card}
  <InHand
    valve={job.valve}
    gap={job.valve.found?.gap ?? null}
    verdict={job.valve.verdict}
    note={job.valve.found
      ? `${preferences.unit === "mm" ? job.valve.found.mm : job.valve.found.thou}; ${job.valve.reason}`
      : "Both lobes of this cylinder point away from their buckets."}
  />
  <Entry {job} what="Gap" {hint} />
  <NextStage card={job.card} stage="feel" />
{/if}
