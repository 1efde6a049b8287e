<script lang="ts">
  /** The whole cycle below the head, to turn through; what is only assumed is shown when asked. */
  import { Button } from "../../kit";
  import type { Job } from "../../card/job.svelte";
  import { Cycle } from "../../trade";

  let { job }: { job: Job } = $props();

  const turning = $derived(job.card?.turning);
  /** The maker's own table needs no picture that is worked out from a timing nobody entered. */
  const second = $derived(turning ? turning.assumed && !turning.computed : false);
  let shown = $state(false);
</script>

{#if turning?.lanes.length}
  {#if second && !shown}
    <div class="border-line flex items-center gap-3 border-t p-2 max-md:hidden">
      <Button onclick={() => (shown = true)}>Show the cycle, from an assumed timing</Button>
      <span class="text-soft text-note">The marks come first.</span>
    </div>
  {:else}
    <div class="border-line h-[46%] min-h-40 border-t max-md:h-[45%]">
      <Cycle {turning} crank={job.crank} lit={job.lit} onturn={(to) => job.turnThrough(to)} />
    </div>
  {/if}
{/if}
