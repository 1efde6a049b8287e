<script lang="ts">
  /** Cards found by their words, or all of a state, page by page. */
  import { type CardLine, type Schemas, answer, api } from "../../api/client";
  import { untrack } from "svelte";
  import { Button, Select } from "../../kit";
  import { Pages } from "../../state/pages.svelte";
  import CardRow from "./CardRow.svelte";
  import { grouped } from "../../kit/numbers";

  let { like, of }: { like: string; of: Schemas["CardState"] | null } = $props();

  let only = $state<Schemas["CardState"] | "any">(untrack(() => of) ?? "any");
  let since = $state("");
  let until = $state("");

  const pages = new Pages<CardLine>(async (skip) => {
    const query = {
      like,
      skip,
      ...(only === "any" ? {} : { state: only }),
      ...(since ? { since } : {}),
      ...(until ? { until } : {}),
    };
    const page = await answer(api.GET("/api/cards", { params: { query } }));
    return { count: page.count, lines: page.cards };
  });
  const count = $derived(pages.count);
  $effect(() => {
    void [like, only, since, until];
    return pages.soon(true);
  });
  const stands = (card: CardLine): string =>
    card.signed_at
      ? card.next_check
        ? `next check ${card.next_check}`
        : "next check not set"
      : `${card.measured} of ${card.valves} measured`;
</script>

<div class="no-print flex flex-wrap items-end gap-x-4 gap-y-2 pt-2">
  <Select
    label="Cards"
    value={only}
    items={[
      { value: "any", label: "any" },
      { value: "open", label: "on the bench" },
      { value: "signed", label: "signed" },
      { value: "away", label: "put away" },
    ]}
    onchange={(chosen) => (only = chosen)}
  />
  <label class="flex min-h-11 items-center gap-2"
    ><span class="text-soft">opened from</span>
    <input class="field w-44" type="date" bind:value={since} max={until || undefined} /></label
  >
  <label class="flex min-h-11 items-center gap-2"
    ><span class="text-soft">to</span>
    <input class="field w-44" type="date" bind:value={until} min={since || undefined} /></label
  >
</div>
{#if pages.attempt.refusal}<p class="py-3">{pages.attempt.refusal.sentence}</p>{/if}
<p class="text-soft py-2" role="status">
  {count === null
    ? "Looking…"
    : count === 0
      ? "No such card."
      : count === 1
        ? "1 card"
        : `${grouped(count)} cards`}
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
      beside={[card.reason, stands(card)].filter(Boolean).join("; ")}
      does={see}
    />
  {/each}
</ul>
{#if pages.more}
  <Button class="my-3" onclick={() => void pages.look(pages.lines.length)}>More</Button>
{/if}
