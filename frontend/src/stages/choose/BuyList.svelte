<script lang="ts">
  /** What is to buy: sizes, money, kit or singles; the parts counter; what is on its way. */
  import { preferences } from "../../state/preferences.svelte";
  import { Button, Notice } from "../../kit";
  import Help from "./Help.svelte";
  import type { PlanState } from "../../card/plan.svelte";

  let { state }: { state: PlanState } = $props();

  const plan = $derived(state.plan);
  const left = $derived(
    (plan?.buy ?? []).reduce((sum, line) => sum + Math.max(0, line.count - line.ordered), 0),
  );
  const STATES: Record<string, string> = {
    ready: "ready to fetch",
    "back-ordered": "back-ordered",
    refused: "refused",
    received: "received",
  };
</script>

{#if plan && (plan.buy.length || plan.orders.length)}
  <section class="border-line border-t pt-2" aria-labelledby="buy">
    <h3 id="buy" class="flex items-baseline justify-between text-lg">
      To buy <span class="figures text-base"
        >{plan.priced ? Number(plan.cost).toFixed(2) : "price not known"}</span
      >
    </h3>
    <ul class="figures">
      {#each plan.buy as line (`${line.diameter?.nm ?? ""} ${line.thickness.nm} ${line.musts[0]?.valve ?? ""}`)}
        <li class="border-line flex flex-wrap items-baseline gap-x-3 border-b py-1 text-row">
          <span>{line.count} × <b>{preferences.shim(line.thickness)}</b></span>
          {#if line.diameter}<span class="text-soft text-sm"
              >ø {preferences.shim(line.diameter)}</span
            >{/if}
          <span class="ml-auto text-note"
            >{line.ordered >= line.count ? "ordered" : (line.price ?? "no price")}</span
          >
          {#each line.musts as must (must.valve)}
            {#if must.thin && must.thick && must.best}
              <span class="text-soft w-full text-note leading-5"
                >{must.valve}: fits if it measures {preferences.shim(must.thin)} to {preferences.shim(
                  must.thick,
                )}, best {preferences.shim(must.best)}. {must.loose}</span
              >
            {/if}
          {/each}
        </li>
      {/each}
    </ul>
    {#each plan.purchases as words (words)}<p class="py-1 text-note leading-5">{words}</p>{/each}
    {#each plan.helps as help (help.sentence)}<Help {help} job={state.job} />{/each}
    {#if state.quotes}
      <ul class="mt-1">
        {#each state.quotes as quote, n (n)}
          <li class="py-0.5 text-note leading-5">
            <b class="figures">{quote.count} × {preferences.shim(quote.thickness)}</b>
            <span class={quote.state === "refused" ? "text-tight font-[560]" : ""}
              >{STATES[quote.state]}{quote.price ? `, ${quote.price}` : ""}.</span
            >
            <span class="text-soft">{quote.says}</span>
          </li>
        {/each}
      </ul>
    {/if}
    {#if state.counterSays}
      <Notice class="py-1">{state.counterSays}</Notice>
    {/if}
    {#if left > 0 && !state.job.signed}
      <div class="flex flex-wrap gap-2 pt-1">
        {#if plan.counter}
          <Button disabled={state.busy} onclick={() => void state.ask()}>Ask the counter</Button>
          <Button disabled={state.busy || !plan.taken} onclick={() => void state.order()}
            >Order {left}</Button
          >
        {/if}
        <Button href="/api/cards/{plan.card_id}/buy.csv" kind="bare">List as CSV</Button>
      </div>
      {#if plan.counter && !plan.taken}
        <p class="text-soft text-sm">Take the plan first, then order for it.</p>
      {/if}
    {/if}
    {#each plan.orders as order (order.id)}
      <div class="border-line mt-2 border-t pt-1">
        <p class="text-soft text-sm">Order {order.number}</p>
        {#each order.lines as line (line.id)}
          <div class="flex min-h-11 items-center gap-2">
            <b class="figures">{line.count} × {preferences.shim(line.thickness)}</b>
            <span class="min-w-0 flex-1 text-fine leading-4"
              >{STATES[line.state]}{line.days && line.state === "back-ordered"
                ? `, ${line.days} days`
                : ""}{line.state === "refused" ? `: ${line.says}` : ""}</span
            >
            {#if line.state === "ready" || line.state === "back-ordered"}
              <Button disabled={state.busy} onclick={() => void state.receive(line.id)}
                >It is here</Button
              >
            {/if}
          </div>
        {/each}
      </div>
    {/each}
  </section>
{/if}
