<script lang="ts">
  /** What was used besides the pieces, for the bill; parts the engine wants renewed are offered. */
  import { Button, Cross, Details, Field, Form } from "../../kit";
  import { untrack } from "svelte";
  import { type Act, act } from "../../api/acts";
  import type { Schemas } from "../../api/client";
  import type { Job } from "../../card/job.svelte";
  import { Edits } from "../../card/edits.svelte";

  let { job }: { job: Job } = $props();
  type Line = Schemas["BillLineOut"];

  const bill = new Edits<readonly Line[]>(
    untrack(() => job),
    () => job.card?.bill ?? [],
  );
  const send = (lines: readonly Line[]): Act => act("bill", { lines: [...lines] });
  const lines = $derived(bill.value);
  const offered = $derived(
    (job.card?.machine.parts ?? []).filter((part) => !lines.some((one) => one.what === part.what)),
  );
  let what = $state("");
  let count = $state("1");
  let price = $state("");

  function drop(dropped: Line): void {
    const same = JSON.stringify(dropped);
    void bill.edit((all) => {
      const at = all.findIndex((one) => JSON.stringify(one) === same);
      return all.filter((_, nth) => nth !== at);
    }, send);
  }
  async function add(): Promise<void> {
    if (!what.trim()) return;
    const typed = [what, count, price] as const;
    const line = {
      what: what.trim(),
      number: "",
      count: Number(count) || 0,
      price: price.trim().replace(",", ".") || null,
    };
    [what, count, price] = ["", "1", ""];
    if (!(await bill.edit((all) => [...all, line], send)) && !what) [what, count, price] = typed;
  }
</script>

<Details class="border-line border-t pt-1.5" open={lines.length > 0}>
  <summary class="flex min-h-9 items-baseline justify-between font-[560]">
    Used, for the bill <span class="text-soft text-note">{lines.length || "shims alone"}</span>
  </summary>
  <p class="text-soft text-note leading-5">
    Shims that were bought stand on the sheet by themselves. A price that is not entered stays
    unknown.
  </p>
  <ul>
    {#each lines as line, n (n)}
      <li class="border-line flex min-h-11 items-center gap-2 border-b leading-5">
        <span class="figures w-8">{line.count} ×</span>
        <span class="min-w-0 flex-1">{line.what}</span>
        <span class="figures">{line.price ?? "not known"}</span>
        <Button
          kind="bare"
          class="px-0"
          aria-label="Take {line.what} off the bill"
          onclick={() => drop(line)}><Cross /></Button
        >
      </li>
    {/each}
  </ul>
  {#if offered.length}
    <div class="flex flex-wrap gap-2 py-1">
      {#each offered as part (part.what)}
        <Button
          kind="bare"
          class="border-line"
          onclick={() => void bill.edit((all) => [...all, part], send)}>{part.what}</Button
        >
      {/each}
    </div>
  {/if}
  <Form
    class="grid grid-cols-[minmax(0,1fr)_3.5rem_5rem_auto] items-end gap-2 pt-1"
    refusal={["what", "count", "price"].includes(job.refusal?.field ?? "") ? job.refusal : null}
    onsend={add}
    several
  >
    <Field label="Used" bind:value={what} at="what" />
    <Field
      label="Count"
      look="text-soft truncate block"
      kind="whole"
      bind:value={count}
      at="count"
    />
    <Field label="Price" kind="decimal" bind:value={price} at="price" />
    <Button type="submit" disabled={!what.trim()}>Add</Button>
  </Form>
</Details>
