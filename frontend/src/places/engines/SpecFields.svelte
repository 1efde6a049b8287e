<script lang="ts">
  /** The spec as printed: a range a side, a closer or a single valve, and the units it is in. */
  import { Button, Field, Offers, ToggleGroup, Select } from "../../kit";
  import type { EngineDocument, SpecDocument } from "./document";
  import type { EngineState } from "./engine.svelte";

  let { engine, file }: { engine: EngineState; file: EngineDocument } = $props();

  const specs = $derived([
    { name: "Intake", spec: file.engine.spec.intake },
    { name: "Exhaust", spec: file.engine.spec.exhaust },
    ...(file.engine.spec.closer || file.engine.valves.some((one) => one.action === "close")
      ? [
          { name: "Intake closer", spec: file.engine.spec.closer?.intake },
          { name: "Exhaust closer", spec: file.engine.spec.closer?.exhaust },
        ]
      : []),
    ...file.engine.valves
      .filter((valve) => valve.spec)
      .map((valve) => ({ name: valve.id, spec: valve.spec })),
  ]);
  /** What stands in the file, as a manual would print it. */
  function printed(of: SpecDocument): string {
    if (of.nominal !== undefined)
      return of.plus_minus === undefined ? `${of.nominal}` : `${of.nominal} ± ${of.plus_minus}`;
    return of.min === undefined || of.max === undefined ? "" : `${of.min}-${of.max}`;
  }
  const setTo = (of: SpecDocument): string =>
    of.set_min === undefined || of.set_max === undefined ? "" : `${of.set_min}-${of.set_max}`;
  interface Typed {
    text?: string;
    room?: string;
    set?: string;
  }
  /** As typed, which stands even where it cannot be read. */
  let typed = $state<Record<string, Typed>>({});
  const inch = $derived(file.unit === "in");

  function type(name: string, spec: SpecDocument, change: Typed): void {
    // all that stands in the fields is theirs from the first key on: what is read follows it
    const now = {
      text: printed(spec),
      room: `${spec.room ?? ""}`,
      set: setTo(spec),
      ...typed[name],
      ...change,
    };
    typed[name] = now;
    if (change.set !== undefined) engine.setRange(`${name}, set to`, spec, now.set);
    else engine.printed(`${name} spec`, spec, now.text, now.room);
  }
  /** What was typed is read anew in another unit. */
  function readIn(unit: "mm" | "in"): void {
    file.shim_unit ??= file.unit ?? "mm";
    file.unit = unit;
    for (const { name, spec } of specs) {
      const text = typed[name];
      if (!spec || !text) continue;
      type(name, spec, { text: text.text ?? "" });
      if (text.set) type(name, spec, { set: text.set });
    }
    engine.redraw();
  }
  const asksRoom = (name: string, spec: SpecDocument): boolean =>
    spec.room !== undefined || engine.oneFigure.has(`${name} spec`);
  /** What could be typed instead, and what it is typed as. */
  function offered(name: string): { offers: readonly string[]; at: keyof Typed } {
    const set = engine.offered.get(`${name}, set to`);
    const preview = engine.offered.get(`${name} spec`);
    const at = set ? "set" : preview?.field === "room" ? "room" : "text";
    return { offers: (set ?? preview)?.offers ?? [], at };
  }
</script>

<fieldset>
  <legend class="border-ink w-full border-b-2 text-lg font-[600]">Spec</legend>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2 py-2">
    <span class="flex items-center gap-2">
      <span class="text-soft">Gaps in</span>
      <ToggleGroup
        label="Unit of the gaps in the manual"
        value={file.unit ?? "mm"}
        items={["mm", { value: "in", label: "inch" }]}
        onchange={readIn}
      />
    </span>
    <span class="flex items-center gap-2">
      <span class="text-soft">shims in</span>
      <ToggleGroup
        label="Unit of the shims"
        value={file.shim_unit ?? file.unit ?? "mm"}
        items={["mm", { value: "in", label: "inch" }]}
        onchange={(unit) => {
          file.shim_unit = unit;
          engine.redraw();
        }}
      />
    </span>
  </div>
  <p class="text-soft pb-1 text-note leading-5">
    As the manual prints it under valve clearance, engine cold: a range ({inch
      ? ".004-.006"
      : "0.10-0.15"}), a figure with its tolerance ({inch ? ".005 ± .001" : "0.13 ± 0.03"}), or one
    figure. What is not known stays empty.
  </p>
  {#each specs as one (one.name)}
    {@const spec = one.spec}
    {#if spec}
      {@const fault =
        engine.faults.get(`${one.name} spec`) ?? engine.faults.get(`${one.name}, set to`)}
      <div class="grid grid-cols-[minmax(0,2fr)_minmax(0,2fr)_minmax(0,1fr)] gap-2 pb-1">
        <Field
          label={one.name}
          kind="figures"
          aria-label="{one.name} spec, as printed"
          value={typed[one.name]?.text ?? printed(spec)}
          placeholder={inch ? ".004-.006" : "0.10-0.15"}
          invalid={engine.faults.has(`${one.name} spec`)}
          oninput={(event) => type(one.name, spec, { text: event.currentTarget.value })}
        />
        <Field
          label="set to, if printed"
          kind="figures"
          aria-label="{one.name}, range to set to"
          help="Some makers print two ranges: a wider one to leave alone, and this narrower one to set to once it is apart. Mostly there is none."
          value={typed[one.name]?.set ?? setTo(spec)}
          invalid={engine.faults.has(`${one.name}, set to`)}
          oninput={(event) => type(one.name, spec, { set: event.currentTarget.value })}
        />
        <Field
          label="aim"
          kind="decimal"
          aria-label="{one.name} aim"
          help="One figure to aim at, where the manual gives one beside its range. Empty, the shop’s own aim counts."
          value={spec.aim ?? ""}
          invalid={engine.faults.has(`${one.name} aim`)}
          oninput={engine.reads(`${one.name} aim`, (to) => (spec.aim = to), true)}
        />
        {#if asksRoom(one.name, spec)}
          <Field
            label="The manual gives one figure. How much more or less do you allow?"
            class="col-span-3"
            kind="decimal"
            aria-label="{one.name}, the shop’s own room"
            value={typed[one.name]?.room ?? spec.room ?? ""}
            placeholder={inch ? ".001" : "0.03"}
            oninput={(event) => type(one.name, spec, { room: event.currentTarget.value })}
          />
        {/if}
        {#if fault}
          {@const { offers, at } = offered(one.name)}
          <p class="text-tight col-span-3 font-[560]" role="alert">{fault}</p>
          <Offers
            {offers}
            class="col-span-3"
            onpick={(offer) => type(one.name, spec, { [at]: offer })}
          />
        {/if}
      </div>
    {:else}
      <div class="flex items-center gap-3 py-1">
        <span class="font-[560]">{one.name}</span>
        <Button onclick={() => engine.addClosers()}>Give the closers their own spec</Button>
      </div>
    {/if}
  {/each}
  <div class="pt-2">
    <Select
      label="A valve with its own spec"
      shown={false}
      value=""
      items={file.engine.valves.map((valve) => ({
        value: valve.id,
        label: valve.spec ? `${valve.id}: back to its side’s spec` : `${valve.id}: its own spec`,
      }))}
      onchange={(id) => engine.ownSpec(id)}
    />
  </div>
</fieldset>
