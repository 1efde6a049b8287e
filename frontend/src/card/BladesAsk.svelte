<script lang="ts">
  /** Which blades lie at hand: asked where one measures, one tap for a usual set, or typed. */
  import { answer, api } from "../api/client";
  import kinds from "../api/kinds.json";
  import { Button, Field, Form, Select } from "../kit";
  import { Attempt } from "../state/attempt.svelte";
  import { shopState } from "../state/shop.svelte";
  import type { Job } from "./job.svelte";

  let { job }: { job: Job } = $props();

  interface Blade {
    marked: string;
    unit: "mm" | "in";
    stamped: string | null;
  }
  const patterns = kinds.blade_patterns as { name: string; blades: Blade[] }[];
  const asking = new Attempt();
  const card = $derived(job.card);
  const sets = $derived(shopState.shop?.blade_sets ?? []);
  let typed = $state("");

  /** Put a set into the shop, and measure with it. */
  async function add(name: string, blades: readonly Blade[]): Promise<void> {
    const rows = blades.map((one) => ({ ...one, measured: null, state: "sound" as const }));
    const body = { name, stacking: true, blades: rows, stacks: [] };
    let id: number | undefined;
    await asking.at(async () => {
      shopState.shop = await answer(api.POST("/api/blade-sets", { body }));
      id = shopState.shop.blade_sets.find((one) => one.name === name)?.id;
    });
    if (id !== undefined) await job.measureWith(id);
  }
  function addTyped(): Promise<void> {
    const marks = typed
      .trim()
      .split(/[\s;]+/)
      .filter(Boolean);
    const inch = job.card?.unit === "in";
    const made = marks.map((marked): Blade => ({
      marked,
      unit: inch ? "in" : "mm",
      stamped: null,
    }));
    return add("My blades", made);
  }
</script>

{#if card && !job.signed}
  {#if !card.blade_set}
    <details class="border-now bg-wash border-l-4 pr-2 pl-3">
      <summary class="min-h-11 content-center font-[560]">Which blades have you?</summary>
      <Form class="grid gap-2 pb-2" refusal={asking.refusal} onsend={addTyped} several>
        <p class="leading-5">Then Plimb says which one to try next.</p>
        <div class="flex flex-wrap gap-2">
          {#each sets as one (one.id)}
            <Button onclick={() => void job.measureWith(one.id)}>{one.name}</Button>
          {:else}
            {#each patterns as one (one.name)}
              <Button class="text-note" onclick={() => void add(one.name, one.blades)}
                >{one.name}</Button
              >
            {/each}
          {/each}
        </div>
        <div class="flex items-end gap-2">
          <Field
            label="or type their markings"
            class="min-w-0 flex-1"
            kind="figures"
            at="blades"
            bind:value={typed}
            placeholder={card.unit === "in" ? ".004 .005 .006" : "0.05 0.10 0.15"}
          />
          <Button type="submit" disabled={!typed.trim()}>Save</Button>
        </div>
      </Form>
    </details>
  {:else if sets.length > 1}
    <Select
      label="Feeler set"
      shown={false}
      value={`${card.blade_set.id}`}
      items={sets.map((one) => ({ value: `${one.id}`, label: `Blades: ${one.name}` }))}
      onchange={(id) => void job.measureWith(Number(id))}
    />
  {/if}
{/if}
