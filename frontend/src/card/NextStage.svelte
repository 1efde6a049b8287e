<script lang="ts">
  /** What to do when this stage has all it asked for. */
  import type { Card, Stage } from "../api/client";
  import type { Snippet } from "svelte";
  import { Arrow, Button } from "../kit";
  import { STAGES, kindOf } from "./registry";

  let { card, stage, children }: { card: Card; stage: Stage; children?: Snippet } = $props();

  const next = $derived(STAGES.find((one) => one.stage === card.at));
  const waiting = $derived(card.todo.find((item) => item.stage === stage)?.waiting ?? []);
  const opened = $derived(card.valves.filter((valve) => valve.opens).length);
  const says = $derived(
    kindOf(stage).questions
      ? opened === 0
        ? "Every valve is in spec: nothing to open."
        : `${opened} of ${card.valves.length} ${opened === 1 ? "is" : "are"} to be opened.`
      : "All done here.",
  );
</script>

{#if next && waiting.length === 0}{@render children?.()}{/if}
{#if next && !card.signed_at && waiting.length === 0 && next.stage !== stage}
  <div class="border-now bg-wash flex items-center justify-between gap-3 border-l-4 py-1 pr-1 pl-3">
    <span>{says}</span>
    <Button kind="now" href="/cards/{card.id}/{next.stage}" id="next-stage">
      {next.name}
      <Arrow />
    </Button>
  </div>
{/if}
