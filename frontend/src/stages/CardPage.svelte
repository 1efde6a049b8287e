<script lang="ts">
  /** One card: the rule of stages, the head drawing that stays put, and what the hands need now. */
  import { untrack } from "svelte";
  import type { Stage } from "../api/client";
  import HeadDrawing from "../head/HeadDrawing.svelte";
  import Button from "../kit/Button.svelte";
  import { keys } from "../kit/keys.svelte";
  import { route } from "../kit/route.svelte";
  import { CardState } from "./card.svelte";
  import Choose from "./choose/Page.svelte";
  import PlanStrip from "./choose/PlanStrip.svelte";
  import { PlanState } from "./choose/plan.svelte";
  import { Closing } from "./closing.svelte";
  import Feel from "./feel/Page.svelte";
  import Fit from "./fit/Page.svelte";
  import Tighten from "./fit/Tighten.svelte";
  import PlateLines from "./PlateLines.svelte";
  import Prove from "./prove/Page.svelte";
  import Ready from "./ready/Page.svelte";
  import Cycle from "./turn/Cycle.svelte";
  import Turn from "./turn/Page.svelte";
  import Read from "./read/Page.svelte";
  import Sign from "./sign/Page.svelte";
  import StageRail from "./StageRail.svelte";
  import { STAGES } from "./stages";

  let { id, stage, shop }: { id: number; stage: Stage | null; shop: string } = $props();

  const card = new CardState(untrack(() => id));
  const planned = new PlanState(card);
  const closing = new Closing(card);
  let drawing = $state<HeadDrawing>();

  /** In Choose the plan follows the card: whatever is written down, it is made anew. */
  $effect(() => {
    if (card.stage === "choose" && card.card && planned.plan?.version !== card.card.version)
      untrack(() => void planned.load());
  });

  void card.load().then(() => {
    if (!card.card) return;
    if (stage) card.enter(stage);
    else route.go(`/cards/${id}/${card.signed ? "sign" : card.card.at}`);
  });
  $effect(() => {
    const to = stage;
    untrack(() => {
      if (to && card.card && (card.stage !== to || !card.inHand)) card.enter(to);
    });
  });

  function turnStage(by: number): void {
    const place = STAGES.findIndex((one) => one.stage === card.stage) + by;
    const to = STAGES[place];
    if (to) route.go(`/cards/${id}/${to.stage}`);
  }

  $effect(() => () => card.stop());
  $effect(() =>
    keys.register([
      { key: "ArrowUp", says: "The valve above", act: () => card.move("up"), inEntry: true },
      {
        key: "ArrowRight",
        says: "The valve to the right",
        act: () => card.move("right"),
        inEntry: true,
      },
      { key: "ArrowDown", says: "The valve below", act: () => card.move("down"), inEntry: true },
      {
        key: "ArrowLeft",
        says: "The valve to the left",
        act: () => card.move("left"),
        inEntry: true,
      },
      { key: "PageDown", says: "The next stage", act: () => turnStage(1), inEntry: true },
      { key: "PageUp", says: "The stage before", act: () => turnStage(-1), inEntry: true },
      {
        key: "r",
        says: "Turn the drawing by a quarter",
        act: () => drawing?.turnOn(),
        inEntry: true,
      },
    ]),
  );
</script>

