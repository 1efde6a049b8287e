<script lang="ts">
  /** One valve over the years: its stack, its shims as ticks, its limits, what is to be expected. */
  import { HIGH, WIDE, draw, smaller, type ValveYears, type Years } from "./scale";

  let { years, one, span }: { years: Years; one: ValveYears; span: number } = $props();

  const drawn = $derived(draw(years, one, span));
  const times = $derived(smaller(years, one, span));
  const known = $derived(one.bands.some((band) => band.piece !== null));
</script>

<figure class="border-line break-inside-avoid border-t pt-1">
  <figcaption class="flex flex-wrap items-baseline gap-x-2">
    <b class="text-lg font-[620]">{one.valve}</b>
    {#if one.odd}<span class="text-tight font-[620]"
        >{one.odd === "fast"
          ? "wears fast"
          : one.odd === "opens"
            ? "opens up"
            : "jumped once"}</span
      >{/if}
    <span class="text-soft ml-auto text-small"
      >{one.dots.length === 0 ? "nothing known" : known ? "stack" : "gap, shim not known"}{times > 1
        ? `, drawn 1:${times}`
        : ""}</span
    >
  </figcaption>
  {#if one.dots.length}
    <svg viewBox="0 0 {WIDE} {HIGH}" class="block w-full" role="img" aria-label={one.words}>
      {#each drawn.bands as band, n (n)}
        {#if band.y !== null && band.foot !== null}
          <rect
            x={band.x}
            y={band.y}
            width={Math.max(0, band.wide)}
            height={band.foot - band.y}
            class="fill-sheet stroke-line"
            stroke-width="0.75"
          />
          <path
            d="M{band.x} {band.foot}h{Math.max(0, band.wide)}"
            class="stroke-ink"
            stroke-width="1.75"
          />
        {/if}
      {/each}
      {#if drawn.fan}
        <path d={drawn.fan} class="fill-wash stroke-now" stroke-width="0.6" />
        <path
          d={drawn.likely}
          class="stroke-now fill-none"
          stroke-width="1.5"
          stroke-dasharray="5 4"
        />
      {/if}
      {#each years.lives as life (life)}
        <path
          d="M{drawn.x(life)} 2V{HIGH - 18}"
          class="stroke-ink"
          stroke-width="1"
          stroke-dasharray="1 3"
        />
      {/each}
      <path d={drawn.path} class="stroke-ink fill-none" stroke-width="1.5" />
      {#each drawn.dots as dot, n (n)}
        <path d="M{dot.x} {dot.low}V{dot.high}" class="stroke-ink" stroke-width="1" />
        <circle
          cx={dot.x}
          cy={dot.y}
          r="2.8"
          class="{dot.left ? 'fill-paper' : 'fill-ink'} stroke-ink"
          stroke-width="1.25"
        />
      {/each}
      {#each drawn.changes as change, n (n)}
        <path d="M{change.x} {HIGH - 26}v9" class="stroke-now" stroke-width="2.5" />
        <text x={change.x + 4} y={HIGH - 19} class="fill-ink text-[10px]">{change.says}</text>
      {/each}
      <path d="M6 {HIGH - 16}H{WIDE - 6}" class="stroke-rule" stroke-width="1" />
      {#each drawn.ticks as tick, n (tick.at)}
        <path d="M{tick.x} {HIGH - 16}v4" class="stroke-rule" stroke-width="1" />
        <text
          x={tick.x}
          y={HIGH - 3}
          text-anchor={n === 0 ? "start" : n === drawn.ticks.length - 1 ? "end" : "middle"}
          class="fill-soft text-[10px]">{tick.says}</text
        >
      {/each}
    </svg>
  {/if}
  <p class="text-note leading-5">{one.words.replace(`${one.valve}: `, "")} {one.advice}</p>
</figure>
