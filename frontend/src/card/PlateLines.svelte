<script lang="ts">
  /** A valve's plate: each stage adds its line, as pencil lines add up on a sheet. */
  import type { Lane, PlanMove, Stage, Valve } from "../api/client";
  import { sourceWords } from "./plan.svelte";
  import { kindOf } from "./registry";
  import { LobeDial } from "../trade";
  import { GapMark } from "../trade";
  import { preferences } from "../state/preferences.svelte";
  import { VERDICT_COLOURS, VERDICT_WORDS } from "../kit/verdicts";

  let {
    valve,
    size,
    stage,
    draft,
    waits = null,
    turn = null,
    planned = null,
  }: {
    valve: Valve;
    size: { width: number; height: number };
    stage: Stage;
    draft: string;
    /** Written here and not taken by the server yet. */
    waits?: string | null;
    turn?: { crank: number; lanes: Lane[]; rests: boolean } | null;
    /** What the plan gives this valve, while choosing. */
    planned?: PlanMove | null;
  } = $props();

  const kind = $derived(kindOf(stage));
  /** How far the lobe has turned past its follower, in cam degrees. */
  const lobe = $derived.by(() => {
    const lane = turn?.lanes.find((one) => one.valves.includes(valve.valve));
    return turn && lane ? (turn.crank - lane.peak) / 2 : 0;
  });

  interface Line {
    name: string;
    value: string;
    /** Which stages write it. */
    by: Stage[];
    /** This stage's own figure. */
    large?: boolean;
    /** Proposed, not decided yet. */
    open?: boolean;
  }

  const lines = $derived.by((): Line[] => {
    const all: Line[] = [];
    const read = (gap: { mm: string; thou: string }) => preferences.read(gap);
    const felt = (one: NonNullable<Valve["found"]>) => read(one.gap) + (one.guess ? "?" : "");
    if (valve.found) all.push({ name: "found", value: felt(valve.found), by: ["feel"] });
    if (valve.piece)
      all.push({ name: "out", value: preferences.shim(valve.piece.thickness), by: ["read"] });
    if (planned?.thickness && valve.piece) {
      const taken =
        valve.chosen?.thickness.nm === planned.thickness.nm &&
        valve.chosen.source === planned.source;
      all.push({
        name: sourceWords(planned),
        value: preferences.shim(planned.thickness),
        by: ["choose"],
        open: planned.changes && !taken,
      });
      if (planned.gap && planned.changes && !planned.provisional)
        all.push({ name: "expect", value: read(planned.gap), by: ["prove"] });
    } else if (valve.chosen && valve.piece)
      all.push({
        name: valve.touched ? "in" : "keep",
        value: preferences.shim(valve.chosen.goes_in),
        by: ["choose", "fit"],
      });
    // what to expect stays hidden while proving, so that nobody reads what they expect
    if (!planned && valve.predicted && valve.touched && (!kind.hides || valve.proof))
      all.push({ name: "expect", value: read(valve.predicted), by: ["choose"] });
    if (valve.proof) all.push({ name: "proved", value: felt(valve.proof), by: ["prove"] });
    if (valve.proof && valve.predicted && valve.residual && kind.showsOff)
      all.push({ name: "off by", value: read(valve.residual), by: ["sign"] });
    const own = all.find((line) => line.by.includes(stage));
    if (own) own.large = true;
    return all;
  });
  const verdict = $derived(
    kind.judgesProof ? (valve.proof_verdict ?? valve.verdict) : valve.verdict,
  );
  /** A tall plate shows this stage's own figure large. */
  const tall = $derived(size.height >= 70 && size.width >= 104);
  /** So narrow that the name needs the whole width; the mark goes below it where there is room. */
  const narrow = $derived(size.width < 80);
  const room = $derived(
    Math.max(1, Math.floor((size.height - (tall ? 38 : narrow ? 42 : 25)) / 17)),
  );
  const wide = $derived(size.width >= 104);
  /** Whether a line has room for its name beside its figure: half a word says nothing. */
  const named = (line: { name: string; value: string; large?: boolean }): boolean =>
    line.name.length * 6 + line.value.length * (line.large && tall ? 11.5 : 7.5) + 24 <= size.width;
  /** What fits, the line of this stage first of all. */
  const shown = $derived.by(() => {
    if (lines.length <= room) return lines;
    const own = lines.filter((line) => line.by.includes(stage));
    const last = own.length ? own : lines.slice(-1);
    const rest = lines.filter((line) => !last.includes(line)).slice(-(room - last.length) || 99);
    return lines.filter((line) => last.includes(line) || rest.includes(line)).slice(-room);
  });
