<script lang="ts">
  /** The spec as printed: a range a side, a closer or a single valve, and the unit it is in. */
  import { Button, Pair, Select } from "../../kit";
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
  const columns: { key: keyof SpecDocument; says: string }[] = [
    { key: "min", says: "min" },
    { key: "max", says: "max" },
    { key: "set_min", says: "set min" },
    { key: "set_max", says: "set max" },
    { key: "aim", says: "aim" },
  ];
</script>

<fieldset>
  <legend class="border-ink w-full border-b-2 text-lg font-[600]">Spec</legend>
  <div class="flex flex-wrap items-center gap-3 py-2">
    <Pair
      label="Unit of the manual"
      value={file.unit ?? "mm"}
      items={["mm", { value: "in", label: "inch" }]}
      onchange={(unit) => {
        file.unit = unit;
        engine.redraw();
      }}
    />
    <span class="text-soft">as printed in the manual; shim sizes too</span>
  </div>
  <table class="w-full">
    <thead>
      <tr class="text-soft text-left text-note">
        <th></th>
        {#each columns as column (column.key)}<th class="px-1 font-normal">{column.says}</th>{/each}
      </tr>
    </thead>
    <tbody>
      {#each specs as one (one.name)}
        <tr>
          <th class="pr-2 text-left font-[560] whitespace-nowrap">{one.name}</th>
          {#if one.spec}
            {#each columns as column (column.key)}
              <td class="p-1">
                <input
                  class="field figures"
                  inputmode="decimal"
                  aria-label="{one.name} {column.says}"
                  value={one.spec[column.key] ?? ""}
                  oninput={(event) =>
                    one.spec && engine.setSpec(one.spec, column.key, event.currentTarget.value)}
                />
              </td>
            {/each}
          {:else}
            <td colspan="5"
              ><Button onclick={() => engine.addClosers()}>Give the closers their own spec</Button
              ></td
            >
          {/if}
        </tr>
      {/each}
    </tbody>
  </table>
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
