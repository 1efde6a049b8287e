<script lang="ts">
  /** Cards found by their words, or all of a state, page by page. */
  import { type CardLine, type Schemas, answer, api } from "../../api/client";
  import { Button } from "../../kit";
  import { Pages } from "../../state/pages.svelte";
  import CardRow from "./CardRow.svelte";

  let { like, of }: { like: string; of: Schemas["CardState"] | null } = $props();

  const pages = new Pages<CardLine>(async (skip) => {
    const query = { like, skip, ...(of ? { state: of } : {}) };
    const page = await answer(api.GET("/api/cards", { params: { query } }));
    return { count: page.count, lines: page.cards };
  });
  const count = $derived(pages.count);
  $effect(() => {
    void [like, of];
    return pages.soon(true);
  });
  const stands = (card: CardLine): string =>
    card.signed_at
      ? card.next_check
        ? `next check ${card.next_check}`
        : "next check not set"
      : `${card.measured} of ${card.valves} measured`;
</script>

{#if pages.attempt.refusal}<p class="py-3">{pages.attempt.refusal.sentence}</p>{/if}
<p class="text-soft py-2" role="status">
  {count === null
    ? "Looking…"
    : count === 0
      ? "No card has all these words."
      : count === 1
        ? "1 card"
        : `${count.toLocaleString("en-GB")} cards`}
</p>
<ul>
  {#each pages.lines as card (card.id)}
    {#snippet see()}
      <span class="px-3.5 text-left font-[560] underline underline-offset-4 max-md:hidden"
        >{card.signed_at ? "Sheet" : card.put_away_at ? "Look" : "Go on"}</span
      >
    {/snippet}
    <CardRow
      {card}
      to={card.signed_at ? "sign" : card.at}
      beside="{card.reason}; {stands(card)}"
      does={see}
    />
  {/each}
</ul>
{#if pages.more}
  <Button class="my-3" onclick={() => void pages.look(pages.lines.length)}>More</Button>
{/if}
