<script lang="ts">
  /** Bench: what lies open, what was signed, and the way to a new card. */
  import type { CardLine } from "../../api/client";
  import HeadMini from "../../head/HeadMini.svelte";
  import { Button } from "../../kit";
  import { keys } from "../../state/keys.svelte";
  import { STAGES } from "../../card/registry";
  import AddEngine from "./AddEngine.svelte";
  import OpenCard from "./OpenCard.svelte";
  import { shopState } from "../../state/shop.svelte";

  let opening = $state(false);
  let adding = $state(false);
  const shop = $derived(shopState.shop);
  const open = $derived(shop?.cards.filter((card) => !card.signed_at) ?? []);
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
  const next = (card: CardLine): string =>
    STAGES.find((one) => one.stage === card.at)?.name ?? "Feel";
</script>

<main class="mx-auto w-full max-w-[1120px] px-5 py-5 max-sm:px-3">
  {#if shopState.refusal}
    <h1 class="text-2xl">The bench cannot be shown</h1>
    <p class="my-3">{shopState.refusal.sentence}</p>
    <Button kind="now" onclick={() => void shopState.load()}>Try again</Button>
  {:else if shop}
    <div class="flex flex-wrap items-end justify-between gap-3">
      <h1 class="text-title leading-9 font-[640]" style:font-stretch="84%">{shop.name}</h1>
      <div class="flex gap-2">
        <Button onclick={() => (adding = true)}>Add an engine</Button>
        {#if shop.engines.length}
          <Button kind="now" onclick={() => (opening = true)}>Open a card</Button>
        {/if}
      </div>
    </div>

    <div class="ticks mt-3 h-3" aria-hidden="true"></div>
    <h2 class="border-ink border-t-2 pt-2 text-lg">On the bench</h2>
    {#if open.length === 0}
      <p class="text-soft py-6">
        {shop.engines.length
          ? "No card is open. Open one for the engine in front of you."
          : "No engine yet. Add one from an engine file, then open its first card."}
      </p>
    {/if}
    <ul>
      {#each open as card (card.id)}
        {@const head = drawing(card)}
        <li class="border-line border-b">
          <a
            href="/cards/{card.id}/{card.at}"
            class="hover:bg-sheet grid min-h-24 grid-cols-[150px_minmax(0,1fr)_13rem_7rem] items-center gap-4 py-2 max-md:grid-cols-[84px_minmax(0,1fr)] max-md:gap-3"
          >
            <span class="flex h-20 justify-center max-md:row-span-2 max-md:h-14">
              {#if head}<HeadMini drawing={head} verdicts={card.verdicts} />{/if}
            </span>
            <span class="min-w-0">
              <span class="block truncate text-xl font-[620]">{card.label}</span>
              <span class="block">{card.reason}</span>
              <span class="text-soft block text-note">{card.opened_by}, {day(card.opened_at)}</span>
            </span>
            <span class="text-note max-md:col-start-2">{stands(card)}</span>
            <span
              class="bg-now text-on-now flex min-h-11 items-center justify-between gap-2 px-3.5 font-[620] max-md:col-span-2 max-md:justify-center"
            >
              {next(card)}
              <svg viewBox="0 0 16 12" class="h-3" aria-hidden="true">
                <path
                  d="M0 6h14M9 1l5 5-5 5"
                  fill="none"
                  stroke="currentColor"
                  stroke-width="1.8"
                />
              </svg>
            </span>
          </a>
        </li>
      {/each}
    </ul>

    {#if signed.length}
      <h2 class="border-ink mt-8 border-t-2 pt-2 text-lg">Signed</h2>
      <ul>
        {#each signed as card (card.id)}
          {@const head = drawing(card)}
          <li class="border-line border-b">
            <a
              href="/cards/{card.id}/sign"
              class="hover:bg-sheet grid min-h-16 grid-cols-[150px_minmax(0,1fr)_13rem_7rem] items-center gap-4 py-1.5 max-md:grid-cols-[84px_minmax(0,1fr)] max-md:gap-3"
            >
              <span class="flex h-12 justify-center">
                {#if head}<HeadMini drawing={head} verdicts={card.verdicts} />{/if}
              </span>
              <span class="min-w-0">
                <span class="block truncate font-[620]">{card.label}</span>
                <span class="text-soft block text-note"
                  >{card.signed_by}, {day(card.signed_at ?? card.opened_at)}</span
                >
              </span>
              <span class="text-note max-md:col-start-2"
                >{card.next_check_km === null
                  ? "next check not set"
                  : `next check at ${card.next_check_km} km`}</span
              >
              <span class="px-3.5 text-left font-[560] underline underline-offset-4 max-md:hidden"
                >Sheet</span
              >
            </a>
          </li>
        {/each}
      </ul>
    {/if}
    <OpenCard bind:open={opening} engines={shop.engines} />
    <AddEngine bind:open={adding} />
  {:else}
    <p class="text-soft">Fetching the bench…</p>
  {/if}
</main>
