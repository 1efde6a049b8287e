<script lang="ts">
  /** Open a valve that asks for nothing with the others, or leave it shut after all. */
  import { act } from "../api/acts";
  import { Button } from "../kit";
  import type { Job } from "./job.svelte";

  let { job, always = false }: { job: Job; always?: boolean } = $props();

  const valve = $derived(job.valve);
  const only = $derived(job.card?.only_valve ?? null);
  /** It asks for nothing, this kind of job opens valves, and it is worth a thought or asked for. */
  const may = $derived(
    valve != null &&
      !valve.opens &&
      (valve.need === "leave" || (valve.need === "finer" && always)) &&
      (always || valve.in_doubt || valve.near_edge) &&
      job.card?.kind !== "check" &&
      (only === null || only === valve.valve),
  );
  function open(opened: boolean): void {
    if (valve) void job.act(act("open-too", { valve: valve.valve, opened }), valve.valve);
  }
</script>

{#if valve && !job.signed && (valve.opened_too || may)}
  <div class="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
    {#if valve.opened_too}
      <span class="text-note leading-5">Opened with the others, as you want it.</span>
      <Button onclick={() => open(false)}>Leave it shut</Button>
    {:else}
      <span class="text-soft text-note leading-5">In range, so it is left alone.</span>
      <Button onclick={() => open(true)}>Change this one too</Button>
    {/if}
  </div>
{/if}
