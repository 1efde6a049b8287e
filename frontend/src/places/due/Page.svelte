<script lang="ts">
  /** What is due: the whole list, to print, and its calendar. */
  import { tick } from "svelte";
  import { type Schemas, answer, api } from "../../api/client";
  import { Button, Notice, PlaceFrame } from "../../kit";
  import { Attempt } from "../../state/attempt.svelte";
  import { Pages } from "../../state/pages.svelte";
  import DueList from "./DueList.svelte";

  const asking = new Attempt();
  const pages = new Pages<Schemas["DueOut"]>(async (skip) => {
    const page = await answer(api.GET("/api/due", { params: { query: { skip } } }));
    return { count: page.count, lines: page.due };
  });
  let path = $state<string | null>(null);

  async function load(): Promise<void> {
    await pages.look();
    await asking.at(async () => {
      path = (await answer(api.GET("/api/calendar"))).path;
    });
  }
  /** The whole list goes on paper. */
  async function printed(): Promise<void> {
    await pages.all();
    await tick();
    if (!pages.more) print();
  }
  async function anew(): Promise<void> {
    await asking.at(async () => {
      path = (await answer(api.POST("/api/calendar"))).path;
    });
  }
  void load();
</script>

<PlaceFrame
  title="What is due"
  refusal={pages.count === null ? pages.attempt.refusal : null}
  onretry={load}
>
  {#snippet acts()}
    <Button href="/api/due.ics">Calendar file</Button>
    <Button onclick={printed}>Print</Button>
  {/snippet}
  {#if pages.count !== null}
    <div class="border-ink border-t-2"></div>
    {#if pages.count === 0}
      <p class="text-soft py-6">
        Nothing has a day yet. A day is known once a card is signed with one. Two checks a month
        apart also say how far an engine runs.
      </p>
    {/if}
    <DueList due={pages.lines} />
    {#if pages.attempt.refusal}<Notice>{pages.attempt.refusal.sentence}</Notice>{/if}
    {#if pages.more}
      <Button class="no-print mt-3" onclick={() => pages.look(pages.lines.length)}
        >Show more: {pages.lines.length} of {pages.count} are here</Button
      >
    {/if}
    <section class="no-print border-line mt-8 border-t pt-3">
      <h2 class="text-lg">In your own calendar</h2>
      {#if path}
        <p class="leading-6">
          Subscribe to this address. Whoever has it sees what is due and nothing else; a new one
          makes the old one lead nowhere.
        </p>
        <p class="figures my-2 break-all select-all">{location.origin}{path}</p>
      {:else}
        <p class="leading-6">
          A calendar can be subscribed to under an address with a secret in it.
        </p>
      {/if}
      {#if asking.refusal}<Notice>{asking.refusal.sentence}</Notice>{/if}
      <Button onclick={anew}>{path ? "Make a new address" : "Make the address"}</Button>
    </section>
  {:else}
    <p class="text-soft">Fetching what is due…</p>
  {/if}
</PlaceFrame>
