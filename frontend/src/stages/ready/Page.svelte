<script lang="ts">
  /** Ready: cold, safe, and a tray with a pocket for every bolt. */
  import { act } from "../../api/acts";
  import { Button, Field, Form } from "../../kit";
  import type { Job } from "../../card/job.svelte";
  import Checklist from "../../card/Checklist.svelte";
  import { Draft } from "../../state/draft.svelte";
  import Facts from "./Facts.svelte";
  import Machine from "./Machine.svelte";
  import Renew from "./Renew.svelte";
  import SideChecks from "./SideChecks.svelte";
  import StageNote from "../../card/StageNote.svelte";
  import StripTray from "./StripTray.svelte";

  let { job }: { job: Job } = $props();

  const card = $derived(job.card);
  const bench = $derived(card?.turning.method === "bench");
  /** The stage after this one, in the order of this kind of job. */
  const next = $derived(card?.todo[1]?.stage ?? "turn");
  const rested = new Draft(() => card?.conditions.rested_hours ?? "");
  const temperature = new Draft(() => card?.conditions.temperature_c ?? "");
  const reason = new Draft(() => card?.conditions.reason ?? "");
  const warm = $derived(job.refusal?.field === "reason" || card?.conditions.warm === true);
  /** What was refused of these fields, and not of another form on the page. */
  const coldRefusal = $derived(
    ["rested", "temperature", "reason"].includes(job.refusal?.field ?? "") ? job.refusal : null,
  );
  /** Figures stand in the fields that are not written down yet: that comes before going on. */
  const typed = $derived([rested, temperature, reason].some((one) => one.changed));
  const left = $derived(card?.safety.filter((item) => !item.done).length ?? 0);

  async function note(): Promise<void> {
    const cold = act("conditions", {
      rested_hours: rested.value.trim() || null,
      temperature_c: temperature.value.trim() || null,
      reason: reason.value,
    });
    const sent = job.act(cold);
    await Promise.all([rested, temperature, reason].map((one) => one.save(() => sent)));
  }
</script>

{#if card}
  <div class="min-h-0 flex-1 overflow-auto">
    <div
      class="mx-auto grid max-w-[1240px] grid-cols-[minmax(0,5fr)_minmax(0,6fr)] gap-8 p-5 max-lg:grid-cols-1 max-sm:p-3"
    >
      <section aria-labelledby="safe">
        <h2
          id="safe"
          class="border-ink flex items-baseline justify-between border-b-2 pb-1 text-xl"
        >
          Safe <span class="text-soft figures text-base"
            >{left ? `${left} ${left === 1 ? "step" : "steps"} open` : "all done"}</span
          >
        </h2>
        {#if left && !job.signed}
          <p class="text-soft pt-2 leading-5">
            Tick each step when it is done. You can go on without; the sheet then says what was not
            ticked.
          </p>
        {/if}
        <Checklist {job} items={card.safety} />
        <p class="text-soft py-3 text-note">
          The manufacturer’s manual, local codes and licensed practice come before this list.
        </p>
      </section>
      <div>
        <section aria-labelledby="cold">
          <h2 id="cold" class="border-ink border-b-2 pb-1 text-xl">Cold</h2>
          <Form class="grid grid-cols-2 gap-3 pt-2" onsend={note} refusal={coldRefusal}>
            {#if !bench}
              <Field
                label="Hours since it ran"
                kind="decimal"
                input="text-2xl"
                bind:value={rested.value}
                disabled={job.signed}
                at="rested"
              />
            {/if}
            <Field
              label={bench ? "Head, °C" : "Coolant or head, °C"}
              kind="decimal"
              input="text-2xl"
              bind:value={temperature.value}
              disabled={job.signed}
              at="temperature"
            />
            {#if warm}
              <Field
                label="Why it is measured warm all the same"
                class="col-span-2"
                look="text-tight font-[560]"
                bind:value={reason.value}
                disabled={job.signed}
                at="reason"
              />
            {/if}
            {#snippet foot()}
              {#each card.conditions.warnings as warning (warning)}
                <p class="border-tight col-span-2 border-l-4 pl-3">
                  {warning} Readings are marked as warm.
                </p>
              {/each}
              {#if !job.signed}
                <Button type="submit" kind={typed ? "now" : "plain"}>Save</Button>
              {/if}
            {/snippet}
          </Form>
        </section>
        <section aria-labelledby="job" class="mt-6">
          <h2 id="job" class="border-ink border-b-2 pb-1 text-xl">This job</h2>
          <Facts {job} />
          <Machine {job} />
          {#if !bench}<section aria-labelledby="tray"><StripTray {job} /></section>{/if}
          <Renew {job} />
          <SideChecks {job} />
          <StageNote {job} />
        </section>
      </div>
    </div>
  </div>
  <div
    class="border-ink bg-paper flex flex-wrap items-center gap-x-4 gap-y-1 border-t px-5 py-2 max-sm:px-3"
  >
    <Button kind={typed ? "plain" : "now"} href="/cards/{card.id}/{next}" class="min-h-12 text-lg">
      {card.reference_first
        ? "Write the reference shims down"
        : bench
          ? "Turn the first camshaft"
          : "Turn to the first position"}
    </Button>
    <a
      href="/api/cards/{card.id}/blank.pdf"
      target="_blank"
      rel="noopener"
      class="underline underline-offset-4">An empty sheet to print</a
    >
  </div>
{/if}
