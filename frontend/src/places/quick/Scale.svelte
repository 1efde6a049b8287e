<script lang="ts">
  /**
   * One valve on the ruled scale of gaps: the allowed gap shaded, the reading on it, and the sizes
   * either side as rungs that stand where the gap would be with them.
   */
  import type { Length, Unit } from "../../api/client";
  import type { Line } from "./quick.svelte";

  let {
    line,
    limits,
    unit,
    shims,
  }: {
    line: Line | null;
    limits: { low: Length; high: Length };
    unit: Unit;
    shims: Unit;
  } = $props();

  const low = $derived(limits.low.nm);
  const high = $derived(limits.high.nm);

  const WIDE = 420;
  const TALL = 62;
  const RULE = 30;
  const room = $derived(Math.max(high - low, 20_000));
  const from = $derived(low - 1.1 * room);
  const to = $derived(high + 1.1 * room);
  const x = (nm: number): number =>
    Math.min(WIDE - 4, Math.max(4, ((nm - from) / (to - from)) * WIDE));
  const outside = (nm: number): boolean => nm < from || nm > to;
  const step = $derived(unit === "mm" ? 10_000 : 12_700);
  const ticks = $derived.by(() => {
    const first = Math.ceil(Math.max(0, from) / step);
    const many = Math.min(120, Math.floor(to / step) - first + 1);
    return Array.from({ length: Math.max(0, many) }, (_, n) => ({
      at: x((first + n) * step),
      long: (first + n) % (unit === "mm" ? 5 : 2) === 0,
    }));
  });
  const read = (one: { mm: string; thou: string }): string => (unit === "mm" ? one.mm : one.thou);
  const size = (one: { mm: string; inch: string }): string => (shims === "mm" ? one.mm : one.inch);
  const rungs = $derived.by(() => {
    if (!line) return [];
    const taken = line.keep ? null : line.take;
    const sides = [line.thinner, line.thicker].filter((one) => one !== null);
    const all =
      taken && !sides.some((one) => one.thickness.nm === taken.thickness.nm)
        ? [...sides, taken]
        : sides;
    return all
      .filter((one) => !outside(one.gap.nm))
      .map((one) => ({ ...one, mine: one.thickness.nm === taken?.thickness.nm }));
  });
  const start = $derived(line ? (line.gap.low?.nm ?? 0) : 0);
  const end = $derived(line ? Math.max(line.gap.high.nm, start) : 0);
</script>

<svg
  viewBox="0 0 {WIDE} {TALL}"
  class="h-[62px] w-full"
  preserveAspectRatio="xMidYMid meet"
  role="img"
  aria-label={line ? line.says : "The allowed gap, drawn"}
>
  <rect x={x(low)} width={x(high) - x(low)} y={RULE - 13} height="13" fill="var(--wash)" />
  <path d="M0 {RULE}H{WIDE}" stroke="var(--ink)" stroke-width="1.4" />
  {#each ticks as tick (tick.at)}
    <path
      d="M{tick.at} {RULE}v{tick.long ? -9 : -5}"
      stroke={tick.long ? "var(--ink)" : "var(--rule)"}
      stroke-width="1"
    />
  {/each}
  {#each [limits.low, limits.high] as limit, n (n)}
    <path d="M{x(limit.nm)} {RULE}v-17" stroke="var(--ink)" stroke-width="2" />
    {#if !line}
      <text x={x(limit.nm)} y={RULE + 15} text-anchor="middle" font-size="12" fill="var(--soft)"
        >{read(limit)}</text
      >
    {/if}
  {/each}
  {#if line}
    <path
      d="M{x(start)} {RULE - 21}H{Math.max(x(end), x(start) + 2)}"
      stroke={line.verdict === "tight" || line.verdict === "none"
        ? "var(--tight)"
        : line.verdict === "loose"
          ? "var(--loose)"
          : "var(--ink)"}
      stroke-width="5"
    />
    <path d="M{(x(start) + x(end)) / 2} {RULE - 1}l-5 -11h10z" fill="var(--ink)" />
    {#each rungs as rung (rung.thickness.nm)}
      <path
        d="M{x(rung.gap.nm)} {RULE}v9"
        stroke={rung.mine ? "var(--now)" : "var(--ink)"}
        stroke-width={rung.mine ? 4 : 1.6}
      />
      <text
        x={Math.min(WIDE - 22, Math.max(22, x(rung.gap.nm)))}
        y={RULE + 21}
        text-anchor="middle"
        font-size="13.5"
        font-weight={rung.mine ? 700 : 450}
        fill={rung.mine ? "var(--now)" : rung.in_spec ? "var(--ink)" : "var(--soft)"}
        >{size(rung.thickness)}</text
      >
      <text
        x={Math.min(WIDE - 22, Math.max(22, x(rung.gap.nm)))}
        y={RULE + 32}
        text-anchor="middle"
        font-size="10.5"
        fill="var(--soft)">{read(rung.gap)}</text
      >
    {/each}
  {/if}
</svg>
