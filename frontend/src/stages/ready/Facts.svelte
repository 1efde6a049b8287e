<script lang="ts">
  /** Why, at what run, by whom, with what, and what kind of job: put right where that was wrong. */
  import { act } from "../../api/acts";
  import kinds from "../../api/kinds.json";
  import { Button, Field, Form, Select } from "../../kit";
  import type { Job } from "../../card/job.svelte";
  import KindFields from "../../card/KindFields.svelte";
  import RunFields from "../../card/RunFields.svelte";
  import { Draft } from "../../state/draft.svelte";
  import { preferences } from "../../state/preferences.svelte";
  import { shopState } from "../../state/shop.svelte";
  import { grouped } from "../../kit/numbers";

  let { job }: { job: Job } = $props();

  const card = $derived(job.card);
  const sets = $derived(shopState.shop?.blade_sets ?? []);
  const tools = $derived(shopState.shop?.instruments ?? []);
  let open = $state(false);
  const draft = new Draft(() => ({
    reason: card?.reason ?? "",
    who: card?.opened_by ?? "",
    distance: card?.distance == null ? "" : `${card.distance}`,
    measure: card?.measure === "mi" ? ("mi" as const) : ("km" as const),
    hours: card?.hours ?? "",
    kind: card?.kind ?? "set",
    valve: card?.only_valve ?? "",
    by: "",
    wider: (card?.change?.nm ?? 1) > 0,
  }));
  let typed = $state({ ...draft.value });
  function begin(): void {
    open = !open;
    typed = { ...draft.value };
  }
  const kindIs = $derived(kinds.jobs.find((one) => one.value === card?.kind)?.label ?? "");
  const run = $derived(
    [
      card?.distance == null
        ? ""
        : `${grouped(card.distance)} ${card.measure === "mi" ? "miles" : "km"}`,
      card?.hours == null ? "" : `${card.hours} h`,
    ]
      .filter(Boolean)
      .join(", "),
  );

  async function correct(): Promise<void> {
    if (!card) return;
    const facts = act("correct", {
      reason: typed.reason,
      opened_by: typed.who,
      distance: typed.distance.trim() || null,
      measure: typed.measure,
      hours: typed.hours.trim() || null,
    });
    if (!(await job.act(facts))) return;
    const one = kinds.jobs.find((row) => row.value === typed.kind)?.one ?? false;
    if (typed.kind !== card.kind || (one && typed.by)) {
      const { valve, by, wider } = typed;
      const amount = one ? { valve, by, wider, unit: preferences.unit } : null;
      if (!(await job.act(act("kind", { kind: typed.kind, amount })))) return;
    }
    open = false;
  }
</script>

{#if card}
  <div class="flex items-baseline justify-between gap-3 py-2">
    <p class="leading-5">
      <b>{kindIs[0]?.toUpperCase()}{kindIs.slice(1)}</b>{card.only_valve && card.change
        ? `: ${card.only_valve}, ${preferences.read(card.change)} ${preferences.unitName}`
        : ""}.
      <span class="text-soft"
        >{[[card.reason, run && `at ${run}`].filter(Boolean).join(", "), card.opened_by]
          .filter(Boolean)
          .join("; ")}.</span
      >
    </p>
    {#if !job.signed}
      <Button kind="bare" aria-expanded={open} onclick={begin}
        >{open ? "Leave it" : "Correct"}</Button
      >
    {/if}
  </div>
  {#if open && !job.signed}
    <Form
      class="border-line mb-3 grid grid-cols-2 gap-3 border p-3"
      refusal={job.refusal}
      onsend={correct}
    >
      <KindFields
        bind:kind={typed.kind}
        bind:valve={typed.valve}
        bind:by={typed.by}
        bind:wider={typed.wider}
        valves={[...job.valves.keys()]}
        unit={preferences.unit}
      />
      <Field label="Reason for the job" class="col-span-2" at="reason" bind:value={typed.reason} />
      <Field label="Technician" class="col-span-2" at="opened_by" bind:value={typed.who} />
      <RunFields
        bind:distance={typed.distance}
        bind:measure={typed.measure}
        bind:hours={typed.hours}
        counts={job.card?.machine.counter}
      />
      {#snippet foot()}
        <Button kind="now" type="submit">Put it right</Button>
        <Button onclick={() => void job.act(act("put-away", { away: true }))}
          >Opened by mistake: put it away</Button
        >
      {/snippet}
    </Form>
  {/if}
  {#if !job.signed && (sets.length || tools.length)}
    <div class="grid grid-cols-2 gap-3 pb-3">
      <Select
        label="Feeler set"
        value={`${card.blade_set?.id ?? ""}`}
        items={[
          { value: "", label: "none said" },
          ...sets.map((one) => ({ value: `${one.id}`, label: one.name })),
        ]}
        onchange={(id) => void job.measureWith(id === "" ? null : Number(id))}
      />
      <Select
        label="Shims measured with"
        value={`${card.instrument_id ?? ""}`}
        items={[
          { value: "", label: "none said" },
          ...tools.map((one) => ({
            value: `${one.id}`,
            label: one.name,
            note: `good to ±${one.doubt.mm} mm`,
          })),
        ]}
        onchange={(id) =>
          void job.act(act("instrument", { instrument_id: id === "" ? null : Number(id) }))}
      />
    </div>
  {/if}
{/if}
