<script lang="ts">
  /** The whole cycle below the head, to turn through. */
  import type { CardState } from "../../card/card.svelte";
  import Cycle from "./Cycle.svelte";

  let { job }: { job: CardState } = $props();
</script>

{#if job.card}
  <div class="border-line h-[46%] min-h-40 border-t max-md:h-[45%]">
    <Cycle
      turning={job.card.turning}
      crank={job.crank}
      lit={job.lit}
      onturn={(to) => (job.crank = to)}
    />
  </div>
{/if}
