<script lang="ts">
  /** Feel: each gap as found, judged as it comes; the blade to try next; slips asked about. */
  import { Button, Field, ToggleGroup } from "../../kit";
  import { preferences } from "../../state/preferences.svelte";
  import type { Job } from "../../card/job.svelte";
  import Entry from "../../card/Entry.svelte";
  import InHand from "../../card/InHand.svelte";
  import NextStage from "../../card/NextStage.svelte";
  import SpecAsk from "../../card/SpecAsk.svelte";
  import Lean from "../../card/Lean.svelte";
  import OpenToo from "../../card/OpenToo.svelte";
  import Ask from "./Ask.svelte";
  import BladeFan from "./BladeFan.svelte";
  import Questions from "../../card/Questions.svelte";
  import { changeWords } from "../../card/change";

  let { job }: { job: Job } = $props();

  type Mode = "fan" | "ask" | "keys";
  /** How each valve is measured; the last choice holds for the next. */
  let modes = $state<Record<string, Mode>>({});
  let usual = $state<Mode>("fan");
  const mode = $derived<Mode>(modes[job.inHand ?? ""] ?? usual);
  const fan = $derived(mode === "fan" && job.card?.blade_set != null);
  const valve = $derived(job.valve);
  const blades = $derived(job.card?.blade_set ?? null);
  const stop = $derived(valve ? job.card?.turning.stops[valve.stop] : undefined);
  /** Nothing is measured at this position yet: the engine is turned to it first. */
  const turnFirst = $derived(
    stop !== undefined &&
      job.card?.only_valve == null &&
      stop.valves.every((name) => !job.valves.get(name)?.found),
  );
  const where = $derived(
    stop?.camshaft
      ? `camshaft ${stop.camshaft}, these lobes away`
      : (stop?.mark ?? `${stop?.degrees ?? "?"}°`),
  );
  /** From what is typed if anything is, else from what was written. */
  const next = $derived(
    (job.entry.understood ? job.entry.understood.next_blade : valve?.next_blade)?.blades ?? [],
  );

  const hint = $derived.by(() => {
    if (next.length)
      return `Next, try ${next.map((one) => job.marked(one)).join(" and ")}${next.length > 1 ? " together" : ""}.`;
    return preferences.unit === "mm"
      ? "15 is 0.15 with light drag. 13-15: goes, refuses. x: nothing goes."
      : "6 is 6 thou with light drag. 6-7: goes, refuses. x: nothing goes.";
  });
  const note = $derived.by(() => {
    if (!valve) return "";
    const place = stop ? `Position ${valve.stop + 1}, ${where}` : "";
    const last = [
      valve.last ? `left at ${preferences.read(valve.last)}` : "",
      valve.kept ? `${preferences.shim(valve.kept)} in` : "",
    ].filter(Boolean);
    const before = last.length ? ` Last time: ${last.join(", ")}.` : "";
    if (!valve.found) return `${place}: its lobe points away from the follower.${before}`;
    const words = preferences.unit === "mm" ? valve.found.mm : valve.found.thou;
    const change = valve.change
      ? `. Its piece: ${changeWords(valve.change, (one) => preferences.shim(one))}`
      : "";
    return `${words}; ${valve.reason}${valve.near_edge ? ", near the tight edge" : ""}${change}`;
  });
</script>

{#if valve && job.card}
  <InHand {valve} gap={valve.found?.gap ?? null} verdict={valve.verdict} {note} />
  {#if turnFirst && stop && !job.signed && !job.card.apart}
    <p class="border-now border-l-4 pl-3 leading-5">
      <b>Turn to position {valve.stop + 1} first: {where}.</b>
      {#if stop.cue}{stop.cue}.{/if}
      Then measure {stop.valves.join(", ")}.
    </p>
  {/if}
  <SpecAsk {job} />
  <Questions {job} />
  {#if job.card.apart && !job.signed}
    <div class="border-now border-l-4 pl-3">
      <p class="leading-5">
        <b>Pieces are out.</b> What was found is only corrected now, as a line with its reason.
      </p>
      <Field
        label="Why it is corrected"
        bind:value={job.entry.reason}
        invalid={job.refusal?.field === "correction"}
        id="correction"
      />
    </div>
  {/if}
  {#if !job.signed}
    <div class="flex items-center justify-between gap-2">
      <ToggleGroup
        label="How to measure this valve"
        value={mode}
        items={[
          { value: "fan", label: "blades" },
          { value: "ask", label: "guide me" },
          { value: "keys", label: "keypad" },
        ]}
        onchange={(to) => {
          usual = to;
          if (job.inHand) modes[job.inHand] = to;
        }}
      />
      {#if valve.found}
        <Button
          kind={job.entry.repeating ? "now" : "plain"}
          aria-pressed={job.entry.repeating}
          onclick={() => (job.entry.repeating = !job.entry.repeating)}>Once more</Button
        >
      {/if}
    </div>
  {/if}
  {#if valve.repeats.length > 1 && valve.spread}
    <p class="text-soft text-note">
      Read {valve.repeats.length} times: {valve.repeats
        .map((gap) => preferences.read(gap))
        .join(", ")}; spread {preferences.read(valve.spread)}.
    </p>
  {/if}
  <OpenToo {job} />
  {#if mode === "ask" && blades && !job.signed}
    <Ask {job} />
  {:else}
    <Entry {job} what={job.entry.repeating ? "Gap once more" : "Gap"} {hint} keypad={!fan}>
      {#if fan && blades}
        <!-- taps while a reading is on its way would land on the valve before -->
        <div class={job.entry.sending ? "pointer-events-none" : ""}>
          <BladeFan
            {blades}
            draft={job.entry.draft}
            next={next.map((one) => one.nm)}
            ontype={(text, unit) => job.entry.begin(text, unit)}
            onsnapped={() => {
              job.entry.draft = "";
              void job.queue.load();
            }}
          />
        </div>
        <div class="grid grid-cols-4 gap-1">
          {#each [["l", "loose"], ["t", "tight"], ["x", "none"]] as [types, face] (face)}
            <Button
              class="px-1"
              onclick={() =>
                (job.entry.draft =
                  types === "x" ? "x" : job.entry.draft.replace(/[ltd]$/, "") + types)}
              >{face}</Button
            >
          {/each}
          <Button kind="now" class="px-1" onclick={() => job.entry.submit()}>Write</Button>
        </div>
      {/if}
    </Entry>
  {/if}
  <NextStage card={job.card} stage="feel">
    {#if !job.signed}
      <Lean {job} of="act" />
    {/if}
  </NextStage>
{/if}
