<script lang="ts">
  /** An old notebook as CSV: what is understood of it, row by row, before anything is kept. */
  import { type Schemas, answer, api, newKey } from "../../api/client";
  import { Button, Dialog, Field, Form } from "../../kit";
  import { Attempt } from "../../state/attempt.svelte";
  import { people } from "../../state/people.svelte";
  import { preferences } from "../../state/preferences.svelte";

  let {
    open = $bindable(false),
    engine,
    onkept,
  }: { open?: boolean; engine: number; onkept: (years: Schemas["YearsOut"]) => void } = $props();

  let text = $state("");
  let who = $state(preferences.name);
  let seen = $state.raw<Schemas["NotebookOut"] | null>(null);
  const attempt = new Attempt();
  const params = $derived({ path: { engine_id: engine } });
  let key = newKey();

  async function look(): Promise<void> {
    seen = null;
    await attempt.at(async () => {
      seen = await answer(
        api.POST("/api/engines/{engine_id}/notebook/preview", { params, body: { text } }),
      );
      key = newKey();
    });
  }
  async function keep(): Promise<void> {
    await attempt.at(async () => {
      const years = await answer(
        api.POST("/api/engines/{engine_id}/notebook", {
          params,
          body: { text, noted_by: people.name(who) },
          headers: { "Idempotency-Key": key },
        }),
      );
      open = false;
      text = "";
      seen = null;
      onkept(years);
    });
  }
  async function fromFile(event: Event): Promise<void> {
    const file = (event.currentTarget as HTMLInputElement).files?.[0];
    if (!file) return;
    text = await file.text();
    await look();
  }
</script>

<Dialog
  bind:open
  title="An old notebook"
  says="One row a valve and day: date, valve, gap; and, where you know them, counter, shim, new_gap, new_shim, head_work. Gaps are written as they are typed in Feel."
>
  <Form onsend={seen?.good ? keep : look} refusal={attempt.refusal} class="flex flex-col gap-3">
    <label class="block">
      <span class="text-soft">CSV file</span>
      <input class="field" type="file" accept=".csv,text/csv" onchange={fromFile} />
    </label>
    <label class="block">
      <span class="text-soft">or its text</span>
      <textarea
        class="field figures min-h-28"
        bind:value={text}
        oninput={() => (seen = null)}
        placeholder="date,counter,valve,gap,shim&#10;2024-04-01,12000,1 IN L,13-15,2.85"></textarea>
    </label>
    {#if seen}
      <ol class="border-line max-h-64 overflow-auto border-t" aria-label="As it is understood">
        {#each seen.rows as row (row.number)}
          <li class="border-line grid grid-cols-[2.5rem_minmax(0,1fr)] gap-x-2 border-b py-1">
            <span class="figures text-soft">{row.number}</span>
            <span class="text-note leading-5">
              {#if row.fault}
                <span class="text-soft line-through">{row.said}</span>
                <b class="text-tight block font-[560]">{row.fault}</b>
              {:else}{row.words}{/if}
            </span>
          </li>
        {/each}
      </ol>
      {#if !people.here}<Field label="Who takes it in" bind:value={who} at="noted_by" />{/if}
    {/if}
    {#snippet foot()}
      {#if seen?.good}
        <Button kind="now" type="submit" class="min-h-12 text-lg"
          >Keep {seen.good === 1 ? "1 row" : `${seen.good} rows`}{seen.good < seen.rows.length
            ? `, leave ${seen.rows.length - seen.good} out`
            : ""}</Button
        >
      {:else}
        <Button kind="now" type="submit" class="min-h-12 text-lg">Look what is understood</Button>
      {/if}
    {/snippet}
  </Form>
</Dialog>
