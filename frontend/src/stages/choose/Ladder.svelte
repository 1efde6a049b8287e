<script lang="ts">
  /**
   * The thickness ladder: a scale of thickness with the window shaded and the aim marked;
   * each size that can be had is a rung with the gap it gives.
   */
  import type { Fitted, Valve } from "../../api/client";
  import { preferences } from "../../kit/preferences.svelte";

  let {
    valve,
    chosen,
    onchoose,
    fixed = false,
  }: {
    valve: Valve;
    chosen: number | null;
    onchoose: (rung: Fitted) => void;
    fixed?: boolean;
  } = $props();

  const worked = $derived(valve.worked);
  const rungs = $derived([...(worked?.rungs ?? [])].reverse());
  const ROW = 44;
  const top = $derived(rungs[0]?.thickness.nm ?? 0);
  const bottom = $derived(rungs.at(-1)?.thickness.nm ?? 0);
  const height = $derived(rungs.length * ROW);
  /** Thick above, thin below, to scale between the middle of the first and last rung. */
  const y = (nm: number): number =>
    top === bottom ? ROW / 2 : ROW / 2 + ((top - nm) / (top - bottom)) * (height - ROW);
  const clamp = (value: number): number => Math.min(height - 1, Math.max(1, value));
  const ticks = $derived.by(() => {
    if (top === bottom) return [];
    const step = (top - bottom) / Math.max(1, rungs.length - 1) / 5;
    return Array.from({ length: (rungs.length - 1) * 5 + 1 }, (_, n) => ({
      y: y(top - n * step),
      long: n % 5 === 0,
    }));
  });
</script>

{#if worked}
  <div class="flex" role="radiogroup" aria-label="Sizes that can be had for {valve.valve}">
    <svg width="64" {height} class="shrink-0" aria-hidden="true">
      {#if worked.thin && worked.thick}
        <rect
          x="20"
          width="44"
          y={clamp(y(worked.thick.nm))}
          height={Math.max(2, clamp(y(worked.thin.nm)) - clamp(y(worked.thick.nm)))}
          class="fill-wash"
        />
      {/if}
      <path d="M64 0V{height}" stroke="var(--ink)" stroke-width="2" />
      {#each ticks as tick (tick.y)}
        <path d="M64 {tick.y}H{tick.long ? 44 : 54}" stroke="var(--rule)" stroke-width="1" />
      {/each}
      <path d="M0 {clamp(y(worked.ideal.nm))}l11 -6v12z" fill="var(--ink)" />
      <path
        d="M11 {clamp(y(worked.ideal.nm))}H64"
        stroke="var(--ink)"
        stroke-width="1.2"
        stroke-dasharray="3 2"
      />
    </svg>
    <div class="min-w-0 flex-1">
      {#each rungs as rung (rung.thickness.nm)}
        {@const taken = rung.thickness.nm === chosen}
        {@const picked = rung.thickness.nm === worked.pick?.thickness.nm}
        <button
          type="button"
          role="radio"
          aria-checked={taken}
          disabled={fixed}
          onclick={() => onchoose(rung)}
          style:height="{ROW}px"
          class="flex w-full items-center gap-2.5 border px-2.5 text-left {taken
            ? 'border-now bg-wash border-2'
            : rung.in_spec
              ? 'border-line bg-sheet hover:border-ink'
              : 'border-line text-soft hover:border-ink border-dashed'}"
        >
          <span class="figures text-[21px]">{rung.thickness.mm}</span>
          <span class="text-[15px]"
            >gap <b class="figures text-[17px]">{preferences.read(rung.gap)}</b></span
          >
          <span class="ml-auto text-right text-sm leading-4">
            {#if picked}<b>{worked.provisional ? "for now" : "take this"}</b>
            {:else if worked.provisional}at most
            {:else if rung.in_spec}in spec
            {:else if rung.chance > 0.005}{Math.round(rung.chance * 100)} % sure
            {:else}out{/if}
          </span>
        </button>
      {/each}
    </div>
  </div>
{/if}
