<script lang="ts">
  /** Sign: the sheet as it will be printed, and the name under it. */
  import { act } from "../../api/acts";
  import { untrack } from "svelte";
  import { Button, Field, Form, typedOver } from "../../kit";
  import { people } from "../../state/people.svelte";
  import { preferences } from "../../state/preferences.svelte";
  import type { Job } from "../../card/job.svelte";
  import StageNote from "../../card/StageNote.svelte";
  import Bill from "./Bill.svelte";
  import Checklist from "../../card/Checklist.svelte";
  import Sheet from "./Sheet.svelte";
  import { inRange } from "../../card/in-range";
  import { SheetState } from "./state.svelte";

  let { job }: { job: Job } = $props();

  const paper = new SheetState(untrack(() => job));
  /** The sheet is read anew whenever the card has changed. */
  $effect(() => {
    if (job.card) void paper.load();
  });

  let name = $state(preferences.name);
  // what is typed here is kept in this browser until it is signed
  const kept = (what: string) => untrack(() => job).outbox.field("sign", what);
  const remarks = kept("remarks");
  const next = kept("next");
  const nextHours = kept("next hours");
  const nextOn = kept("next on");
  let amended = $state("");
  let amendSays = $state("");
  let checked = $state("");
  async function amend(): Promise<void> {
    const refusal = await paper.amend(people.name(name), amended);
    amendSays = refusal?.sentence ?? "Written.";
    if (!refusal) amended = "";
  }
  async function checkFile(event: Event): Promise<void> {
    const field = event.currentTarget as HTMLInputElement;
    const file = field.files?.[0];
    if (file) checked = await paper.check(file);
    field.value = "";
  }
  const left = $derived(job.card?.not_in_spec ?? []);
  /** What the engine's counter counts comes first. */
  const byHours = $derived(job.card?.machine.counter === "h");
  const proposed = $derived(paper.sheet?.proposed ?? null);
  function propose(): void {
    if (proposed?.at == null) return;
    (proposed.measure === "h" ? nextHours : next).value = `${proposed.at}`;
  }

  async function sign(): Promise<void> {
    if (!people.here) preferences.setName(name.trim());
    await job.act(
      act("sign", {
        signed_by: people.name(name),
        remarks: remarks.value,
        next_distance: next.value.trim() || null,
        next_hours: nextHours.value.trim() || null,
        next_on: nextOn.value || null,
      }),
    );
  }
</script>

