<script lang="ts">
  /** The sizes that are made: outside diameter, and runs of thickness with their steps. */
  import { Button, Field } from "../../kit";
  import type { FamilyDocument } from "./document";
  import { type EngineState, RUN_ENDS } from "./engine.svelte";

  let { family, name, engine }: { family: FamilyDocument; name: string; engine: EngineState } =
    $props();
</script>

<div class="flex flex-wrap items-end gap-3 py-2">
  <Field
    label="{name} diameter"
    help="Across the disc, as the parts list gives it or as measured, such as 9.48. Shims under a bucket are about 7 to 10 mm, on top about 25 to 33. It tells which shims may be exchanged."
    class="w-28"
    look="text-soft text-note"
    kind="decimal"
    value={family.diameter ?? ""}
    invalid={engine.faults.has(`${name} diameter`)}
    oninput={engine.reads(`${name} diameter`, (to) => (family.diameter = to), true)}
  />
  {#each family.runs as run, n (n)}
    <fieldset class="border-line flex items-end gap-1 border p-1">
      <legend class="sr-only">{name} sizes, run {n + 1}</legend>
      {#each RUN_ENDS as end (end.key)}
        {@const called = `${name} run ${n + 1} ${end.says}`}
        <Field
          label={end.says}
          class="w-20"
          look="text-soft text-note"
          kind="decimal"
          aria-label="{name} sizes {end.says}"
          value={run[end.key] ?? ""}
          invalid={engine.faults.has(called)}
          oninput={engine.reads(called, (to) => {
            engine.sizes = null;
            run[end.key] = to;
          })}
        />
      {/each}
      <Button
        kind="bare"
        aria-label="Take run {n + 1} away"
        onclick={() => engine.dropRun(family, name, n)}>×</Button
      >
    </fieldset>
  {/each}
  <Button onclick={() => engine.addRun(family, name)}
    >{family.runs.length ? "One more run of sizes" : `${name} sizes that are made`}</Button
  >
</div>
