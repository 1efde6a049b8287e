<script lang="ts">
  /**
   * The thickness ladder: a scale of thickness with the window shaded and the aim marked; every
   * piece that can be had is a option, led from where it stands on the scale, with the gap it gives.
   */
  import type { PlanMove, Option, Valve } from "../../api/client";
  import { RadioGroup } from "../../kit";
  import { preferences } from "../../state/preferences.svelte";
  import { optionKey } from "./options";

  let {
    valve,
    move,
    looked,
    onlook,
    fixed = false,
  }: {
    valve: Valve;
    move: PlanMove;
    looked: Option | null;
    onlook: (option: Option) => void;
    fixed?: boolean;
  } = $props();

  const ROW = 40;
  const SCALE = 46;
  const WIDE = 78;
  const options = $derived([...move.options].reverse());
  const height = $derived(options.length * ROW);
  const worked = $derived(valve.worked);
  const top = $derived(
    Math.max(options[0]?.thickness.nm ?? 0, worked?.thick?.nm ?? 0, worked?.ideal.nm ?? 0),
  );
  const bottom = $derived(
    Math.min(
      options.at(-1)?.thickness.nm ?? 0,
      worked?.thin?.nm ?? Infinity,
      worked?.ideal.nm ?? Infinity,
    ),
  );
  /** Thick above, thin below, true to scale. */
  const y = (nm: number): number =>
    top === bottom ? height / 2 : 10 + ((top - nm) / (top - bottom)) * (height - 20);
  const STEP = 10_000;
  const ticks = $derived.by(() => {
    const first = Math.ceil(bottom / STEP);
    const many = Math.floor(top / STEP) - first + 1;
    if (many > 60 || many < 1) return [];
    return Array.from({ length: many }, (_, n) => ({
      y: y((first + n) * STEP),
      long: (first + n) % 5 === 0,
    }));
  });

  function says(option: Option): string {
    if (option.source === "same") return "is in now";
    if (option.source === "engine") return `out of ${option.from_valve ?? ""}`;
    if (option.source === "drawer") return option.count > 1 ? `drawer, ${option.count}` : "drawer";
    return "to buy";
  }
</script>

<div class="flex">
  <svg width={WIDE} {height} class="shrink-0 overflow-visible" aria-hidden="true">
    {#if worked?.thin && worked.thick}
      <rect
        x="12"
        width={SCALE - 12}
        y={y(worked.thick.nm)}
        height={Math.max(2, y(worked.thin.nm) - y(worked.thick.nm))}
        class="fill-wash"
      />
    {/if}
    <path d="M{SCALE} 0V{height}" stroke="var(--ink)" stroke-width="1.6" />
    {#each ticks as tick (tick.y)}
      <path
        d="M{SCALE} {tick.y}h{tick.long ? -16 : -8}"
        stroke={tick.long ? "var(--ink)" : "var(--rule)"}
        stroke-width="1"
      />
    {/each}
    {#each options as option, n (optionKey(option))}
      {@const mine = option.goes_to === valve.valve}
      <path
        d="M{SCALE} {y(option.thickness.nm)}L{WIDE - 8} {n * ROW + ROW / 2}h8"
        fill="none"
        stroke={mine ? "var(--now)" : "var(--rule)"}
        stroke-width={mine ? 2.4 : 1}
        stroke-dasharray={option.in_spec || mine ? "" : "3 3"}
      />
    {/each}
    {#if worked}
      <path d="M0 {y(worked.ideal.nm)}l10 -6v12z" fill="var(--ink)" />
      <path
        d="M10 {y(worked.ideal.nm)}H{SCALE}"
        stroke="var(--ink)"
        stroke-width="1.2"
        stroke-dasharray="3 2"
      />
    {/if}
  </svg>
  <RadioGroup
    class="min-w-0 flex-1"
    label="Shims that can be had for {valve.valve}"
    items={options}
    name={optionKey}
    value={looked && optionKey(looked)}
    onchange={onlook}
    disabled={fixed}
    height={ROW}
    look={(option, here) =>
      `flex w-full items-center gap-2 border px-2 text-left ${
        here
          ? "border-now bg-wash border-2"
          : option.in_spec && !option.forbidden
            ? "border-line bg-sheet hover:border-ink"
            : "border-line text-soft hover:border-ink border-dashed"
      }`}
  >
    {#snippet item(option)}
      <span class="figures w-[3.4rem] text-[19px] {option.forbidden ? 'line-through' : ''}"
        >{preferences.shim(option.thickness)}</span
      >
      <span class="min-w-0 flex-1 text-mark leading-4">
        <span class="block truncate">{says(option)}</span>
        {#if option.goes_to}
          <b class="block truncate {option.goes_to === valve.valve ? 'text-now' : ''}"
            >{option.goes_to === valve.valve ? "the plan" : `for ${option.goes_to}`}</b
          >
        {/if}
      </span>
      <span class="text-right leading-4">
        <b class="figures text-row">{preferences.own(option.gap)}</b>
        <span class="block text-mark">{option.stands}</span>
      </span>
    {/snippet}
  </RadioGroup>
</div>