{#snippet hoursNext(label: string)}
  <Field {label} kind="decimal" bind:value={nextHours.value} at="hours" />
{/snippet}

{#snippet files()}
  <div class="grid grid-cols-2 gap-2">
    <Button onclick={() => print()}>Print</Button>
    <a
      href="/api/cards/{job.id}/sheet.pdf"
      target="_blank"
      rel="noopener"
      class="bg-sheet border-rule hover:border-ink inline-flex min-h-11 items-center justify-center border px-3.5 font-[560]"
      >PDF</a
    >
    <Button href="/api/cards/{job.id}/card.json" kind="bare">Card as JSON</Button>
    <Button href="/api/cards/{job.id}/readings.csv" kind="bare">Readings as CSV</Button>
    <Button href="/api/cards/{job.id}/bill.csv" kind="bare">Bill as CSV</Button>
    <Button href="/history/card/{job.id}" kind="bare">What happened</Button>
  </div>
{/snippet}

{#if job.card}
  <div class="flex min-h-0 flex-1 max-lg:block max-lg:overflow-auto print:block">
    <div
      class="min-h-0 flex-1 overflow-auto p-4 max-lg:overflow-visible max-sm:p-0 print:overflow-visible print:p-0"
    >
      {#if paper.sheet}
        <Sheet sheet={paper.sheet} drawing={job.drawing ?? job.card.drawing} valves={job.valves} />
      {:else if paper.refusal}
        <p class="m-4">{paper.refusal.sentence}</p>
        <Button kind="now" onclick={() => void paper.load()}>Try again</Button>
      {:else}
        <p class="text-soft m-4">Writing the sheet…</p>
      {/if}
    </div>
    <aside
      class="no-print border-ink flex w-[384px] shrink-0 flex-col gap-3 overflow-auto border-l p-4 max-lg:w-full max-lg:border-t max-lg:border-l-0"
    >
      {#if job.signed}
        <h2 class="text-2xl font-[640]">Signed</h2>
        <p>
          {job.card.signed_by} signed this card. Nothing on it changes any more.
        </p>
        {@render files()}
        <Form class="border-line flex flex-col gap-2 border-t pt-2" onsend={amend}>
          <label class="block">
            <span class="text-soft">Something to add? A dated line of its own</span>
            <textarea class="field min-h-20" bind:value={amended}></textarea>
          </label>
          {#if !people.here}
            <Field label="Name" bind:value={name} autocomplete="name" />
          {/if}
          <Button type="submit" disabled={!amended.trim()}>Save</Button>
          {#if amendSays}<p role="status">{amendSays}</p>{/if}
        </Form>
        <label
          class="border-line focus-within:outline-now cursor-pointer border-t pt-2 focus-within:outline-3"
        >
          <span class="font-[560] underline underline-offset-4">Check a PDF against the record</span
          >
          <input
            type="file"
            accept="application/pdf,.pdf"
            class="sr-only"
            onchange={checkFile}
            id="check-pdf"
          />
        </label>
        {#if checked}<p role="status">{checked}</p>{/if}
        <Button href="/" kind="bare">Back to the bench</Button>
      {:else}
        {#if job.card.cover.length}
          <Checklist
            {job}
            items={job.card.cover}
            title="Closing up"
            open={job.card.cover.some((one) => !one.done)}
          />
        {/if}
        <h2 class="text-2xl font-[640]">Sign the sheet</h2>
        {#if left.length}
          <p class="border-tight border-l-4 pl-3">
            <b class="text-tight">Not shown to be in range:</b>
            {left.join(", ")}. Measure again, or write below why you sign all the same.
          </p>
        {:else}
          <p>{inRange([...job.valves.values()])}</p>
        {/if}
        {#if job.card.not_done.length}
          <div class="border-now border-l-4 pl-3">
            <b>Not done, and the sheet says so:</b>
            <ul class="text-note leading-5">
              {#each job.card.not_done as said (said)}<li>{said}</li>{/each}
            </ul>
          </div>
        {/if}
        <Form onsend={sign} refusal={job.refusal}>
          {#if people.here}
            <p><span class="text-soft">Signed by</span> <b>{people.here.name}</b></p>
          {:else}
            <Field
              label="Name"
              bind:value={name}
              autocomplete="name"
              at="signed_by"
              onfocus={typedOver}
            />
          {/if}
          <label class="block">
            <span class="text-soft">Remarks</span>
            <textarea
              class="field min-h-24"
              bind:value={remarks.value}
              aria-invalid={job.refusal?.field === "remarks"}></textarea>
          </label>
          {#if proposed && !next.value && !nextHours.value && !nextOn.value}
            <div class="border-now border-l-4 flex items-center justify-between gap-3 pl-3">
              <p class="leading-5"><b>Next check, proposed:</b> {proposed.words}.</p>
              {#if proposed.at !== null}
                <Button onclick={propose}>Take it</Button>
              {/if}
            </div>
          {/if}
          <div class="grid grid-cols-2 gap-2">
            {#if byHours}{@render hoursNext("Next check at, hours")}{/if}
            <Field
              label="{byHours ? 'or at' : 'Next check at'}, {job.card.measure === 'mi'
                ? 'miles'
                : 'km'}"
              kind="whole"
              bind:value={next.value}
              at="distance"
            />
            {#if !byHours}{@render hoursNext("or at, hours")}{/if}
            <Field label="or by the day" type="date" bind:value={nextOn.value} at="next_on" />
          </div>
          {#snippet foot()}
            <p class="text-soft text-note leading-5">
              Before you start the engine: cover torqued to the manual’s figure, tensioner released,
              nothing left inside. Two full turns by hand without a stop.
            </p>
            <Button kind="now" type="submit" class="min-h-12 text-lg">Sign</Button>
          {/snippet}
        </Form>
        <Bill {job} />
        <StageNote {job} />
        {@render files()}
      {/if}
    </aside>
  </div>
{/if}
