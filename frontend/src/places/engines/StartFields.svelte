<script lang="ts">
  /** What a new engine starts from: its layout, and what differs about it. */
  import kinds from "../../api/kinds.json";
  import type { Schemas } from "../../api/client";
  import { Check, Select, ToggleGroup } from "../../kit";
  import type { Items } from "../../kit/items";
  import type { EngineState } from "./engine.svelte";

  let { engine, more = false }: { engine: EngineState; more?: boolean } = $props();

  type Start = Schemas["StartIn"];
  const start = $derived(engine.start);
  const layouts: Items<Start["layout"]> = [
    "single",
    { value: "parallel-twin", label: "parallel twin" },
    { value: "v-twin", label: "V-twin" },
    { value: "l-twin", label: "L-twin" },
    "triple",
    { value: "inline-four", label: "inline four" },
    { value: "v-four", label: "V-four" },
    { value: "flat-four", label: "flat four" },
    { value: "inline-five", label: "five in line" },
    { value: "straight-six", label: "straight six" },
    { value: "flat-six", label: "flat six" },
    { value: "v-eight", label: "V8" },
    { value: "v-twelve", label: "V12" },
  ];
  const firings = $derived((kinds.firings as Record<string, string>)[start.layout]?.split(" "));
</script>

{#if !more}
  <fieldset>
    <legend class="border-ink w-full border-b-2 text-lg font-[600]">Layout</legend>
    <div class="flex flex-wrap items-end gap-x-5 gap-y-3 pt-2">
      <div class="min-w-44 flex-1">
        <Select
          label="Cylinders"
          help="How the cylinders lie. An inline engine has them side by side or behind one another. A V or L has two banks."
          value={start.layout}
          items={layouts}
          onchange={(layout) => void engine.begin({ layout })}
        />
      </div>
      <div>
        <span class="text-soft block">Valves a cylinder</span>
        <ToggleGroup
          label="Valves a cylinder"
          value={`${start.valves}`}
          items={["2", "3", "4", "5"]}
          onchange={(to) => void engine.begin({ valves: Number(to) })}
        />
      </div>
      <div>
        <span class="text-soft block">Camshafts a bank</span>
        <ToggleGroup
          label="Camshafts a bank"
          value={`${start.camshafts}`}
          items={["1", "2"]}
          onchange={(to) => void engine.begin({ camshafts: Number(to) })}
        />
      </div>
    </div>
  </fieldset>
{:else}
  <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
    {#if firings}
      <Select
        label={start.layout === "v-twin"
          ? "Angle of the V"
          : start.layout === "parallel-twin"
            ? "Crank offset"
            : "Firing order"}
        help="From the manual, or from how the machine sounds: it says which valves are at rest together. Leave it open if you do not know."
        value={start.firing ?? ""}
        items={[
          {
            value: "",
            label: "not known",
            note: "each cylinder is measured at its own top dead centre",
          },
          ...firings.map((one) => ({ value: one, label: one.includes("-") ? one : `${one}°` })),
        ]}
        onchange={(firing) => void engine.begin({ firing })}
      />
    {/if}
    <Check
      class="self-end"
      label="head reversed: intakes in front"
      checked={start.reversed_head}
      onchange={(event) => void engine.begin({ reversed_head: event.currentTarget.checked })}
    />
    <Check
      class="self-end"
      label="crank along the machine, as in a boxer"
      checked={start.crank_along}
      onchange={(event) => void engine.begin({ crank_along: event.currentTarget.checked })}
    />
  </div>
{/if}
