<script lang="ts">
  /** The shop's feeler sets, blade by blade, in millimetres, inches or both at once. */
  import { Button, Check, Cross, Field, Form, ToggleGroup, Select } from "../../kit";
  import type { Items } from "../../kit/items";
  import { shopState } from "../../state/shop.svelte";
  import { BladesState, PATTERNS, type Row } from "./blades.svelte";

  const set = new BladesState();
  const sets = $derived(shopState.shop?.blade_sets ?? []);
  let begun = false;
  $effect(() => {
    if (begun || !shopState.shop) return;
    begun = true;
    // who has begun a set before the shop was here goes on with theirs
    if (!set.name && set.rows.length === 0) set.edit(sets[0] ?? null);
  });
  const states: Items<Row["state"]> = [
    "sound",
    { value: "bent", label: "bent, out of use" },
    { value: "broken", label: "broken, out of use" },
  ];
  const face = (row: Row): string =>
    row.unit === "in" ? `${row.marked.replace(/^0/, "")} in` : row.marked;
</script>

<h2 class="border-ink border-t-2 pt-2 text-lg">Feeler sets</h2>
<div class="mt-2 grid grid-cols-[15rem_minmax(0,1fr)] gap-8 max-md:grid-cols-1">
  <div>
    <ul class="border-line border-t">
      {#each sets as one (one.id)}
        <li class="border-line border-b">
          <button
            type="button"
            class="flex min-h-11 w-full items-center justify-between px-2 text-left {one.id ===
            set.chosen
              ? 'bg-ink text-paper'
              : 'hover:bg-sheet'}"
            aria-pressed={one.id === set.chosen}
            onclick={() => set.edit(one)}
          >
            <span class="truncate font-[560]">{one.name}</span>
            <span class="figures">{one.blades.filter((b) => b.state === "sound").length}</span>
          </button>
        </li>
      {/each}
    </ul>
    <Button class="mt-3 w-full" onclick={() => set.edit(null)}>A new set</Button>
    <p class="text-soft pt-3 text-note">Or start from one as they are sold:</p>
    <ul>
      {#each PATTERNS as one (one.name)}
        <li>
          <button
            type="button"
            class="hover:bg-sheet min-h-11 w-full px-2 text-left leading-5 underline underline-offset-4"
            onclick={() => set.from(one)}>{one.name}</button
          >
        </li>
      {/each}
    </ul>
  </div>
  <Form refusal={set.refusal} onsend={() => set.save()}>
    <div class="flex flex-wrap items-end gap-4">
      <Field label="Name" class="min-w-52 flex-1" bind:value={set.name} at="name" />
      <Check label="two blades may be laid together" bind:checked={set.stacking} />
    </div>
    {#if set.rows.length === 0}
      <p class="text-soft py-2">No blade yet. Type their markings below, as on the set.</p>
    {/if}
    <ul class="grid grid-cols-2 gap-x-8 max-lg:grid-cols-1">
      {#each set.rows as row, n (`${row.marked} ${row.unit}`)}
        <li
          class="border-line grid grid-cols-[5.5rem_1fr_9rem_2.75rem] items-center gap-2 border-b py-1"
        >
          <span
            class="figures text-xl leading-5 {row.state === 'sound'
              ? ''
              : 'text-soft line-through'}"
            >{face(row)}{#if row.stamped}<span class="text-soft block text-note">{row.stamped}</span
              >{/if}</span
          >
          <label>
            <span class="sr-only">Measured thickness of {row.marked}</span>
            <input
              class="field figures"
              inputmode="decimal"
              placeholder="measured"
              bind:value={row.measured}
            />
          </label>
          <Select
            label="State of {row.marked}"
            shown={false}
            value={row.state}
            items={states}
            onchange={(state) => (row.state = state)}
          />
          <Button
            kind="bare"
            class="px-0"
            aria-label="Take {row.marked} out of the set"
            onclick={() => set.drop(n)}
          >
            <Cross />
          </Button>
        </li>
      {/each}
    </ul>
    <div class="flex flex-wrap items-end gap-2">
      <Field
        label="Add blades; both marks as .006/.152"
        class="min-w-52 flex-1"
        kind="figures"
        bind:value={set.added}
        placeholder={set.unit === "mm" ? "0.05 0.10 0.15" : ".004 .005 .006"}
        onkeydown={(event) => {
          if (event.key !== "Enter" || !set.added.trim()) return;
          event.preventDefault();
          set.add();
        }}
      />
      <ToggleGroup
        label="The blades are marked in"
        value={set.unit}
        items={["mm", { value: "in", label: "inch" }]}
        onchange={(to) => (set.unit = to)}
      />
      <Button onclick={() => set.add()}>Add</Button>
    </div>
    {#if set.stacking}
      <div class="flex flex-wrap items-end gap-2">
        <span class="text-soft w-full text-note"
          >Two measured together, oil between them and all:</span
        >
        {#each set.together as one, n (n)}
          <span class="border-line flex items-end gap-1 border p-1">
            <Field
              label="blade"
              class="w-20"
              look="text-soft text-note"
              bind:value={one.blades[0]}
            />
            <Field label="and" class="w-20" look="text-soft text-note" bind:value={one.blades[1]} />
            <Field
              label="measure"
              class="w-24"
              look="text-soft text-note"
              kind="decimal"
              bind:value={one.measured}
            />
            <Button
              kind="bare"
              class="px-0"
              aria-label="Take this pair away"
              onclick={() => (set.together = set.together.filter((_, at) => at !== n))}
              ><Cross /></Button
            >
          </span>
        {/each}
        <Button onclick={() => set.together.push({ blades: ["", ""], measured: "" })}
          >Measured two together</Button
        >
      </div>
    {/if}
    {#snippet foot()}
      <div class="flex items-center gap-4">
        <Button kind="now" type="submit" class="min-h-12 text-lg">Save the set</Button>
        {#if set.saved}<span role="status">Saved.</span>{/if}
      </div>
    {/snippet}
  </Form>
</div>
