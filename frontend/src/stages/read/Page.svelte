<script lang="ts">
  /** Read: the shim that came out of each valve, by its marking and by micrometer. */
  import type { CardState } from "../card.svelte";
  import Entry from "../Entry.svelte";
  import InHand from "../InHand.svelte";
  import NextStage from "../NextStage.svelte";

  let { job }: { job: CardState } = $props();
</script>

{#if job.valve && job.card}
  <InHand
    valve={job.valve}
    gap={job.valve.found?.gap ?? null}
    verdict={job.valve.verdict}
    scale={false}
    note={job.valve.piece ? job.valve.piece.words : job.valve.reason}
  />
  {#if job.valve.piece?.disagrees}
    <p class="border-tight text-tight border-l-4 pl-3 font-[560]">
      Marking and micrometer disagree. The sum uses the micrometer; zero it and measure again if in
      doubt.
    </p>
  {/if}
  <Entry
    {job}
    what="Shim that is in"
    hint="290 is the marking. 2.897 is measured. 290 2.897 gives both."
  />
  <p class="text-soft text-[15px] leading-5 max-sm:hidden">
    One bucket at a time, each kept with its own place. Mark or tie chain and sprockets, and take
    the tensioner out, before any cam cap is slackened.
  </p>
  <NextStage card={job.card} stage="read" />
{/if}
