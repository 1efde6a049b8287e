<script lang="ts">
  /** Bench: what lies open, what was signed, and the way to a new card. */
  import type { Snippet } from "svelte";
  import { type CardLine, type Refusal, answer, api } from "../../api/client";
  import HeadMini from "../../head/HeadMini.svelte";
  import { Arrow, Button, PlaceFrame } from "../../kit";
  import { keys } from "../../state/keys.svelte";
  import { STAGES } from "../../card/registry";
  import AddEngine from "./AddEngine.svelte";
  import OpenCard from "./OpenCard.svelte";
  import { shopState } from "../../state/shop.svelte";

  let opening = $state(false);
  let adding = $state(false);
  const shop = $derived(shopState.shop);
  const open = $derived(shop?.cards.filter((card) => !card.signed_at && !card.put_away_at) ?? []);
  const away = $derived(shop?.cards.filter((card) => !card.signed_at && card.put_away_at) ?? []);
  const broken = $derived(shop?.unreadable ?? []);
  async function layAside(card_id: number, away: boolean): Promise<void> {
    const params = { path: { card_id } };
    try {
      shopState.shop = await answer(
        api.PUT("/api/unreadable/{card_id}/away", { params, body: { away } }),
      );
    } catch (error) {
      shopState.refusal = error as Refusal;
    }
  }
  const signed = $derived(shop?.cards.filter((card) => card.signed_at) ?? []);

  void shopState.load();
  $effect(() =>
    keys.register([{ key: "o", says: "Bench: open a card", act: () => (opening = true) }]),
  );

  const drawing = (card: CardLine) =>
    shop?.engines.find((engine) => engine.id === card.engine_id)?.drawing;
  const day = (moment: string): string =>
    new Date(moment).toLocaleDateString("en-GB", {
      day: "numeric",
      month: "short",
      year: "numeric",
    });
  function stands(card: CardLine): string {
    if (card.measured === 0) return "nothing measured yet";
    const measured =
      card.measured < card.valves
        ? `${card.measured} of ${card.valves} measured`
        : `all ${card.valves} measured`;
    return card.opened ? `${measured}, ${card.opened} to set` : measured;
  }
  const checkAt = (card: CardLine): string =>
    card.next_check ? `next check ${card.next_check}` : "next check not set";
  const next = (card: CardLine): string =>
    STAGES.find((one) => one.stage === card.at)?.name ?? "Feel";
</script>

{#snippet row(card: CardLine, to: string, tall: boolean, beside: string, does: Snippet)}
  {@const head = drawing(card)}
  <li class="border-line border-b">
    <a
      href="/cards/{card.id}/{to}"
      class="hover:bg-sheet grid grid-cols-[150px_minmax(0,1fr)_13rem_7rem] items-center gap-4 max-md:grid-cols-[84px_minmax(0,1fr)] max-md:gap-3 {tall
        ? 'min-h-24 py-2'
        : 'min-h-16 py-1.5'}"
    >
      <span class="flex justify-center {tall ? 'h-20 max-md:row-span-2 max-md:h-14' : 'h-12'}">
        {#if head}<HeadMini drawing={head} verdicts={card.verdicts} />{/if}
      </span>
      <span class="min-w-0">
        <span class="block truncate font-[620] {tall ? 'text-xl' : ''}">{card.label}</span>
        {#if tall}<span class="block">{card.reason}</span>{/if}
        <span class="text-soft block text-note"
          >{card.signed_by ?? card.opened_by}, {day(card.signed_at ?? card.opened_at)}</span
        >
      </span>
      <span class="text-note max-md:col-start-2">{beside}</span>
      {@render does()}
    </a>
  </li>
{/snippet}

<PlaceFrame
  title={shopState.refusal?.code === "who"
    ? "Plimb"
    : shopState.refusal
      ? "The bench cannot be shown"
      : (shop?.name ?? "")}
  refusal={shopState.refusal}
  onretry={() => shopState.load()}
>
  {#snippet acts()}
    {#if shop}
      <Button onclick={() => (adding = true)}>Engine from a file</Button>
      <Button kind={shop.engines.length ? "plain" : "now"} href="/engines/new">Add an engine</Button
      >
      {#if shop.engines.length}
        <Button kind="now" onclick={() => (opening = true)}>Open a card</Button>
      {/if}
    {/if}
  {/snippet}
  {#if shop}
    <h2 class="border-ink border-t-2 pt-2 text-lg">On the bench</h2>
    {#if open.length === 0}
      <p class="text-soft py-6">
        {shop.engines.length
          ? "No card is open. Open one for the engine in front of you."
          : "No engine yet. Start from its layout: name it, enter what the manual says, measure."}
      </p>
    {/if}
    <ul>
      {#each open as card (card.id)}
        {#snippet goOn()}
          <span
            class="bg-now text-on-now flex min-h-11 items-center justify-between gap-2 px-3.5 font-[620] max-md:col-span-2 max-md:justify-center"
          >
            {next(card)}
            <Arrow />
          </span>
        {/snippet}
        {@render row(card, card.at, true, stands(card), goOn)}
      {/each}
    </ul>
    {#if signed.length}
      <h2 class="border-ink mt-8 border-t-2 pt-2 text-lg">Signed</h2>
      <ul>
        {#each signed as card (card.id)}
          {#snippet sheet()}
            <span class="px-3.5 text-left font-[560] underline underline-offset-4 max-md:hidden"
              >Sheet</span
            >
          {/snippet}
          {@render row(card, "sign", false, checkAt(card), sheet)}
        {/each}
      </ul>
    {/if}
    {#if broken.length || shop.lost_engines.length}
      <h2 class="border-ink mt-8 border-t-2 pt-2 text-lg">Cannot be read</h2>
      <p class="text-soft text-note leading-5">
        Something on it was damaged. Nothing else is touched: take it out as it lies, put back a
        copy from before in Shop, or lay it aside.
      </p>
      <ul>
        {#each broken as card (card.id)}
          <li class="border-line flex min-h-14 flex-wrap items-center gap-x-4 border-b py-1">
            <span class="min-w-52 flex-1">
              <span class="block truncate font-[620]">Card {card.id}, {card.label}</span>
              <span class="text-soft text-note">{card.reason} ({card.why})</span>
            </span>
            <Button href="/api/unreadable/{card.id}/rows.json" kind="bare">Take it out</Button>
            <Button onclick={() => void layAside(card.id, !card.away)}
              >{card.away ? "Bring it back" : "Put it away"}</Button
            >
          </li>
        {/each}
        {#each shop.lost_engines as label (label)}
          <li class="border-line min-h-11 border-b py-2">Engine {label}</li>
        {/each}
      </ul>
    {/if}
    {#if away.length}
      <details class="mt-8">
        <summary class="text-soft min-h-11"
          >{away.length === 1 ? "1 card is put away" : `${away.length} cards are put away`}</summary
        >
        <ul>
          {#each away as card (card.id)}
            {#snippet look()}
              <span class="px-3.5 text-left font-[560] underline underline-offset-4">Look</span>
            {/snippet}
            {@render row(card, card.at, false, stands(card), look)}
          {/each}
        </ul>
      </details>
    {/if}
    <OpenCard bind:open={opening} engines={shop.engines} />
    <AddEngine bind:open={adding} />
  {:else}
    <p class="text-soft">Fetching the bench…</p>
  {/if}
</PlaceFrame>
