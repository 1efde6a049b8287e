<script lang="ts">
  /** Turn: the fewest stops, and at each the two proofs to look for. */
  import { Button, Pair } from "../../kit";
  import { route } from "../../state/route.svelte";
  import type { CardState } from "../../card/card.svelte";

  let { job }: { job: CardState } = $props();

  const card = $derived(job.card);
  const WAYS: Record<string, string> = {
    clockwise: "Clockwise only.",
    anticlockwise: "Anticlockwise only.",
  };
  const at = $derived(
    card?.turning.stops.findIndex((stop) => Math.abs(stop.degrees - job.crank) < 1) ?? -1,
  );

  function measure(valve: string | undefined): void {
    if (!card || !valve) return;
    route.go(`/cards/${card.id}/feel`);
    queueMicrotask(() => job.pick(valve));
  }
  /** How much further to turn from the stop before, in the engine's own direction. */
  const further = (n: number): number => {
    const stops = card?.turning.stops ?? [];
    const before = stops[n - 1];
    return before ? ((stops[n]?.degrees ?? 0) - before.degrees + 720) % 720 : 0;
  };
</script>

{#if card}
  <div class="flex items-center gap-3">
    <svg viewBox="0 0 44 44" class="h-11 w-11 shrink-0" aria-hidden="true">
      <g transform={card.turning.rotation === "anticlockwise" ? "translate(44 0) scale(-1 1)" : ""}>
        <circle cx="22" cy="22" r="5" fill="none" stroke="var(--ink)" stroke-width="2" />
        <path d="M8 28A15 15 0 1 1 34 31" fill="none" stroke="var(--now)" stroke-width="3.5" />
        <path d="M38 24l-3 10-8-5z" fill="var(--now)" />
      </g>
    </svg>
    <p class="leading-5">
      <b>{WAYS[card.turning.rotation ?? ""] ?? "In its own direction only."}</b>
      Past the mark: go round again, never back.
    </p>
  </div>
  <Pair
    label="How to turn"
    value={card.turning.method}
    items={[
      { value: "marks", label: "by the marks" },
      { value: "lobe", label: "by the lobe" },
    ]}
    onchange={(method) =>
      void job.act(job.acts.method({ method, blade_set_id: card.blade_set?.id ?? null }))}
  />
  <ol class="flex flex-col">
    {#each card.turning.stops as stop, n (n)}
      <li class="border-line border-b {n === at ? 'bg-wash border-now border-l-4' : ''}">
        <button
          type="button"
          class="grid w-full grid-cols-[3.5rem_1fr] items-start gap-2 px-2 py-2 text-left"
          aria-pressed={n === at}
          onclick={() => (job.crank = Math.round(stop.degrees))}
        >
          <span class="figures text-head leading-8">{stop.mark ?? n + 1}</span>
          <span class="leading-5">
            <span class="text-soft block text-note">
              {n === 0 ? "first" : `${further(n)}° further`}
            </span>
            <span class="block font-[560]">{stop.valves.join(", ")}</span>
          </span>
        </button>
        {#if n === at}
          <ul class="px-2 pb-2 text-note leading-5">
            <li>
              {stop.mark
                ? `Proof one: mark ${stop.mark} at its pointer.`
                : "No mark here: go by the lobes alone."}
            </li>
            <li>
              {stop.mark ? "Proof two: the" : "The"} lobes over these valves point away from their followers.
              Both valves of a cylinder a little open: that is overlap, turn once more.
            </li>
            {#if stop.narrow}
              <li class="text-tight font-[560]">
                Just {stop.margin}° from being lifted: stop exactly, or measure these at a stop of
                their own.
              </li>
            {/if}
          </ul>
          <div class="px-2 pb-3">
            <Button kind="now" onclick={() => measure(stop.valves[0])}>Measure here</Button>
          </div>
        {/if}
      </li>
    {/each}
  </ol>
  <p class="text-soft text-note leading-5">
    {card.turning.assumed
      ? "Worked out from firing order and a mild cam timing that is assumed: nobody has entered this engine’s own, and the maker’s marks come first."
      : "Worked out from firing order and cam timing."} Decompressor lobes are not in it: where there
    is one, go by the manual.
  </p>
{/if}