{#if card.missing}
  <div class="m-auto max-w-md p-6">
    <h1 class="text-2xl">This card cannot be shown</h1>
    <p class="my-3">{card.missing.sentence}</p>
    <div class="flex gap-2">
      <Button kind="now" onclick={() => void card.load().then(() => card.enter(stage ?? "feel"))}
        >Try again</Button
      >
      <Button href="/">Back to the bench</Button>
    </div>
  </div>
{:else if !card.card}
  <p class="text-soft m-auto p-6">Fetching the card…</p>
{:else}
  <StageRail card={card.card} stage={card.stage} />
  <div class="sr-only" role="status" aria-live="polite">{card.said}</div>
  {#if card.clash}
    <div
      class="no-print border-tight bg-sheet flex flex-wrap items-center gap-3 border-b-4 px-4 py-2"
      role="alert"
    >
      <p class="min-w-64 flex-1">
        <b class="text-tight">Not saved yet.</b>
        {card.clash.sentence}
        {#if card.clash.text}
          Yours, <b class="figures">{card.clash.text}</b> for <b>{card.clash.valve}</b>, is still
          here.
        {/if}
        The drawing now shows what the other window wrote.
      </p>
      <Button kind="now" onclick={() => void card.clash?.again()}>Save mine</Button>
      <Button onclick={() => (card.clash = null)}>Keep what is there</Button>
    </div>
  {/if}
  {#if card.outbox.waiting.length}
    <p class="no-print border-now bg-wash border-b-2 px-4 py-2" role="status">
      <b
        >{card.outbox.waiting.length === 1
          ? "1 entry waits"
          : `${card.outbox.waiting.length} entries wait`}</b
      >
      for the server. Kept in this browser, sent as soon as it answers.
    </p>
  {/if}
  {#if card.stage === "sign"}
    <Sign job={card} {closing} {shop} />
  {:else if card.stage === "ready"}
    <Ready job={card} />
  {:else}
    <div class="flex min-h-0 flex-1 max-md:flex-col">
      <div class="relative flex min-h-0 min-w-0 flex-1 flex-col">
        <div class="min-h-0 flex-1">
          <HeadDrawing
            bind:this={drawing}
            bind:arranged={card.arranged}
            drawing={card.drawing ?? card.card.drawing}
            valves={card.valves}
            inHand={card.stage === "turn" ? null : card.inHand}
            lit={card.stage === "turn" ? card.lit : null}
            onpick={(valve) => card.pick(valve)}
            residuals={card.stage === "prove" ? card.residuals : null}
            travels={card.stage === "choose"
              ? [...planned.moves.values()].filter((move) => move.changes)
              : card.stage === "fit"
                ? card.card.fit.filter((step) => !step.fitted)
                : []}
          >
            {#snippet plate(valve, size)}
              <PlateLines
                {valve}
                {size}
                stage={card.stage}
                planned={card.stage === "choose" ? (planned.moves.get(valve.valve) ?? null) : null}
                draft={card.draftOf(valve.valve)}
                waits={card.outbox.of(card.stage, valve.valve)?.text ?? null}
                turn={card.stage === "turn"
                  ? {
                      crank: card.crank,
                      lanes: card.card?.turning.lanes ?? [],
                      rests: card.lit.has(valve.valve),
                    }
                  : null}
              />
            {/snippet}
          </HeadDrawing>
        </div>
        {#if card.stage === "choose"}<PlanStrip state={planned} />{/if}
        {#if card.stage === "fit"}
          <div class="max-md:hidden"><Tighten job={card} {closing} /></div>
        {/if}
        {#if card.stage === "turn"}
          <div class="border-line h-[46%] min-h-40 border-t max-md:h-[45%]">
            <Cycle
              turning={card.card.turning}
              crank={card.crank}
              lit={card.lit}
              onturn={(to) => (card.crank = to)}
            />
          </div>
        {/if}
      </div>
      <aside
        class="border-ink flex w-[384px] shrink-0 flex-col gap-2.5 overflow-auto border-l p-4 max-md:max-h-[66%] max-md:w-full max-md:border-t max-md:border-l-0 max-md:gap-1.5 max-md:p-2"
        aria-label="The valve in hand"
      >
        {#if card.signed}
          <p class="border-ink border-l-4 pl-3">This card is signed; nothing on it changes.</p>
        {/if}
        {#if card.stage === "turn"}<Turn job={card} />
        {:else if card.stage === "feel"}<Feel job={card} />
        {:else if card.stage === "read"}<Read job={card} />
        {:else if card.stage === "choose"}<Choose job={card} state={planned} />
        {:else if card.stage === "fit"}
          <Fit job={card} {closing} />
          <div class="md:hidden"><Tighten job={card} {closing} /></div>
        {:else}<Prove job={card} {closing} />{/if}
      </aside>
    </div>
  {/if}
{/if}
