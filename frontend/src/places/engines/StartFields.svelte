<script lang="ts">
  /** What a new engine starts from: its layout, and what differs about it. */
  import kinds from "../../api/kinds.json";
  import type { Schemas } from "../../api/client";
  import { Check, Select } from "../../kit";
  import type { Items } from "../../kit/items";
  import type { EngineState } from "./engine.svelte";

  let { engine }: { engine: EngineState } = $props();

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
    { value: "straight-six", label: "straight six" },
  ];
  const followers = kinds.followers as { value: Start["follower"]; label: string }[];
  const firings = $derived((kinds.firings as Record<string, string>)[start.layout]?.split(" "));
</script>

<div class="grid grid-cols-3 gap-3 max-sm:grid-cols-2">
  <Select
    label="Layout"
    help="How the cylinders lie. Sit on the machine: an inline engine has them side by side or behind one another, a V or L has two banks."
    value={start.layout}
    items={layouts}
    onchange={(layout) => void engine.begin({ layout })}
  />
  {#if firings}
    <Select
      label={start.layout === "v-twin"
        ? "Angle of the V"
        : start.layout === "parallel-twin"
          ? "Crank offset"
          : "Firing order"}
      help="From the manual, or from how the machine sounds: it says which valves are at rest together. Leave it open where nobody knows."
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
  <Select
    label="Valves a cylinder"
    help="Intake and exhaust together, as the maker’s data page gives it: 4 is two and two, 5 is three intakes and two exhausts."
    value={`${start.valves}`}
    items={["2", "3", "4", "5"]}
    onchange={(to) => void engine.begin({ valves: Number(to) })}
  />
  <Select
    label="Camshafts a bank"
    help="Under one cover: 1 works both sides, 2 is one for the intakes and one for the exhausts."
    value={`${start.camshafts}`}
    items={["1", "2"]}
    onchange={(to) => void engine.begin({ camshafts: Number(to) })}
  />
  <Select
    label="Followers"
    help="What the cam presses on, and where its shim is. With shims on top the bucket has a notch; with shims under, the camshaft comes out to reach them."
    value={start.follower}
    items={followers}
    onchange={(follower) => void engine.begin({ follower })}
  />
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
