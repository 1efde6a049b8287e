<script lang="ts">
  /** One pocket: the shims in it seen from the side, as thick as they are to one another. */
  import type { Pocket } from "../../api/client";

  let { pocket, chosen, onpick }: { pocket: Pocket; chosen: boolean; onpick: () => void } =
    $props();

  const SHOWN = 6;
  const shown = $derived(
    [
      { of: "sound", count: pocket.count - pocket.worn - pocket.scrap },
      { of: "worn", count: pocket.worn },
      { of: "scrap", count: pocket.scrap },
    ]
      .flatMap((one) => Array<string>(Math.min(one.count, SHOWN)).fill(one.of))
      .slice(0, SHOWN),
  );
  const empty = $derived(pocket.count === 0);
</script>

<button
  type="button"
  onclick={onpick}
  aria-pressed={chosen}
  aria-label="{pocket.nominal.mm}: {pocket.count} {pocket.count === 1 ? 'shim' : 'shims'}{pocket.low
    ? ', low'
    : ''}{pocket.made ? '' : ', not made in this family'}"
  class="relative flex h-[74px] min-w-0 flex-col border-r border-b px-1 pt-1 pb-0.5 {chosen
    ? 'border-now bg-wash outline-now z-10 outline-2'
    : 'border-line hover:bg-paper'} {empty ? '' : 'bg-sheet'}"
>
  <svg viewBox="0 0 44 42" class="min-h-0 w-full flex-1" aria-hidden="true">
    {#if empty}
      <path
        d="M4 36h36"
        class="stroke-rule"
        stroke-width="1.4"
        stroke-dasharray={pocket.made ? "3 3" : "1 4"}
      />
    {/if}
    {#each shown as condition, n (n)}
      {@const top = 33 - n * 6.4}
      <rect
        x="5"
        y={top}
        width="34"
        height="4.800"
        class={condition === "sound"
          ? "fill-ink stroke-ink"
          : condition === "worn"
            ? "fill-sheet stroke-ink"
            : "fill-sheet stroke-rule"}
        stroke-width="1.1"
        stroke-dasharray={condition === "scrap" ? "2 2" : ""}
      />
    {/each}
    {#if pocket.low}
      <path
        d="M40 2v10M36.500 8.500L40 12l3.500-3.500"
        class="stroke-tight"
        fill="none"
        stroke-width="1.800"
      />
    {/if}
  </svg>
  <span class="flex items-baseline justify-between gap-1 leading-4">
    <span class="figures text-small {empty ? 'text-soft' : ''}">{pocket.nominal.mm}</span>
    {#if pocket.count > 1}
      <b class="figures text-small">{pocket.count}</b>
    {/if}
  </span>
</button>
