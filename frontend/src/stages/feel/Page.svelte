<script lang="ts">
  /** Feel: each gap as found, judged as it comes; the blade to try next; slips asked about. */
  import { Button, Field } from "../../kit";
  import { preferences } from "../../state/preferences.svelte";
  import type { Job } from "../../card/job.svelte";
  import InHand from "../../card/InHand.svelte";
  import NextStage from "../../card/NextStage.svelte";
  import BladesAsk from "../../card/BladesAsk.svelte";
  import SpecAsk from "../../card/SpecAsk.svelte";
  import Aside from "../../card/Aside.svelte";
  import Lean from "../../card/Lean.svelte";
  import OpenToo from "../../card/OpenToo.svelte";
  import Measure from "../../card/Measure.svelte";
  import TurnFirst from "../../card/TurnFirst.svelte";
  import { placeOf } from "../../card/place";
  import Questions from "../../card/Questions.svelte";
  import { changeWords } from "../../card/change";

  let { job }: { job: Job } = $props();

  const valve = $derived(job.valve);
  const stop = $derived(valve ? job.card?.turning.stops[valve.stop] : undefined);
  const note = $derived.by(() => {
    if (!valve) return "";
    const place = stop ? `Position ${valve.stop + 1}, ${placeOf(stop)}` : "";
    const last = [
      valve.last ? `left at ${preferences.read(valve.last)}` : "",
      valve.kept ? `${preferences.shim(valve.kept)} in` : "",
    ].filter(Boolean);
    const before = last.length ? ` Last time: ${last.join(", ")}.` : "";
    if (!valve.found) return `${place}: its lobe points away from the follower.${before}`;
    const words = preferences.unit === "mm" ? valve.found.mm : valve.found.thou;
    const change = valve.change
      ? `. Its shim: ${changeWords(valve.change, (one) => preferences.shim(one))}`
      : "";
    return `${words}; ${valve.reason}${valve.near_edge ? ", near the tight edge" : ""}${change}`;
  });
</script>

{#if valve && job.card}
  <InHand {valve} gap={valve.found?.gap ?? null} verdict={valve.verdict} {note} />
  {#if !valve.past}<TurnFirst {job} measured={(one) => one.found !== null} />{/if}
  <SpecAsk {job} />
  <Questions {job} />
  <BladesAsk {job} />
  {#if valve.past && !job.signed}
    <div class="border-now border-l-4 pl-3">
      <p class="leading-5">
        <b>This valve was opened.</b> What was found is only corrected now, as a line with its reason.
      </p>
      <Field
        label="Why it is corrected"
        bind:value={job.entry.reason}
        invalid={job.refusal?.field === "correction"}
        id="correction"
      />
    </div>
  {/if}
  <Measure {job} what={job.entry.repeating ? "Gap once more" : "Gap"} written={valve.next_blade}>
    {#snippet beside()}
      {#if valve.found}
        <Button
          kind={job.entry.repeating ? "now" : "plain"}
          aria-pressed={job.entry.repeating}
          onclick={() => (job.entry.repeating = !job.entry.repeating)}>Once more</Button
        >
      {/if}
    {/snippet}
  </Measure>
  {#if valve.repeats.length > 1 && valve.spread}
    <p class="text-soft text-note">
      Read {valve.repeats.length} times: {valve.repeats
        .map((gap) => preferences.read(gap))
        .join(", ")}; spread {preferences.read(valve.spread)}.
    </p>
  {/if}
  <OpenToo {job} />
  <NextStage card={job.card} stage="feel">
    {#if !job.signed}
      <Lean {job} of="act" />
      <Aside {job} />
    {/if}
  </NextStage>
{/if}
