<script lang="ts">
  /** What is asked about readings: the reason, and one key for either answer; until answered. */
  import { Button } from "../kit";
  import { preferences } from "../state/preferences.svelte";
  import type { Job } from "./job.svelte";
  import { kindOf } from "./registry";

  let { job }: { job: Job } = $props();

  const SHOWN = 1;
  let all = $state(false);
  /** What is asked of the card as a whole is said once, at the first valve it is about. */
  const rows = $derived.by(() => {
    const said: string[] = [];
    return job.asked.flatMap((valve) => {
      const asked = job.slipsOf(valve).filter((one) => !said.includes(one.sentence));
      said.push(...asked.map((one) => one.sentence));
      return asked.length ? [{ valve, asked }] : [];
    });
  });
  const shown = $derived(all ? rows : rows.slice(0, SHOWN));
</script>

{#if rows.length}
  <div class="border-now bg-wash flex flex-col gap-2 border-l-4 py-2 pr-2 pl-3" role="alert">
    {#each shown as { valve, asked } (valve.valve)}
      {@const suggested = asked.find((one) => one.suggested)?.suggested}
      {@const here = valve.valve === job.inHand}
      {#each asked as question (question.sentence)}
        <p class="leading-5 font-[560]">
          {#if here}<b>{valve.valve}:</b>{:else}<button
              type="button"
              class="min-h-6 font-bold underline underline-offset-4"
              title="Measure {valve.valve} again"
              onclick={() => job.pick(valve.valve)}>{valve.valve}:</button
            >{/if}
          {question.sentence}
        </p>
      {/each}
      <div class="flex flex-wrap gap-2">
        {#if suggested}
          <Button kind="now" onclick={() => void job.entry.accept(valve)}>
            It is {preferences.read(suggested)}
            {#if valve === job.entry.likely}<kbd class="font-sans text-sm opacity-80"
                >Ctrl Enter</kbd
              >{/if}
          </Button>
        {/if}
        <Button onclick={() => void job.entry.keep(valve.valve)}>
          Keep {kindOf(job.stage).written?.(valve)}
          {#if here}<kbd class="font-sans text-soft text-sm">Enter</kbd>{/if}
        </Button>
      </div>
    {/each}
    {#if rows.length > SHOWN}
      <button
        type="button"
        class="min-h-9 self-start underline underline-offset-4"
        onclick={() => (all = !all)}
        >{all
          ? "Show one question"
          : rows.length === 2
            ? "1 more question"
            : `${rows.length - 1} more questions`}</button
      >
    {/if}
  </div>
{/if}
