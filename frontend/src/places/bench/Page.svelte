<script lang="ts">
  /** Bench: what lies open, what was signed, and the way to a new card. */
  import { type CardLine, type Refusal, answer, api } from "../../api/client";
  import { Arrow, Button, PlaceFrame } from "../../kit";
  import { keys } from "../../state/keys.svelte";
  import { STAGES } from "../../card/registry";
  import AddEngine from "./AddEngine.svelte";
  import CardRow from "./CardRow.svelte";
  import DueList from "../due/DueList.svelte";
  import Found from "./Found.svelte";
  import OpenCard from "./OpenCard.svelte";
  import { opening } from "../../state/opening.svelte";
  import { shopState } from "../../state/shop.svelte";
  import { grouped } from "../../kit/numbers";

  let asking = $state(false);
  if (opening.asked) {
    opening.asked = false;
    asking = true;
  }
  let adding = $state(false);
  let like = $state("");
  let field = $state<HTMLInputElement | null>(null);
  let all = $state<"signed" | "away" | "open" | null>(null);
  const shop = $derived(shopState.shop);
  const open = $derived(shop?.cards.filter((card) => !card.signed_at && !card.put_away_at) ?? []);
  const waiting = $derived(open.filter((card) => card.at === "choose").length);
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

  /** An empty record: it offers five ways to begin, and nothing else. */
  const first = $derived(
    shop !== null && !shop.engines.length && !shop.cards.length && !shop.lost_engines.length,
  );
  const CHOICES = [
    {
      name: "Quick sum",
      says: "One gap, one shim, the allowed gap: which shim to take. No name, no card.",
      href: "/sum",
    },
    {
      name: "Practise",
      says: "The whole job on a simulated engine. At the end you see the true gaps.",
      href: "/practice/",
      apart: true,
    },
    {
      name: "Add your engine",
      says: "Its layout, and what the manual says. What nobody enters stays unknown.",
      href: "/engines/new",
    },
    { name: "Bring in a file", says: "An engine that somebody sent, as a JSON file." },
    {
      name: "Look at the demo school",
      says: "A made-up shop with engines, cards and a drawer. Nothing of it comes into yours.",
      href: "/school/",
      apart: true,
    },
  ];
  void shopState.load();
  $effect(() =>
    keys.register([
      { key: "o", says: "Bench: open a card", act: () => (asking = !first) },
      { key: "/", says: "Bench: look for a card", act: () => field?.focus() },
    ]),
  );

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

<PlaceFrame
  title={shopState.refusal?.code === "who"
    ? "Plimb"
    : shopState.refusal
      ? "The bench cannot be shown"
      : shop?.name || (shop ? "Bench" : "")}
  wide="max-w-[1400px]"
  refusal={shopState.refusal}
  onretry={() => shopState.load()}
