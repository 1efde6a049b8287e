<script lang="ts">
  /** The card's way as a rule: a long tick a stage, a short one a valve, inked when done. */
  import type { Card, Stage } from "../api/client";
  import { type StageKind, progress, stagesOf } from "./registry";

  let { card, stage }: { card: Card; stage: Stage } = $props();

  const stages = $derived(stagesOf(card));
  const LAST = $derived(stages.at(-1)?.stage);
  const needless = (one: StageKind): boolean =>
    !progress(card, one.stage).asked && card.at === LAST && one.stage !== LAST && !one.turns;
</script>

<nav aria-label="Stages" class="no-print border-ink bg-sheet flex border-b">
  {#each stages as one (one.stage)}
    {@const { asked, done } = progress(card, one.stage)}
    {@const here = one.stage === stage}
    {@const now = one.stage === card.at && !card.signed_at}
    <a
      href="/cards/{card.id}/{one.stage}"
      aria-current={here ? "step" : undefined}
      title="{one.name}: {one.means}"
      class="relative flex min-h-14 max-sm:min-h-12 min-w-0 flex-1 flex-col justify-between border-l border-ink px-0.5 pt-1.5 first:border-l-0 sm:px-3 {here
        ? 'bg-ink text-paper'
        : 'hover:bg-paper'}"
    >
      <span class="flex items-baseline gap-1.5">
        <span
          class="shrink-0 text-row font-[620] max-sm:text-tiny max-sm:tracking-tight"
          style:font-stretch="80%">{one.name}</span
        >
        <span
          class="hidden min-w-0 flex-1 truncate text-small xl:inline {here ? '' : 'text-soft'}"
          aria-hidden="true">{needless(one) ? "" : one.means}</span
        >
        {#if asked}
          <span class="figures ml-auto hidden text-sm lg:inline {here ? '' : 'text-soft'}"
            >{done}/{asked}</span
          >
        {:else}
          <span class="ml-auto hidden truncate text-sm lg:inline {here ? '' : 'text-soft'}"
            >{needless(one) ? "not needed" : ""}</span
          >
        {/if}
      </span>
      <span class="flex h-3 items-end gap-px" aria-hidden="true">
        {#each Array.from({ length: asked }, (_, n) => n) as n (n)}
          <span
            class="flex-1 border-l {n < done
              ? 'h-3 border-l-2 border-current'
              : 'h-1.5 border-current opacity-55'}"
          ></span>
        {/each}
      </span>
      {#if now}
        <span
          class="bg-now absolute inset-x-0 -bottom-[3px] h-[5px]"
          title="The next thing to do is here"
        ></span>
      {/if}
    </a>
  {/each}
</nav>
