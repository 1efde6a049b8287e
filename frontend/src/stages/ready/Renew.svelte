<script lang="ts">
  /** What the hands need: tools for this engine, job and way of turning; parts it wants renewed. */
  import { Button, Cross, Field, Fold, Form } from "../../kit";
  import { untrack } from "svelte";
  import { type Act, act } from "../../api/acts";
  import type { Schemas } from "../../api/client";
  import type { Job } from "../../card/job.svelte";
  import { Edits } from "../../card/edits.svelte";

  let { job }: { job: Job } = $props();

  const card = $derived(job.card);
  const tools = new Edits<readonly string[]>(
    untrack(() => job),
    () => job.card?.machine.tools ?? [],
  );
  type Part = Schemas["RenewedPartOut"];
  const renewed = new Edits<readonly Part[]>(
    untrack(() => job),
    () => job.card?.machine.parts ?? [],
  );
  const sendTools = (tools: readonly string[]): Act => act("tools", { tools: [...tools] });
  const sendParts = (parts: readonly Part[]): Act => act("parts", { parts: [...parts] });
  const own = $derived(tools.value);
  const parts = $derived(renewed.value);
  let tool = $state("");
  let what = $state("");
  let number = $state("");
  let count = $state("1");
  let price = $state("");
  const USUAL = ["Cover gasket", "Plug-hole seals", "Bolt seals", "Tensioner gasket", "Sealant"];
  const offered = $derived(USUAL.filter((one) => !parts.some((part) => part.what === one)));

  /** The first two by name, the others by their number: a line has room for that. */
  const few = (all: readonly string[]): string =>
    all.length > 3 ? `${all.slice(0, 2).join("; ")}; and ${all.length - 2} more` : all.join("; ");

  async function addTool(): Promise<void> {
    const added = tool.trim();
    if (!added) return;
    tool = "";
    const done = await tools.edit(
      (all) => (all.includes(added) ? all : [...all, added]),
      sendTools,
    );
    if (!done && !tool) tool = added;
  }
  function dropTool(dropped: string): void {
    void tools.edit((all) => all.filter((one) => one !== dropped), sendTools);
  }
  async function addPart(): Promise<void> {
    const typed = [what, number, count, price] as const;
    if (!what.trim()) return;
    const part = {
      what: what.trim(),
      number: number.trim(),
      count: Number(count) || 0,
      price: price.trim() ? price.trim().replace(",", ".") : null,
    };
    [what, number, count, price] = ["", "", "1", ""];
    const done = await renewed.edit((all) => [...all, part], sendParts);
    if (!done && !what) [what, number, count, price] = typed;
  }
  function dropPart(dropped: (typeof parts)[number]): void {
    const same = JSON.stringify(dropped);
    void renewed.edit((all) => {
      const at = all.findIndex((one) => JSON.stringify(one) === same);
      return all.filter((_, nth) => nth !== at);
    }, sendParts);
  }
</script>

{#if card}
  <Fold title="Tools for this job" says={few([...own, ...card.tools])}>
    <ul class="columns-2 gap-8 py-2 leading-6 max-sm:columns-1">
      {#each card.tools as one (one)}<li class="break-inside-avoid">{one}</li>{/each}
      {#each own as one (one)}
        <li class="flex break-inside-avoid items-center justify-between gap-2 font-[560]">
          {one}
          {#if !job.signed}
            <Button
              kind="bare"
              class="px-0"
              aria-label="Take {one} off"
              onclick={() => dropTool(one)}><Cross /></Button
            >
          {/if}
        </li>
      {/each}
    </ul>
    {#if !job.signed}
      <Form class="flex items-end gap-2" onsend={addTool} several>
        <Field label="One of its own, kept with the engine" class="flex-1" bind:value={tool} />
        <Button type="submit" disabled={!tool.trim()}>Add</Button>
      </Form>
    {/if}
  </Fold>
  <Fold
    title="Parts to renew"
    says={parts.length
      ? parts.map((one) => one.what).join(", ")
      : "Gaskets, seals, sealant: none entered"}
  >
    {#if parts.length === 0}
      <p class="text-soft py-2 leading-5">
        None entered. Gaskets, seals and sealant that this engine wants, with their numbers. Enter
        them once: they are on every later card.
      </p>
    {/if}
    <ul>
      {#each parts as part, n (n)}
        <li class="border-line flex min-h-11 items-center gap-3 border-b leading-5">
          <span class="figures w-8">{part.count} ×</span>
          <span class="min-w-0 flex-1">
            {part.what} <span class="text-soft figures">{part.number}</span>
          </span>
          <span class="figures">{part.price ?? "price not known"}</span>
          {#if !job.signed}
            <Button
              kind="bare"
              class="px-0"
              aria-label="Take {part.what} off"
              onclick={() => dropPart(part)}><Cross /></Button
            >
          {/if}
        </li>
      {/each}
    </ul>
    {#if !job.signed}
      <Form
        class="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)_4rem_5rem_auto] items-end gap-2 py-2 max-sm:grid-cols-2"
        refusal={["what", "count"].includes(job.refusal?.field ?? "") ? job.refusal : null}
        onsend={addPart}
        several
      >
        <Field label="Part" bind:value={what} at="what" />
        <Field label="The shop’s number" bind:value={number} />
        <Field label="Count" kind="whole" bind:value={count} at="count" />
        <Field label="Price" kind="decimal" bind:value={price} />
        <Button type="submit" disabled={!what.trim()}>Add</Button>
      </Form>
      <div class="flex flex-wrap gap-2">
        {#each offered as one (one)}
          <Button kind="bare" class="border-line" onclick={() => (what = one)}>{one}</Button>
        {/each}
      </div>
    {/if}
  </Fold>
{/if}
