<script lang="ts">
  /** The allowed gap as printed: a range a side, a closer or a single valve, and its unit. */
  import { Button, Field, Offers, ToggleGroup, Select } from "../../kit";
  import type { EngineDocument, SpecDocument } from "./document";
  import type { TypedSpec } from "./draft";
  import type { EngineState } from "./engine.svelte";

  let {
    engine,
    file,
    more = false,
  }: {
    engine: EngineState;
    file: EngineDocument;
    /** What few manuals have: a range after setting, a target, a valve of its own. */
    more?: boolean;
  } = $props();

  const specs = $derived([
    { name: "Intake", spec: file.engine.spec.intake, own: false },
    { name: "Exhaust", spec: file.engine.spec.exhaust, own: false },
    ...(file.engine.spec.closer || file.engine.valves.some((one) => one.action === "close")
      ? [
          { name: "Intake closer", spec: file.engine.spec.closer?.intake, own: false },
          { name: "Exhaust closer", spec: file.engine.spec.closer?.exhaust, own: false },
        ]
      : []),
    ...file.engine.valves
      .filter((valve) => valve.spec)
      .map((valve) => ({ name: valve.id, spec: valve.spec, own: true })),
  ]);
  /** What stands in the file, as a manual would print it. */
  function printed(of: SpecDocument): string {
    if (of.nominal !== undefined)
      return of.plus_minus === undefined ? `${of.nominal}` : `${of.nominal} ± ${of.plus_minus}`;
    return of.min === undefined || of.max === undefined ? "" : `${of.min}-${of.max}`;
  }
  const setTo = (of: SpecDocument): string =>
    of.set_min === undefined || of.set_max === undefined ? "" : `${of.set_min}-${of.set_max}`;
  type Typed = TypedSpec;
  const typed = $derived(engine.specs);
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
    engine.specs[name] = now;
    if (change.set !== undefined) engine.setRange(`${name}, set to`, spec, now.set);
    else engine.printed(`${name} allowed gap`, spec, now.text, now.room);
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
    spec.room !== undefined || engine.oneFigure.has(`${name} allowed gap`);
  /** What could be typed instead, and what it is typed as. */
  function offered(name: string): { offers: readonly string[]; at: keyof Typed } {
    const set = engine.offered.get(`${name}, set to`);
    const preview = engine.offered.get(`${name} allowed gap`);
    const at = set ? "set" : preview?.field === "room" ? "room" : "text";
    return { offers: (set ?? preview)?.offers ?? [], at };
  }
</script>

{#snippet fault(name: string, spec: SpecDocument, at: "spec" | "set to")}
  {@const said = engine.faults.get(at === "spec" ? `${name} allowed gap` : `${name}, set to`)}
  {#if said}
    {@const { offers, at: into } = offered(name)}
    <p class="text-tight col-span-full font-[560]" role="alert">{said}</p>
    <Offers
      {offers}
      class="col-span-full"
      onpick={(offer) => type(name, spec, { [into]: offer })}
    />
  {/if}
{/snippet}

{#snippet range(name: string, spec: SpecDocument)}
  <Field
    label={name}
    kind="figures"
    aria-label="{name} allowed gap, as printed"
    value={typed[name]?.text ?? printed(spec)}
    placeholder={inch ? ".004-.006" : "0.10-0.15"}
    invalid={engine.faults.has(`${name} allowed gap`)}
    oninput={(event) => type(name, spec, { text: event.currentTarget.value })}
  />
{/snippet}

{#if !more}
  <fieldset>
    <legend class="border-ink w-full border-b-2 text-lg font-[600]">Allowed gap</legend>
    <div class="grid grid-cols-2 gap-3 pt-2 max-sm:grid-cols-1">
      {#each specs.filter((one) => !one.own) as one (one.name)}
        {@const spec = one.spec}
        {#if spec}
          <div class="grid content-start gap-2">
            {@render range(one.name, spec)}
            {#if asksRoom(one.name, spec)}
              <Field
                label="The manual gives one figure. How much more or less do you allow?"
                kind="decimal"
                aria-label="{one.name}, how much more or less"
                value={typed[one.name]?.room ?? spec.room ?? ""}
                placeholder={inch ? ".001" : "0.03"}
                oninput={(event) => type(one.name, spec, { room: event.currentTarget.value })}
              />
            {/if}
            {@render fault(one.name, spec, "spec")}
          </div>
        {:else}
          <div class="flex items-end">
            <Button onclick={() => engine.addClosers()}>Allowed gap of the closers</Button>
          </div>
        {/if}
      {/each}
    </div>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2 pt-2">
      <ToggleGroup
        label="Unit of the gaps in the manual"
        value={file.unit ?? "mm"}
        items={["mm", { value: "in", label: "inch" }]}
        onchange={readIn}
      />
      <p class="text-soft min-w-0 flex-1 text-note leading-5">
        From the manual, engine cold: a range, or a figure like {inch
          ? ".005 ± .001"
          : "0.13 ± 0.03"}. Leave empty what you do not know.
      </p>
    </div>
  </fieldset>
{:else}
  <fieldset>
    <legend class="border-ink w-full border-b-2 text-lg font-[600]">More about the gaps</legend>
    {#each specs as one (one.name)}
      {@const spec = one.spec}
      {#if spec}
        <div class="grid grid-cols-2 gap-2 pt-2 {one.own ? 'grid-cols-3' : ''}">
          {#if one.own}
            {@render range(one.name, spec)}
          {/if}
          <Field
            label="{one.name}: range after setting"
            kind="figures"
            help="Some manuals print two ranges: a wider one to leave alone, and a narrower one to set to. Most have only one."
            value={typed[one.name]?.set ?? setTo(spec)}
            invalid={engine.faults.has(`${one.name}, set to`)}
            oninput={(event) => type(one.name, spec, { set: event.currentTarget.value })}
          />
          <Field
            label="{one.name}: target"
            kind="decimal"
            help="One figure to aim at, if the manual gives one beside its range. If empty, the shop’s own rule counts."
            value={spec.aim ?? ""}
            invalid={engine.faults.has(`${one.name} aim`)}
            oninput={engine.reads(`${one.name} aim`, (to) => (spec.aim = to), true)}
          />
          {#if one.own}{@render fault(one.name, spec, "spec")}{/if}
          {@render fault(one.name, spec, "set to")}
        </div>
      {/if}
    {/each}
    <div class="pt-2">
      <Select
        label="A valve with its own allowed gap"
        shown={false}
        value=""
        items={file.engine.valves.map((valve) => ({
          value: valve.id,
          label: valve.spec
            ? `${valve.id}: back to the gap of its side`
            : `${valve.id}: its own allowed gap`,
        }))}
        onchange={(id) => engine.ownSpec(id)}
      />
    </div>
  </fieldset>
{/if}