</script>

{#snippet mark()}
  <span class="flex items-center gap-1 {verdict ? VERDICT_COLOURS[verdict] : 'text-rule'}">
    {#if kind.asks?.(valve)}
      <b
        class="text-now text-note leading-4"
        aria-hidden="true"
        title="Something is asked about this reading">?</b
      ><span class="sr-only">something is asked</span>
    {/if}
    <GapMark {verdict} size={16} />
    <span class="sr-only">{verdict ? VERDICT_WORDS[verdict] : "not measured"}</span>
  </span>
{/snippet}

<span class="flex h-full flex-col px-1.5 py-0.5 {wide ? 'sm:px-2' : ''}">
  <span class="flex items-center justify-between gap-1">
    <span
      class="truncate {narrow
        ? 'text-tiny'
        : 'text-small'} leading-5 font-[680] tracking-normal whitespace-nowrap [word-spacing:0.12em]"
      style:font-stretch={narrow ? "66%" : "80%"}>{valve.valve}</span
    >
    {#if !narrow}{@render mark()}{/if}
  </span>
  {#if turn}
    <span class="flex flex-1 items-center gap-1.5">
      {#if size.height >= 64 && turn.lanes.length}
        <LobeDial degrees={lobe} rests={turn.rests} />
      {/if}
      <span class="text-mark leading-4 {turn.rests ? 'font-[620]' : 'text-soft'}"
        >{turn.rests ? "measure" : turn.lanes.length ? "lifted" : "not here"}</span
      >
    </span>
  {:else if waits !== null && !draft}
    <span class="figures flex items-baseline justify-between text-note leading-[17px]">
      {#if wide}<span class="text-soft text-tiny">waiting</span>{/if}
      <span class="ml-auto italic">{waits || "struck out"} ⋯</span>
    </span>
  {:else if draft}
    <span class="text-now figures flex items-baseline justify-between text-note leading-[17px]">
      {#if wide}<span class="text-tiny">typed</span>{/if}<span class="ml-auto">{draft}…</span>
    </span>
  {:else}
    {#if narrow && (size.height >= 60 || shown.length === 0)}{@render mark()}{/if}
    {#each shown as line (line.name)}
      <span class="flex items-baseline justify-between gap-1 leading-[17px]">
        {#if narrow && size.height < 60}{@render mark()}{/if}
        {#if wide}<span class={named(line) ? "text-soft min-w-0 truncate text-name" : "sr-only"}
            >{line.name}</span
          >{/if}
        <span
          style:font-stretch={narrow ? "66%" : null}
          class="figures whitespace-nowrap {line.open ? 'text-now' : ''} {!line.large
            ? 'text-note'
            : tall
              ? line.value.length > 6
                ? 'text-[20px] leading-[29px]'
                : 'text-[25px] leading-[29px]'
              : narrow
                ? 'text-note'
                : 'text-row'} {wide ? '' : 'ml-auto'} {line.name === 'found' && valve.chosen
            ? 'text-soft'
            : ''}">{line.value}</span
        >
      </span>
    {/each}
    {#if kind.judgesFound && wide && room > lines.length && valve.verdict === "in" && (valve.near_edge || valve.opens)}
      <span class="text-name leading-[17px] {valve.need === 'open' ? 'font-[680]' : 'text-soft'}">
        {valve.opens ? "to set: " : ""}{valve.near_edge ? "near the edge" : "its cam is out"}
      </span>
    {/if}
    {#if lines.length === 0 && wide}
      <span class="text-soft flex items-baseline justify-between gap-1 leading-[17px]">
        <span class="text-name">spec</span>
        <span class="figures text-fine"
          >{valve.spec
            ? `${preferences.read(valve.spec.low)}–${preferences.read(valve.spec.high)}`
            : "not entered"}</span
        >
      </span>
      {#if valve.last && room > 1}
        <span class="text-soft flex items-baseline justify-between gap-1 leading-[17px]">
          <span class="text-name">last</span>
          <span class="figures text-fine">{preferences.read(valve.last)}</span>
        </span>
      {/if}
    {/if}
    {#if kind.shims && valve.opens && !valve.piece && room > lines.length}
      <span class="text-soft text-name leading-[17px]">{wide ? "read the shim" : "shim?"}</span>
    {/if}
  {/if}
</span>
