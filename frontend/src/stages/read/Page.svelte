<script lang="ts">
  /** Read: how to get at the shims, and what came out of each valve. */
  import { act } from "../../api/acts";
  import type { Refusal } from "../../api/client";
  import { preferences } from "../../state/preferences.svelte";
  import { Button, Field, Form, ToggleGroup, Select } from "../../kit";
  import { shopState } from "../../state/shop.svelte";
  import type { Job } from "../../card/job.svelte";
  import Checklist from "../../card/Checklist.svelte";
  import Entry from "../../card/Entry.svelte";
  import InHand from "../../card/InHand.svelte";
  import Aside from "../../card/Aside.svelte";
  import NextStage from "../../card/NextStage.svelte";
  import OpenToo from "../../card/OpenToo.svelte";
  import { Draft } from "../../state/draft.svelte";
  import { Instrument } from "./instrument.svelte";

  let { job }: { job: Job } = $props();

  const piece = $derived(job.valve?.piece ?? null);
  const reach = $derived(job.card?.reach ?? []);
  /** Until the first shim is read, or all is opened, the way to them comes first. */
  const begun = $derived(
    reach.every((step) => step.done) || (job.card?.valves.some((one) => one.piece) ?? false),
  );
  const instruments = $derived(shopState.shop?.instruments ?? []);
  const zero = new Draft(() => job.card?.zero?.mm ?? "");
  async function checkZero(instrument_id: number | null): Promise<void> {
    await zero.save((shows) => job.act(act("zero", { instrument_id, zero: shows })));
  }
  /** Answer which thickness counts where marking and micrometer disagree; then the next valve. */
  function trust(valve: string, counts: "measured" | "marked"): void {
    void job.actAndGoOn(valve, act("trust", { valve, trust: counts }));
  }

  const stream = new Instrument((reading) => {
    // a reading goes beside what is there: a marking, or the readings before
    if (!job.signed && job.inHand) job.entry.draft = `${job.entry.draft.trim()} ${reading}`.trim();
  });
  async function close(): Promise<void> {
    if (!job.inHand) return;
    try {
      await stream.press(job.id, job.inHand);
    } catch (error) {
      job.queue.refusal = error as Refusal;
    }
  }
  $effect(() => {
    stream.start();
    return () => stream.stop();
  });
</script>

{#snippet way()}
  {#if reach.length}
    <Checklist
      {job}
      items={reach}
      title="Getting at the shims"
      open={reach.some((n) => !n.done)}
      brief={!begun}
    />
  {/if}
{/snippet}

{#if job.valve && job.card}
  <InHand
    valve={job.valve}
    gap={job.valve.found?.gap ?? null}
    verdict={job.valve.verdict}
    scale={false}
    note={piece
      ? `${piece.words}${piece.condition === "sound" ? "" : `; ${piece.condition}`}${
          piece.spread ? `; spread ${preferences.shim(piece.spread)}` : ""
        }`
      : job.valve.reason}
  />
  {#each job.asked as asked (asked.valve)}
    {#if asked.piece?.measured && asked.piece.marked_as}
      <div class="border-now bg-wash border-l-4 py-2 pr-2 pl-3" role="alert">
        <p class="pb-1.5 leading-5">
          <b>{asked.valve}:</b> marking and micrometer are far apart. Which one counts? In doubt, check
          the zero and measure again.
        </p>
        <div class="grid grid-cols-2 gap-2">
          <Button kind="now" onclick={() => trust(asked.valve, "measured")}
            >Micrometer {preferences.shim(asked.piece.measured)}</Button
          >
          <Button onclick={() => trust(asked.valve, "marked")}
            >Marking {preferences.shim(asked.piece.marked_as)}</Button
          >
        </div>
      </div>
    {/if}
  {/each}
  {#if piece?.disagrees && piece.answered}
    <p class="text-soft text-note">
      {piece.trust === "marked" ? "The marking" : "The micrometer"} counts, as you said.
    </p>
  {/if}
  <OpenToo {job} always />
  {#if !begun}{@render way()}{/if}
  <Entry
    {job}
    what={job.card.reference_first && job.card.round === 1
      ? "Reference shim that goes in"
      : "Shim that is in"}
    hint="290 is the marking. 2.897 is measured. ?? where the marking is worn off."
  >
    <div class="flex flex-wrap items-center gap-2">
      <ToggleGroup
        label="The shim is"
        value={job.entry.condition}
        items={["sound", "worn", "scrap"]}
        onchange={(condition) => (job.entry.condition = condition)}
      />
      {#if stream.connected}
        <Button
          onclick={() => void close()}
          title="The simulated micrometer closes on this valve’s shim">Close the micrometer</Button
        >
      {/if}
    </div>
  </Entry>
  {#if !job.signed}
    <Form
      class="border-line grid grid-cols-[minmax(0,1fr)_5.5rem_auto] items-end gap-2 border-t pt-2"
      onsend={() => checkZero(job.card?.instrument_id ?? instruments[0]?.id ?? null)}
    >
      <Select
        label="Measured with"
        value={String(job.card.instrument_id ?? "")}
        items={[
          { value: "", label: "not said" },
          ...instruments.map((one) => ({
            value: String(one.id),
            label: one.name,
            note: `good to ±${one.doubt.mm} mm`,
          })),
        ]}
        onchange={(id) => void checkZero(id ? Number(id) : null)}
      />
      <Field
        label="Reads when closed"
        look="text-soft mb-0.5 block text-sm"
        kind="figures"
        bind:value={zero.value}
        placeholder="0.000"
      />
      <Button
        type="submit"
        kind={job.card.zero === null && !job.card.valves.some((one) => one.piece) ? "now" : "plain"}
        >{job.card.zero === null ? "I checked the zero" : "Check again"}</Button
      >
    </Form>
    <p class="text-soft text-sm">
      {job.card.zero === null
        ? "Close it on nothing first. What it shows is taken off every reading from then on."
        : `Its zero, ${job.card.zero.mm}, is taken off every reading.`}
    </p>
  {/if}
  <NextStage card={job.card} stage="read" lines={reach} />
  <Aside {job} />
  {#if begun}{@render way()}{/if}
{/if}
