<script lang="ts">
  /** What is asked about the reading in hand: the reason, and one key for either answer. */
  import { Button } from "../kit";
  import { preferences } from "../state/preferences.svelte";
  import type { CardState } from "./card.svelte";

  let { job }: { job: CardState } = $props();

  const suggested = $derived(job.questions.find((question) => question.suggested)?.suggested);
</script>

{#if job.questions.length}
  <div class="border-now bg-wash flex flex-col gap-2 border-l-4 py-2 pr-2 pl-3" role="alert">
    {#each job.questions as question (question.sentence)}
      <p class="leading-5 font-[560]">{question.sentence}</p>
    {/each}
    <div class="flex flex-wrap gap-2">
      {#if suggested}
        <Button kind="now" onclick={() => void job.entry.accept()}>
          It is {preferences.read(suggested)} <kbd class="font-sans text-sm opacity-80">y</kbd>
        </Button>
      {/if}
      <Button onclick={() => void job.entry.keep()}>
        Keep {job.entry.written} <kbd class="font-sans text-soft text-sm">Enter</kbd>
      </Button>
    </div>
  </div>
{/if}
