<script lang="ts">
  /** The sizes that are made: outside diameter, and runs of thickness with their steps. */
  import { Button, Field } from "../../kit";
  import type { FamilyDocument } from "./document";
  import { type EngineState, number } from "./engine.svelte";

  let { family, name, engine }: { family: FamilyDocument; name: string; engine: EngineState } =
    $props();

  const ends = { from: "from", to: "to", step: "by" } as const;
  const keys = ["from", "to", "step"] as const;
</script>

<div class="flex flex-wrap items-end gap-3 py-2">
  <Field
    label="{name} diameter"
    class="w-28"
    look="text-soft text-note"
    kind="decimal"
    value={family.diameter ?? ""}
    oninput={(event) => {
      family.diameter = number(event.currentTarget.value);
      engine.redraw();
    }}
  />
  {#each family.runs as run, n (n)}
    <fieldset class="border-line flex items-end gap-1 border p-1">
      <legend class="sr-only">{name} sizes, run {n + 1}</legend>
      {#each keys as end (end)}
        <Field
          label={ends[end]}
          class="w-20"
          look="text-soft text-note"
          kind="decimal"
          aria-label="{name} sizes {ends[end]}"
          value={run[end]}
          oninput={engine.reads((to) => (run[end] = to))}
        />
      {/each}
      {#if family.runs.length > 1}
        <Button
          kind="bare"
          aria-label="Take run {n + 1} away"
          onclick={() => {
            family.runs.splice(n, 1);
            engine.redraw();
          }}>×</Button
        >
      {/if}
    </fieldset>
  {/each}
  <Button
    onclick={() => {
      const last = family.runs.at(-1);
      family.runs.push(last ? { ...last } : { from: 1.2, to: 3.5, step: 0.05 });
      engine.redraw();
    }}>Add a run</Button
  >
</div>
