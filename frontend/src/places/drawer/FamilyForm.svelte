<script lang="ts">
  /** A family as the shop keeps it: diameter, runs, marking code, prices, low stock. */
  import type { Family, Schemas } from "../../api/client";
  import Button from "../../kit/Button.svelte";
  import Select from "../../kit/Select.svelte";
  import type { DrawerState } from "./drawer.svelte";

  let {
    state: drawer,
    family,
    ondone,
  }: { state: DrawerState; family: Family | null; ondone: () => void } = $props();

  type Run = Schemas["RunIn"];
  let name = $state("");
  let diameter = $state("");
  let runs = $state<Run[]>([]);
  let code = $state<Schemas["Code"]>("auto");
  let price = $state("");
  let kitPrice = $state("");
  let kitEach = $state("3");
  let supplier = $state("");
  let lowStock = $state("0");
  $effect(() => {
    name = family?.name ?? "";
    diameter = family?.diameter?.mm ?? "";
    runs = (family?.runs ?? []).map((run) => ({
      low: run.low.mm,
      high: run.high.mm,
      step: run.step.mm,
    }));
    if (!runs.length) runs = [{ low: "", high: "", step: "0.05" }];
    code = family?.code ?? "auto";
    price = family?.price ?? "";
    kitPrice = family?.kit_price ?? "";
    kitEach = String(family?.kit_each ?? 3);
    supplier = family?.supplier ?? "";
    lowStock = String(family?.low_stock ?? 0);
  });
  const CODES = [
    { value: "auto", label: "as the family allows", note: "asks where a marking can be two sizes" },
    { value: "hundredths", label: "275 is 2.75" },
    { value: "thousandths", label: "2975 is 2.975" },
    { value: "rounded", label: "298 is 2.975" },
  ] as const;

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
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
    });
    if (done) ondone();
  }
</script>

<form onsubmit={save} class="grid grid-cols-2 gap-3">
  <label class="col-span-2"
    ><span class="text-soft">Name</span><input class="field" bind:value={name} /></label
  >
  <label
    ><span class="text-soft">Diameter, mm</span><input
      class="field figures"
      bind:value={diameter}
      aria-invalid={drawer.refusal?.field === "diameter"}
    /></label
  >
  <Select label="Marked" value={code} items={CODES} onchange={(to) => (code = to)} />
  {#each runs as run, n (n)}
    <div class="col-span-2 grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2">
      <label
        ><span class="text-soft text-sm">From</span><input
          class="field figures"
          bind:value={run.low}
        /></label
      >
      <label
        ><span class="text-soft text-sm">To</span><input
          class="field figures"
          bind:value={run.high}
        /></label
      >
      <label
        ><span class="text-soft text-sm">Step</span><input
          class="field figures"
          bind:value={run.step}
        /></label
      >
      <Button kind="bare" aria-label="Take this run out" onclick={() => runs.splice(n, 1)}>
        <svg viewBox="0 0 20 20" class="h-4 w-4" aria-hidden="true">
          <path d="M4 4l12 12M16 4L4 16" stroke="currentColor" stroke-width="1.8" />
        </svg>
      </Button>
    </div>
  {/each}
  <Button class="col-span-2" onclick={() => runs.push({ low: "", high: "", step: "" })}
    >One more run</Button
  >
  <label
    ><span class="text-soft">Price of one</span><input
      class="field figures"
      bind:value={price}
    /></label
  >
  <label
    ><span class="text-soft">Fewer than this is low</span><input
      class="field figures"
      inputmode="numeric"
      bind:value={lowStock}
    /></label
  >
  <label
    ><span class="text-soft">Price of a kit</span><input
      class="field figures"
      bind:value={kitPrice}
    /></label
  >
  <label
    ><span class="text-soft">Of each size in it</span><input
      class="field figures"
      inputmode="numeric"
      bind:value={kitEach}
    /></label
  >
  <label class="col-span-2"
    ><span class="text-soft">Bought at</span><input class="field" bind:value={supplier} /></label
  >
  {#if drawer.refusal}
    <p class="text-tight col-span-2 font-[560]" role="alert">{drawer.refusal.sentence}</p>
  {/if}
  <Button kind="now" type="submit" class="col-span-2 min-h-12 text-lg">Save the family</Button>
</form>
