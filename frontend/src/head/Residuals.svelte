<script lang="ts">
  /** How far each proof came out from what was expected: a bar from the valve's centre. */
  import type { Arranged } from "./arrange";

  let {
    arranged,
    residuals,
  }: {
    arranged: Arranged;
    /** Nanometres by valve, and whether that is no more than the instruments' doubt. */
    residuals: ReadonlyMap<string, { nm: number; fine: boolean }>;
  } = $props();

  /** So much fills the valve's radius. */
  const FULL_NM = 80_000;
</script>

{#each arranged.valves as one (one.valve)}
  {@const residual = residuals.get(one.valve)}
  {#if residual}
    {@const long = Math.min(1, Math.abs(residual.nm) / FULL_NM) * one.at.r}
    {@const up = residual.nm > 0 ? -1 : 1}
    <circle
      cx={one.at.x}
      cy={one.at.y}
      r={one.at.r}
      class={residual.fine ? "fill-sheet stroke-ink" : "fill-sheet stroke-tight"}
      stroke-width={residual.fine ? 1.5 : 4}
    />
    <path
      d="M{one.at.x - one.at.r} {one.at.y}h{one.at.r * 2}"
      class="stroke-sheet"
      stroke-width="2"
    />
    <path
      d="M{one.at.x} {one.at.y}v{up * long}"
      class={residual.fine ? "stroke-now" : "stroke-tight"}
      stroke-width={Math.max(5, one.at.r * 0.3)}
    />
  {/if}
{/each}
