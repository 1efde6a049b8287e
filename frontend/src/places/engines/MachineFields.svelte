<script lang="ts">
  /** The machine around the engine: whose it is, its counter, the maker's interval, its bolts. */
  import { COUNTERS } from "../../card/counters";
  import { Field, Offers, Select } from "../../kit";
  import type { EngineDocument } from "./document";
  import type { EngineState } from "./engine.svelte";

  let { engine, file }: { engine: EngineState; file: EngineDocument } = $props();

  const of = $derived(file.engine);
  /** As typed, which stands even where it cannot be read. */
  let interval = $state<string>();
  function type(text: string): void {
    interval = text;
    engine.interval(text);
  }
</script>

<fieldset>
  <legend class="border-ink mb-2 w-full border-b-2 text-lg font-[600]">The machine</legend>
  <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
    <Field
      label="Whose it is"
      value={of.owner ?? ""}
      oninput={(event) => (of.owner = event.currentTarget.value)}
    />
    <Field
      label="Plate or frame number"
      value={of.plate ?? ""}
      oninput={(event) => (of.plate = event.currentTarget.value)}
    />
    <Select
      label="The engine sits in"
      value={of.vehicle ?? "motorcycle"}
      items={[
        { value: "motorcycle", label: "a motorcycle" },
        { value: "car", label: "a car" },
        { value: "other", label: "something else, or a stand" },
      ]}
      onchange={(to) => {
        of.vehicle = to;
        engine.redraw();
      }}
    />
    <Select
      label="The meter shows"
      value={of.counter ?? ""}
      items={COUNTERS}
      onchange={(to) => {
        of.counter = to || null;
        engine.redraw();
      }}
    />
    <Field
      label="Check every (from the manual)"
      help="How often the manual wants the gaps checked: a number in the meter’s unit, such as 12000 or 30."
      kind="figures"
      value={interval ?? of.interval ?? ""}
      invalid={engine.faults.has("Interval")}
      oninput={(event) => type(event.currentTarget.value)}
    />
    {#if engine.faults.has("Interval")}
      <div class="col-span-full flex flex-wrap items-center gap-2">
        <p class="text-tight font-[560]" role="alert">{engine.faults.get("Interval")}</p>
        <Offers offers={engine.offered.get("Interval")?.offers ?? []} onpick={type} />
      </div>
    {/if}
    <Field
      label="How the camshaft caps are marked"
      value={of.caps ?? ""}
      oninput={(event) => (of.caps = event.currentTarget.value)}
    />
    <Field
      label="Tensioner: its kind, what comes first"
      value={of.tensioner ?? ""}
      oninput={(event) => (of.tensioner = event.currentTarget.value)}
    />
  </div>
</fieldset>
