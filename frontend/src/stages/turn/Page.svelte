<script lang="ts">
  /** Turn: the fewest stops, and at each the two proofs to look for. */
  import { act } from "../../api/acts";
  import type { Schemas } from "../../api/client";
  import { Button, ToggleGroup } from "../../kit";
  import { route } from "../../state/route.svelte";
  import type { Job } from "../../card/job.svelte";

  let { job }: { job: Job } = $props();

  const card = $derived(job.card);
  const WAYS: Record<string, string> = {
    clockwise: "Clockwise only.",
    anticlockwise: "Anticlockwise only.",
  };
  const at = $derived(card?.turning.stops.findIndex((stop) => stop === job.stopHere) ?? -1);
  const bench = $derived(card?.turning.method === "bench");

  function measure(valve: string | undefined): void {
    if (!card || !valve) return;
    route.go(`/cards/${card.id}/feel`);
    queueMicrotask(() => job.pick(valve));
  }
  /** How much further to turn from the stop before, in the engine's own direction. */
  function further(n: number): string {
    const stops = card?.turning.stops ?? [];
    const [here, before] = [stops[n], stops[n - 1]];
    if (here?.camshaft) return `camshaft ${here.camshaft}`;
    if (!before) return "first";
    if (here?.degrees == null || before.degrees === null) return "then";
    return `${(here.degrees - before.degrees + 720) % 720}° further`;
  }
  /** The two proofs of a place: the mark, if there is one, and what the lobes do there. */
  function proofs(stop: Schemas["StopOut"]): string[] {
    if (stop.camshaft)
      return [
        `Turn camshaft ${stop.camshaft} by its gear until these lobes point straight away.`,
        "No other valve may touch the bench or another valve while it turns.",
      ];
    const lobes = stop.cue || "the lobes over these valves point away from their followers";
    const both = "Both valves of a cylinder a little open: that is overlap, turn once more.";
    if (!stop.mark) return ["No mark here: go by the lobes alone.", `Look: ${lobes}.`, both];
    const first = stop.own
      ? `First sign: mark ${stop.mark} at its pointer.`
      : `First sign: cylinder ${stop.mark.slice(1)} at top dead centre. No mark is entered for it.`;
    return [first, `Second sign: ${lobes}.`, both];
  }
</script>

{#if card}
  {#if bench}
    <p class="border-now border-l-4 pl-3 leading-5">
      <b>The head is on the bench: there is no crank.</b> Turn each camshaft by its gear or a tool. Its
      caps are drawn down evenly, the head clear of the table.
    </p>
  {:else}
    <div class="flex items-center gap-3">
      {#if card.turning.rotation}
        <svg viewBox="0 0 44 44" class="h-11 w-11 shrink-0" aria-hidden="true">
          <g
            transform={card.turning.rotation === "anticlockwise"
              ? "translate(44 0) scale(-1 1)"
              : ""}
          >
            <circle cx="22" cy="22" r="5" fill="none" stroke="var(--ink)" stroke-width="2" />
            <path d="M8 28A15 15 0 1 1 34 31" fill="none" stroke="var(--now)" stroke-width="3.5" />
            <path d="M38 24l-3 10-8-5z" fill="var(--now)" />
          </g>
        </svg>
      {/if}
      <p class="leading-5">
        <b>{WAYS[card.turning.rotation ?? ""] ?? "In its own direction only."}</b>
        Past the mark: turn on to it again, never back.
      </p>
    </div>
    <ToggleGroup
      label="How to turn"
      value={card.turning.method}
      items={[
        { value: "marks", label: "by the marks" },
        { value: "lobe", label: "by the lobe" },
      ]}
      onchange={(method) =>
        void job.act(act("method", { method, blade_set_id: card.blade_set?.id ?? null }))}
    />
  {/if}
  <ol class="flex flex-col">
    {#each card.turning.stops as stop, n (n)}
      <li class="border-line border-b {n === at ? 'bg-wash border-now border-l-4' : ''}">
        <button
          type="button"
          class="grid w-full grid-cols-[3.5rem_1fr] items-start gap-2 px-2 py-2 text-left"
          aria-pressed={n === at}
          onclick={() => job.turnTo(n)}
        >
          <span class="figures text-head leading-8">{stop.mark ?? n + 1}</span>
          <span class="leading-5">
            <span class="text-soft block text-note">{further(n)}</span>
            <span class="block font-[560]">{stop.valves.join(", ")}</span>
          </span>
        </button>
        {#if n === at}
          <ul class="px-2 pb-2 text-note leading-5">
            {#each proofs(stop) as proof (proof)}<li>{proof}</li>{/each}
            {#if stop.count}<li>Count: {stop.count}.</li>{/if}
            {#if stop.narrow}
              <li class="text-tight font-[560]">
                Only {stop.margin}° of room either way: stop exactly on the mark, or measure these
                in a position of their own.
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
  {#if !bench}
    <p class="text-soft text-note leading-5">
      {#if !card.turning.computed}
        These are the marks as the manufacturer gives them, entered with the engine.
      {:else if !card.turning.firing_known}
        Firing order not entered: each is measured at its own compression top dead centre. Enter the
        firing order with the engine, or the manufacturer’s marks, and fewer positions do.
      {:else if card.turning.assumed}
        Worked out from the firing order and a mild cam timing that is assumed. The timing of this
        engine is not entered. The marks of the manual come first.
      {:else}
        Worked out from firing order and cam timing.
      {/if}
      Decompressor lobes are not in it: where there is one, go by the manual.
    </p>
    {#if card.turning.computed && !job.signed}
      <a class="min-h-9 underline underline-offset-4" href="/engines/{card.engine_id}"
        >Enter the manual’s marks, or the firing order</a
      >
    {/if}
  {/if}
{/if}
