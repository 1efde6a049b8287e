<script lang="ts">
  /** What to do when this stage has all it asked for. */
  import type { Card, Stage } from "../api/client";
  import type { Snippet } from "svelte";
  import { Arrow, Button } from "../kit";
  import { inRange } from "./in-range";
  import { STAGES, kindOf, progress, takesApart } from "./registry";

  let {
    card,
    stage,
    lines = [],
    busy = false,
    children,
  }: {
    card: Card;
    stage: Stage;
    /** What is ticked on this page. */
    lines?: Card["safety"];
    /** Something else on this page comes first. */
    busy?: boolean;
    children?: Snippet;
  } = $props();

  const next = $derived(STAGES.find((one) => one.stage === card.at));
  const waiting = $derived(card.todo.find((item) => item.stage === stage)?.waiting ?? []);
  const opened = $derived(card.valves.filter((valve) => valve.opens).length);
  const out = $derived(
    card.valves.filter((valve) => valve.verdict && valve.verdict !== "in").length,
  );
  const left = $derived(lines.filter((line) => !line.done).length);
  const says = $derived.by(() => {
    if (left) return `${left} of ${lines.length} steps on this page not ticked.`;
    if (!kindOf(stage).judgesFound)
      return progress(card, stage).asked ? "This page is complete." : "Nothing to do on this page.";
    if (!takesApart(card) && out)
      return `${out} of ${card.valves.length} ${out === 1 ? "is" : "are"} out. This card only checks: make another kind of job of it at Ready to set them.`;
    if (opened === 0) return `${inRange(card.valves)} Nothing to open.`;
    return `${opened} of ${card.valves.length} ${opened === 1 ? "is" : "are"} to be opened.`;
  });
</script>

{#if next && waiting.length === 0}{@render children?.()}{/if}
{#if next && !card.signed_at && waiting.length === 0 && next.stage !== stage}
  <div class="border-now bg-wash flex items-center justify-between gap-3 border-l-4 py-1 pr-1 pl-3">
    <span>{says}</span>
    <Button
      kind={left || busy ? "plain" : "now"}
      href="/cards/{card.id}/{next.stage}"
      id="next-stage"
    >
      {next.name}
      <Arrow />
    </Button>
  </div>
{/if}
