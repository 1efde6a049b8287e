<script lang="ts">
  /** The head in small, with each valve's state as a mark that reads without colour. */
  import type { Drawing, Verdict } from "../api/client";

  let {
    drawing,
    verdicts = {},
  }: { drawing: Drawing; verdicts?: Readonly<Record<string, Verdict | null>> } = $props();

  const length = $derived(Math.max(...drawing.banks.map((bank) => bank.length)));
  const width = $derived(length * 44 + 8);
  const height = $derived(drawing.banks.length * 46 + 4);
</script>

<svg viewBox="0 0 {width} {height}" class="h-full max-w-full" aria-hidden="true">
  {#each drawing.banks as bank, index (bank.bank)}
    {@const cy = 25 + index * 46}
    {#each bank.bores as bore (bore.cylinder)}
      <circle cx={4 + bore.u * 44} {cy} r="20" class="fill-sheet stroke-ink" stroke-width="1.4" />
    {/each}
    {#each bank.camshafts as shaft (shaft.camshaft + shaft.v)}
      <path
        d="M{4 + shaft.start * 44} {cy + shaft.v * 44}H{4 + shaft.end * 44}"
        class="stroke-rule"
        stroke-width="1.2"
      />
    {/each}
    {#each bank.valves as spot (spot.valve)}
      {@const verdict = verdicts[spot.valve]}
      <circle
        cx={4 + spot.u * 44}
        cy={cy + spot.v * 44}
        r={spot.radius * 44}
        stroke-width="1.4"
        class={!verdict
          ? "fill-sheet stroke-rule"
          : verdict === "in"
            ? "fill-sheet stroke-ink"
            : verdict === "unsettled"
              ? "fill-wash stroke-now"
              : "fill-ink stroke-ink"}
      />
      {#if verdict === "in"}
        <circle cx={4 + spot.u * 44} cy={cy + spot.v * 44} r="1.6" class="fill-ink" />
      {/if}
    {/each}
  {/each}
</svg>
