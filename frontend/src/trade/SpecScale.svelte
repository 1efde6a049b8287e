<script lang="ts">
  /**
   * The allowed range as a length of vernier scale, with the reading against it.
   * A bracket shows as a bar, a single number as a line, nothing found as an open end.
   */
  import type { Gap, Length } from "../api/client";
  import { preferences } from "../state/preferences.svelte";

  let { low, high, gap = null }: { low: Length; high: Length; gap?: Gap | null } = $props();

  const width = 320;
  const step = $derived(preferences.unit === "mm" ? 5_000 : 12_700);
  const span = $derived.by(() => {
    const room = Math.max((high.nm - low.nm) * 0.6, step * 8);
    const from = Math.min(low.nm - room, gap?.low ? gap.low.nm - step * 4 : Infinity);
    const to = Math.max(high.nm + room, gap ? gap.high.nm + step * 4 : 0);
    return { from: Math.max(0, from), to };
  });
  const at = (nm: number): number => ((nm - span.from) / (span.to - span.from)) * width;
  const ticks = $derived.by(() => {
    const every = Math.max(1, Math.ceil((span.to - span.from) / step / 70));
    const first = Math.ceil(span.from / step);
    const count = Math.floor((span.to - first * step) / step);
    return Array.from({ length: Math.floor(count / every) + 1 }, (_, i) => first + i * every).map(
      (n) => ({ x: at(n * step), length: n % 10 === 0 ? 11 : n % 2 === 0 ? 7 : 4 }),
    );
  });
</script>

<svg
  viewBox="0 0 {width} 58"
  class="w-full"
  role="img"
  aria-label="Allowed {preferences.read(low)} to {preferences.read(high)} {preferences.unitName}{gap
    ? `, read ${preferences.read(gap)}`
    : ''}"
>
  <rect x={at(low.nm)} y="22" width={at(high.nm) - at(low.nm)} height="13" class="fill-wash" />
  <path d="M0 35.5H{width}" stroke="var(--rule)" />
  {#each ticks as tick (tick.x)}
    <path d="M{tick.x} 35V{35 - tick.length}" stroke="var(--rule)" stroke-width="0.8" />
  {/each}
  {#each [low, high] as limit, i (i)}
    <path d="M{at(limit.nm)} 42V20" stroke="var(--ink)" stroke-width="1.6" />
    <text
      x={at(limit.nm)}
      y="55"
      text-anchor={i ? "start" : "end"}
      class="figures fill-ink text-fine">{preferences.read(limit)}</text
    >
  {/each}
  {#if gap}
    {#if gap.low && !gap.is_point}
      <rect
        x={at(gap.low.nm)}
        y="9"
        width={at(gap.high.nm) - at(gap.low.nm)}
        height="6"
        fill="var(--ink)"
      />
      <path
        d="M{at(gap.low.nm)} 5v14M{at(gap.high.nm)} 5v14"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
    {:else if gap.low}
      <path d="M{at(gap.high.nm)} 20l-5 -9v-8h10v8z" fill="var(--ink)" />
    {:else}
      <path
        d="M{at(gap.high.nm)} 12H0M0 12l6-4M0 12l6 4"
        stroke="var(--ink)"
        stroke-width="2"
        fill="none"
      />
      <path d="M{at(gap.high.nm)} 5v14" stroke="var(--ink)" stroke-width="1.6" />
    {/if}
  {/if}
</svg>
