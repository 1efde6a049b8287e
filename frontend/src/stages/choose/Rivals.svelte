<script lang="ts">
  /** Why not another piece: what the whole engine would come to with it. */
  import { untrack } from "svelte";
  import type { PlanState } from "../../card/plan.svelte";

  let { planned, valve }: { planned: PlanState; valve: string } = $props();

  const asked = $derived(planned.question(valve));
  $effect(() => {
    const question = asked;
    untrack(() => void planned.askRivals(valve, question));
  });
  const rivals = $derived(planned.rivals.get(asked) ?? []);
</script>

{#if rivals.length}
  <section aria-labelledby="rivals" class="border-line border-t pt-1.5">
    <h3 id="rivals" class="min-h-8 font-[560]">Why not another one?</h3>
    <ul class="flex flex-col gap-1 text-note leading-5">
      {#each rivals as rival (rival.words)}<li>{rival.words}</li>{/each}
    </ul>
  </section>
{/if}
