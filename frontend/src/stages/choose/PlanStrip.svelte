<script lang="ts">
  /** The plan in one strip: what can be had instead, what it costs, how sure, and taking it. */
  import type { Variant } from "../../api/client";
  import { Button, RadioGroup } from "../../kit";
  import type { Job } from "../../card/job.svelte";

  let { job }: { job: Job } = $props();

  const NAMES: Record<string, string> = {
    best: "The plan",
    "buy-nothing": "Buy nothing",
    "only-new": "Only new",
    "touch-least": "Fewest changes",
  };
  const state = $derived(job.plan);
  const plan = $derived(state.plan);
  const money = (text: string): string => Number(text).toFixed(2);

  function brief(one: Variant): string {
    if (one.out_of_spec.length && !one.to_buy) return `${one.out_of_spec.length} not in range`;
    if (one.out_of_spec.length)
      return `${one.out_of_spec.length} not in range, ${one.priced ? money(one.cost) : "price not known"}`;
    return one.to_buy
      ? `${one.to_buy} to buy, ${one.priced ? money(one.cost) : "price not known"}`
      : "nothing to buy";
  }
</script>

{#if plan}
  <section
    class="border-ink bg-sheet flex min-h-0 shrink-0 items-stretch border-t max-xl:flex-col"
    aria-label="The plan"
  >
    <RadioGroup
      class="flex min-w-0 flex-1 max-xl:flex-none max-xl:overflow-x-auto"
      label="What can be had instead"
      items={plan.variants}
      name={(one) => one.name}
      value={plan.variant}
      onchange={(one) => void state.go(one.name)}
      orientation="horizontal"
      disabled={job.signed}
      look={(_one, here) =>
        `border-line flex min-w-0 flex-1 flex-col border-r px-3 py-1.5 text-left max-xl:min-w-[9.5rem] max-xl:border-b max-xl:px-2 ${
          here ? "bg-ink text-paper" : "hover:bg-paper"
        }`}
    >
      {#snippet item(one, here)}
        <span class="truncate text-note font-[640]">{NAMES[one.name] ?? one.name}</span>
        <span class="figures truncate text-note">{brief(one)}</span>
        <span class="line-clamp-2 text-mark leading-[15px] {here ? '' : 'text-soft'}"
          >{one.name === "best"
            ? "fewest out of range, then least cost and risk"
            : one.gives_up.join(", ")}</span
        >
      {/snippet}
    </RadioGroup>
    <div class="flex shrink-0 items-center gap-3 px-3 py-2 max-xl:justify-between">
      <p class="text-fine leading-[18px]">
        {#if !state.fresh}
          <b class="text-now block" role="status">Plan of before: it is worked out anew</b>
        {/if}
        <span class="block"
          >{plan.camshafts_out.length
            ? `Out: ${plan.camshafts_out.join(", ")}`
            : "No camshaft comes out"}</span
        >
        {#if plan.provisional.length}
          <span class="block">{plan.provisional.join(", ")}: temporary shim, re-measure</span>
        {/if}
        {#if plan.out_of_spec.length}
          <span class="text-tight block">Not in range: {plan.out_of_spec.join(", ")}</span>
        {/if}
        <span class="block">Proof: {plan.sure}</span>
        {#if plan.doubtful.length}
          <span class="block">Least sure: {plan.doubtful.slice(0, 3).join(", ")}</span>
        {/if}
      </p>
      {#if !job.signed}
        {#if plan.taken}
          <p class="bg-wash flex min-h-12 items-center px-3 font-[620]">Taken</p>
        {:else}
          <Button
            kind="now"
            class="min-h-12 text-row whitespace-nowrap"
            id="take-plan"
            disabled={!state.fresh ||
              plan.remembered.length > 0 ||
              !plan.moves.some((move) => move.thickness)}
            onclick={() => void state.takeAll()}>Take the plan</Button
          >
        {/if}
      {/if}
    </div>
  </section>
{/if}