>
  {#snippet acts()}
    {#if shop && !first}
      {#if shop.engines.length}<Button href="/sum">Quick sum</Button>{/if}
      <Button onclick={() => (adding = true)}>Engine from a file</Button>
      <Button kind={shop.engines.length ? "plain" : "now"} href="/engines/new">Add an engine</Button
      >
      {#if shop.engines.length}
        <Button kind="now" onclick={() => (asking = true)}>Open a card</Button>
      {/if}
    {/if}
  {/snippet}
  {#if shop && first}
    <p class="my-4 text-lg">Nothing is here yet. Begin with one of these.</p>
    <ul class="border-ink grid max-w-[56rem] gap-px border-t-2 sm:grid-cols-2">
      {#each CHOICES as one (one.name)}
        <li class="border-line border-b">
          {#snippet face()}
            <span class="block text-lg font-[620] underline underline-offset-4">{one.name}</span>
            <span class="text-soft block leading-5">{one.says}</span>
          {/snippet}
          {#if one.href}
            <a
              class="hover:bg-sheet block min-h-24 p-4"
              href={one.href}
              rel={one.apart ? "external" : undefined}>{@render face()}</a
            >
          {:else}
            <button
              type="button"
              class="hover:bg-sheet block min-h-24 w-full p-4 text-left"
              onclick={() => (adding = true)}>{@render face()}</button
            >
          {/if}
        </li>
      {/each}
    </ul>
    <AddEngine bind:open={adding} />
  {:else if shop}
    {#if shop.cards.length}
      <label class="no-print my-3 flex items-center gap-3">
        <span class="text-soft shrink-0">Look for</span>
        <input
          bind:this={field}
          bind:value={like}
          type="search"
          class="field"
          placeholder="machine, person, reason, day, size, “tight exhaust”"
          onkeydown={(event) => event.key === "Escape" && (like = "")}
        />
      </label>
    {/if}
    {#if like.trim() || all}
      <div class="border-ink flex items-center justify-between border-t-2 pt-2">
        <h2 class="text-lg">
          {like.trim() ? "Found" : `All ${all === "away" ? "put away" : all}`}
        </h2>
        <Button
          kind="bare"
          onclick={() => {
            like = "";
            all = null;
          }}>Back to the bench</Button
        >
      </div>
      <Found {like} of={all} />
    {:else}
      <div class="grid gap-x-8 {shop.due.length ? 'xl:grid-cols-[minmax(0,1fr)_19rem]' : ''}">
        <div class="min-w-0">
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
              <CardRow {card} to={card.at} tall beside={stands(card)} does={goOn} />
            {/each}
          </ul>
          {#if waiting > 1}
            <p class="border-line flex flex-wrap items-center gap-x-4 border-b py-2">
              <span class="min-w-52 flex-1"
                >{waiting} cards wait for their shims, out of one drawer.</span
              >
              <Button href="/together">Plan them together</Button>
            </p>
          {/if}
          {#if open.length < shop.counts.open}
            <Button class="my-2" onclick={() => (all = "open")}
              >All {grouped(shop.counts.open)} on the bench</Button
            >
          {/if}
          {#if signed.length}
            <h2 class="border-ink mt-8 border-t-2 pt-2 text-lg">Signed</h2>
            <ul>
              {#each signed as card (card.id)}
                {#snippet sheet()}
                  <span
                    class="px-3.5 text-left font-[560] underline underline-offset-4 max-md:hidden"
                    >Sheet</span
                  >
                {/snippet}
                <CardRow {card} to="sign" beside={checkAt(card)} does={sheet} />
              {/each}
            </ul>
            {#if signed.length < shop.counts.signed}
              <Button class="my-2" onclick={() => (all = "signed")}
                >All {grouped(shop.counts.signed)} signed</Button
              >
            {/if}
          {/if}
          {#if broken.length || shop.lost_engines.length}
            <h2 class="border-ink mt-8 border-t-2 pt-2 text-lg">Cannot be read</h2>
            <p class="text-soft text-note leading-5">
              Something on it was damaged. Nothing else is touched. Take it out as it lies, put back
              an earlier copy in Shop, or lay it aside.
            </p>
            <ul>
              {#each broken as card (card.id)}
                <li class="border-line flex min-h-14 flex-wrap items-center gap-x-4 border-b py-1">
                  <span class="min-w-52 flex-1">
                    <span class="block truncate font-[620]">Card {card.id}, {card.label}</span>
                    <span class="text-soft text-note"
                      >{card.reason ? `${card.reason} ` : ""}({card.why})</span
                    >
                  </span>
                  <Button href="/api/unreadable/{card.id}/rows.json" kind="bare">Take it out</Button
                  >
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
                >{shop.counts.away === 1
                  ? "1 card is put away"
                  : `${shop.counts.away} cards are put away`}</summary
              >
              <ul>
                {#each away as card (card.id)}
                  {#snippet look()}
                    <span class="px-3.5 text-left font-[560] underline underline-offset-4"
                      >Look</span
                    >
                  {/snippet}
                  <CardRow {card} to={card.at} beside={stands(card)} does={look} />
                {/each}
              </ul>
            </details>
          {/if}
        </div>
        {#if shop.due.length}
          <section class="max-xl:mt-8" aria-label="What is due">
            <div class="border-ink flex items-baseline justify-between border-t-2 pt-2">
              <h2 class="text-lg">Due</h2>
              <a class="inline-flex min-h-11 items-center underline underline-offset-4" href="/due"
                >{shop.counts.dated > shop.due.length
                  ? `All ${grouped(shop.counts.dated)}`
                  : "List and calendar"}</a
              >
            </div>
            <DueList due={shop.due} narrow />
          </section>
        {/if}
      </div>
    {/if}
    <OpenCard bind:open={asking} engines={shop.engines} count={shop.counts.engines} />
    <AddEngine bind:open={adding} />
  {:else}
    <p class="text-soft">Fetching the bench…</p>
  {/if}
</PlaceFrame>
