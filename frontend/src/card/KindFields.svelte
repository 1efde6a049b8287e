<script lang="ts">
  /** What kind of job it is; of one valve which, and by how much its gap is to change. */
  import kinds from "../api/kinds.json";
  import type { Schemas, Unit } from "../api/client";
  import { Field, ToggleGroup, Select } from "../kit";

  let {
    kind = $bindable("set"),
    valve = $bindable(""),
    by = $bindable(""),
    wider = $bindable(true),
    valves,
    unit,
  }: {
    kind?: Schemas["JobKind"];
    valve?: string;
    by?: string;
    wider?: boolean;
    valves: readonly string[];
    unit: Unit;
  } = $props();

  const row = $derived(kinds.jobs.find((one) => one.value === kind));
</script>

<div class="col-span-2">
  <Select
    label="Kind of job"
    value={kind}
    items={kinds.jobs.map((one) => ({
      value: one.value as Schemas["JobKind"],
      label: one.label,
      note: one.means,
    }))}
    onchange={(to) => (kind = to)}
  />
  <p class="text-soft pt-0.5 text-note">{row?.means}</p>
</div>
{#if row?.one}
  <div
    class="col-span-2 grid grid-cols-[minmax(0,1fr)_auto_minmax(0,1fr)] items-end gap-2 max-sm:grid-cols-2"
  >
    <Select
      label="Which valve"
      value={valve}
      items={valves.map((one) => ({ value: one, label: one }))}
      onchange={(to) => (valve = to)}
    />
    <div class="max-sm:order-last max-sm:col-span-2">
      <ToggleGroup
        label="Which way"
        value={wider ? "wider" : "narrower"}
        items={["wider", "narrower"]}
        onchange={(to) => (wider = to === "wider")}
      />
    </div>
    <Field
      label="by, {unit === 'mm' ? 'mm' : 'thou'}"
      kind="decimal"
      at="amount"
      bind:value={by}
      placeholder={unit === "mm" ? "0.05" : "2"}
    />
  </div>
{/if}
