<script lang="ts">
  /** A camshaft that is out for another job: what lifts it and puts it back stands on the lists. */
  import { act } from "../api/acts";
  import { Button, Details } from "../kit";
  import type { Job } from "./job.svelte";
  import { takesApart } from "./registry";

  let { job }: { job: Job } = $props();

  const out = $derived(job.card?.shafts_aside ?? []);
  const shafts = $derived([...new Set((job.card?.valves ?? []).map((one) => one.camshaft))].sort());
</script>

{#if job.card && takesApart(job.card) && (!job.signed || out.length)}
  <Details open={out.length > 0} class="border-line border-t pt-1.5">
    <summary class="min-h-9 font-[560]">A camshaft out for another job?</summary>
    <p class="text-soft text-note leading-5">
      For head bolts or a gasket. Then caps, timing, tensioner and turns stand on the lists at Read
      and Fit.
    </p>
    <div class="flex flex-wrap gap-2 pt-1">
      {#each shafts as camshaft (camshaft)}
        {@const aside = out.includes(camshaft)}
        <Button
          kind={aside ? "now" : "plain"}
          aria-pressed={aside}
          disabled={job.signed}
          onclick={() => void job.act(act("lay-aside", { camshaft, aside: !aside }))}
          >{camshaft}{aside ? " is out" : ""}</Button
        >
      {/each}
    </div>
  </Details>
{/if}
