<script lang="ts">
  /** What the shims are: their place, and the sizes that can be had, tapped or typed. */
  import type { Family, Schemas } from "../../api/client";
  import kinds from "../../api/kinds.json";
  import { Field, Select, ToggleGroup } from "../../kit";
  import { by, familiesWithSizes, runsOf, sizeIn, steps } from "../../state/sizes";
  import type { EngineDocument, FamilyDocument } from "./document";
  import type { EngineState } from "./engine.svelte";

  let { engine, file }: { engine: EngineState; file: EngineDocument } = $props();

  type Follower = Schemas["StartIn"]["follower"];
  const followers = kinds.followers as { value: Follower; label: string }[];
  const unit = $derived(file.shim_unit ?? file.unit ?? "mm");
  const STEPS = $derived(
    unit === "in"
      ? steps(".060-.140", [".002", ".001"])
      : steps("1.20-3.50", ["0.05", "0.025", "0.02", "0.01"]),
  );
  const family = $derived(file.engine.family);
  let families = $state.raw<readonly Family[]>([]);
  void familiesWithSizes().then((found) => (families = found));

  /** The sizes as they would be typed. */
  function shown(of: FamilyDocument): string {
    return of.runs
      .filter((run) => run.from !== undefined && run.to !== undefined)
      .map((run) =>
        run.from === run.to ? `${run.from}` : `${run.from}-${run.to}/${run.step ?? ""}`,
      )
      .join(" ");
  }
  const text = $derived(engine.sizes ?? shown(family));

  /** The sizes and the diameter of a family that lies in the drawer. */
  function take(of: Family): void {
    const { diameter } = of;
    if (diameter) family.diameter = Number(sizeIn(unit, diameter));
    engine.typeSizes(runsOf(of, unit));
  }
</script>

<fieldset>
  <legend class="border-ink w-full border-b-2 text-lg font-[600]">Shims</legend>
  <div class="grid grid-cols-2 gap-3 pt-2 max-sm:grid-cols-1">
    {#if engine.id === null}
      <Select
        label="Where they sit"
        help="What the cam presses on, and where its shim is. With shims on top the bucket has a notch. With shims under, the camshaft comes out to reach them."
        value={engine.start.follower}
        items={followers}
        onchange={(follower) => void engine.begin({ follower })}
      />
    {/if}
    <div>
      <span class="text-soft block">Sizes</span>
      <div class="flex flex-wrap items-center gap-2">
        <ToggleGroup
          label="Sizes that are made"
          value={text}
          items={STEPS.map((run) => ({ value: run, label: by(run) }))}
          onchange={(run) => engine.typeSizes(run)}
        />
        <ToggleGroup
          label="Unit of the shims"
          value={unit}
          items={["mm", { value: "in", label: "inch" }]}
          onchange={(to) => {
            file.shim_unit = to;
            engine.typeSizes("");
          }}
        />
      </div>
    </div>
    <Field
      label="or type them: smallest-largest/step"
      kind="figures"
      value={text}
      invalid={engine.faults.has("Shim sizes")}
      placeholder={unit === "in" ? ".060-.140/.002" : "1.20-3.50/0.05"}
      oninput={(event) => engine.typeSizes(event.currentTarget.value)}
    />
    {#if families.length}
      <Select
        label="or as in the drawer"
        value=""
        items={families.map((one) => ({ value: `${one.id}`, label: one.name }))}
        onchange={(id) => {
          const of = families.find((one) => `${one.id}` === id);
          if (of) take(of);
        }}
      />
    {/if}
  </div>
  {#if engine.faults.has("Shim sizes")}
    <p class="text-tight font-[560]" role="alert">{engine.faults.get("Shim sizes")}</p>
  {/if}
</fieldset>
