<script lang="ts">
  /** The sizes that are made: outside diameter, and runs of thickness with their steps. */
  import { Button, Field } from "../../kit";
  import type { FamilyDocument } from "./document";

  let {
    family,
    name,
    number,
    onchange,
  }: {
    family: FamilyDocument;
    name: string;
    number: (text: string) => number | undefined;
    onchange: () => void;
  } = $props();

  const ends = [
    { key: "from", says: "from" },
    { key: "to", says: "to" },
    { key: "step", says: "by" },
  ] as const;

  function set(run: FamilyDocument["runs"][number], key: "from" | "to" | "step", text: string) {
    const value = number(text);
    if (value === undefined) return;
    run[key] = value;
    onchange();
  }
</script>

<div class="flex flex-wrap items-end gap-3 py-2">
  <Field
    label="{name} diameter"
    class="w-28"
    look="text-soft text-note"
    input="figures"
    inputmode="decimal"
    value={family.diameter ?? ""}
    oninput={(event) => {
      family.diameter = number(event.currentTarget.value);
      onchange();
    }}
  />
  {#each family.runs as run, n (n)}
    <fieldset class="border-line flex items-end gap-1 border p-1">
      <legend class="sr-only">{name} sizes, run {n + 1}</legend>
      {#each ends as end (end.key)}
        <Field
          label={end.says}
          class="w-20"
          look="text-soft text-note"
          input="figures"
          inputmode="decimal"
          aria-label="{name} sizes {end.says}"
          value={run[end.key]}
          oninput={(event) => set(run, end.key, event.currentTarget.value)}
        />
      {/each}
      {#if family.runs.length > 1}
        <Button
          kind="bare"
          aria-label="Take run {n + 1} away"
          onclick={() => {
            family.runs.splice(n, 1);
            onchange();
          }}>×</Button
        >
      {/if}
    </fieldset>
  {/each}
  <Button
    onclick={() => {
      const last = family.runs.at(-1);
      family.runs.push(last ? { ...last } : { from: 1.2, to: 3.5, step: 0.05 });
      onchange();
    }}>Add a run</Button
  >
</div>
