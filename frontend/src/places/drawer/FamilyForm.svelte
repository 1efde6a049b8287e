<script lang="ts">
  /** A family as the shop keeps it: diameter, runs, marking code, prices, low stock. */
  import { untrack } from "svelte";
  import type { Family, Schemas } from "../../api/client";
  import { Button, Cross, Field, Form, Select } from "../../kit";
  import type { DrawerState } from "./drawer.svelte";

  let {
    state: drawer,
    family,
    ondone,
  }: { state: DrawerState; family: Family | null; ondone: () => void } = $props();

  type Run = Schemas["RunIn"];
  // the form is made anew each time it opens
  const begun = untrack(() => family);
  let name = $state(begun?.name ?? "");
  let diameter = $state(begun?.diameter?.mm ?? "");
  let runs = $state<Run[]>(
    begun?.runs.map((run) => ({ low: run.low.mm, high: run.high.mm, step: run.step.mm })) ?? [
      { low: "", high: "", step: "0.05" },
    ],
  );
  let code = $state<Schemas["Code"]>(begun?.code ?? "auto");
  let price = $state(begun?.price ?? "");
  let kitPrice = $state(begun?.kit_price ?? "");
  let kitEach = $state(String(begun?.kit_each ?? 3));
  let swapPrice = $state(begun?.swap_price ?? "");
  let toOrder = $state(begun?.to_order ?? "");
  let waitDays = $state(begun?.wait_days == null ? "" : String(begun.wait_days));
  let supplier = $state(begun?.supplier ?? "");
  let lowStock = $state(String(begun?.low_stock ?? 0));
  const CODES = [
    { value: "auto", label: "as the family allows", note: "asks where a marking can be two sizes" },
    { value: "hundredths", label: "275 is 2.75" },
    { value: "thousandths", label: "2975 is 2.975" },
    { value: "rounded", label: "298 is 2.975" },
  ] as const;

  async function save(): Promise<void> {
    const done = await drawer.save(family?.id ?? null, {
      seen: family?.version ?? 0,
      name,
      diameter,
      runs: runs.filter((run) => run.low.trim()),
      code,
      price,
      kit_price: kitPrice,
      kit_each: Number(kitEach) || 0,
      supplier,
      low_stock: Number(lowStock) || 0,
      swap_price: swapPrice,
      to_order: toOrder,
      wait_days: waitDays.trim() ? Math.round(Number(waitDays)) || 0 : null,
    });
    if (done) ondone();
  }
</script>

<Form onsend={save} refusal={drawer.refusal} class="grid grid-cols-2 gap-3">
  <Field label="Name" class="col-span-2" bind:value={name} />
  <Field label="Diameter, mm" kind="figures" bind:value={diameter} at="diameter" />
  <Select label="Marked" value={code} items={CODES} onchange={(to) => (code = to)} />
  {#each runs as run, n (n)}
    <div class="col-span-2 grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
      <Field label="From" look="text-soft text-sm" kind="figures" bind:value={run.low} />
      <Field label="To" look="text-soft text-sm" kind="figures" bind:value={run.high} />
      <Field label="Step" look="text-soft text-sm" kind="figures" bind:value={run.step} />
      <Button kind="bare" aria-label="Take this run out" onclick={() => runs.splice(n, 1)}>
        <Cross />
      </Button>
    </div>
  {/each}
  <Button class="col-span-2" onclick={() => runs.push({ low: "", high: "", step: "" })}
    >One more run</Button
  >
  <Field label="Price of one" kind="figures" bind:value={price} />
  <Field label="Fewer than this is low" kind="whole" bind:value={lowStock} />
  <Field label="Price of a kit" kind="figures" bind:value={kitPrice} />
  <Field label="Of each size in it" kind="whole" bind:value={kitEach} />
  <Field
    label="A new one for an old"
    kind="figures"
    bind:value={swapPrice}
    placeholder="no swaps"
    at="swap_price"
    help="What the parts counter asks for a new shim where an old one of this family is given for it. Left empty it does not swap."
  />
  <Field label="Wait for an order, days" kind="whole" bind:value={waitDays} at="wait_days" />
  <Field
    label="Sizes only to order"
    class="col-span-2"
    bind:value={toOrder}
    placeholder="2.45, 2.475"
    at="to_order"
  />
  <Field label="Bought at" class="col-span-2" bind:value={supplier} />
  {#snippet foot()}
    <Button kind="now" type="submit" class="col-span-2 min-h-12 text-lg">Save the family</Button>
  {/snippet}
</Form>
