<script lang="ts">
  /** One card: the rule of stages, the head drawing that stays put, and what the hands need now. */
  import { called } from "../card/sending.svelte";
  import { act } from "../api/acts";
  import { type Snippet, untrack } from "svelte";
  import { MediaQuery } from "svelte/reactivity";
  import type { Stage } from "../api/client";
  import HeadDrawing from "../head/HeadDrawing.svelte";
  import { Button } from "../kit";
  import { keys } from "../state/keys.svelte";
  import { preferences } from "../state/preferences.svelte";
  import { PRACTISING, route } from "../state/route.svelte";
  import { undo } from "../state/undo.svelte";
  import { hear, stayOn } from "../card/aloud";
  import { Job } from "../card/job.svelte";
  import { PAGES } from "./pages";
  import PlateLines from "../card/PlateLines.svelte";
  import { kindOf, stagesOf } from "../card/registry";
  import StageNote from "../card/StageNote.svelte";
  import StageRail from "../card/StageRail.svelte";

  let { id, stage }: { id: number; stage: Stage | null } = $props();

  const roomy = new MediaQuery("min-width: 1000px");
  const job = new Job(untrack(() => id));
  const kind = $derived(kindOf(job.stage));
  const Page = $derived(PAGES[job.stage].page);
  const Below = $derived(PAGES[job.stage].below);
  let drawing = $state<HeadDrawing>();

  void job.load().then(() => {
    if (!job.card) return;
    preferences.open(id, job.card.unit, job.card.shim_unit);
    if (stage) job.enter(stage);
    else route.go(`/cards/${id}/${job.signed ? "sign" : job.card.at}`);
  });
  $effect(() => {
    const to = stage;
    untrack(() => {
      if (to && job.card && (job.stage !== to || !job.inHand)) job.enter(to);
    });
  });

  function turnStage(by: number): void {
    const stages = job.card ? stagesOf(job.card) : [];
    const to = stages[stages.findIndex((one) => one.stage === job.stage) + by];
    if (to) route.go(`/cards/${id}/${to.stage}`);
  }

  const residuals = $derived(
    new Map(
      [...job.valves.values()].flatMap((one) =>
        one.residual
          ? [[one.valve, { nm: one.residual.nm, fine: one.within_doubt !== false }] as const]
          : [],
      ),
    ),
  );
  $effect(() => hear(job.queue.said));
  $effect(stayOn);
  $effect(() => () => {
    job.stop();
    preferences.close();
  });
  $effect(() =>
    keys.register([
      { key: "ArrowUp", says: "The valve above", act: () => job.move("up"), inEntry: true },
      {
        key: "ArrowRight",
        says: "The valve to the right",
        act: () => job.move("right"),
        inEntry: true,
      },
      { key: "ArrowDown", says: "The valve below", act: () => job.move("down"), inEntry: true },
      {
        key: "ArrowLeft",
        says: "The valve to the left",
        act: () => job.move("left"),
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
      { key: "z", says: "Undo what was done last", act: () => void job.takeBack(), inEntry: true },
    ]),
  );
  $effect(() => {
    undo.what = job.card?.last_act && !job.outbox.waiting.length ? job.card.last_act.what : "";
    return () => (undo.what = "");
  });
</script>

{#snippet practised()}
  {#if PRACTISING}
    {#await import("../practice/Rig.svelte") then { default: Rig }}
      <Rig {job} wide={roomy.current} />
    {/await}
  {/if}
{/snippet}
{#snippet banner(says: Snippet)}
  <div
    class="no-print border-now bg-wash flex flex-wrap items-center gap-3 border-b-2 px-4 py-2"
    role="status"
  >
    {@render says()}
  </div>
{/snippet}
{#snippet putAway()}
  <p class="min-w-64 flex-1">
    <b>This card is put away.</b> All on it is kept; it is not on the bench.
  </p>
  <Button kind="now" onclick={() => void job.act(act("put-away", { away: false }))}
    >Bring it back</Button
  >
  <Button href="/">Back to the bench</Button>
{/snippet}
{#snippet corrected()}
  <p class="min-w-64 flex-1 leading-5">
    <b>The engine was corrected since this card was opened.</b>
    {job.card?.engine_changes.join(" ")}
  </p>
  <Button kind="now" id="take-engine" onclick={() => void job.act(act("take-over-engine", {}))}
    >Take it over, judge again</Button
  >
{/snippet}

{#if job.missing}
  <main class="m-auto max-w-md p-6">
    <h1 class="text-2xl">This card cannot be shown</h1>
    <p class="my-3">{job.missing.sentence}</p>
    <div class="flex gap-2">
      <Button kind="now" onclick={() => void job.load().then(() => job.enter(stage ?? "feel"))}
        >Try again</Button
      >
      <Button href="/">Back to the bench</Button>
    </div>
  </main>
{:else if !job.card}
  <p class="text-soft m-auto p-6">Fetching the card…</p>
{:else}
  <StageRail card={job.card} stage={job.stage} />
  <div class="sr-only" role="status" aria-live="polite">{job.queue.said}</div>
  {#if job.queue.clash}
    <div
      class="no-print border-tight bg-sheet flex flex-wrap items-center gap-3 border-b-4 px-4 py-2"
      role="alert"
    >
      <p class="min-w-64 flex-1">
        <b class="text-tight">Not saved yet.</b>
        {job.queue.clash.sentence}
        {#if job.queue.clash.text}
          Yours, <b class="figures">{job.queue.clash.text}</b> for <b>{job.queue.clash.valve}</b>,
          is still here.
        {/if}
        The drawing now shows what the other window wrote.
      </p>
      <Button kind="now" onclick={() => void job.queue.clash?.again()}>Save mine</Button>
      {#if job.queue.clash.both}
        <Button onclick={() => void job.queue.clash?.both?.()}>Both are readings</Button>
      {/if}
      <Button onclick={() => job.queue.clash?.drop()}>Keep what is there</Button>
    </div>
  {/if}
  {#if job.card.put_away_at}
    {@render banner(putAway)}
  {/if}
  {#if job.card.engine_changes.length}
    {@render banner(corrected)}
  {/if}
  {#if job.outbox.waiting.length}
    <p class="no-print border-now bg-wash border-b-2 px-4 py-2" role="status">
      <b
        >{job.outbox.waiting.length === 1
          ? "1 entry waits"
          : `${job.outbox.waiting.length} entries wait`}</b
      >
      for the server. Kept in this browser, sent as soon as it answers:
      {job.outbox.waiting.slice(0, 6).map(called).join("; ")}{job.outbox.waiting.length > 6
        ? " …"
        : "."}
    </p>
  {/if}
  <main class="flex min-h-0 flex-1 flex-col print:block">
    <h1 class="sr-only">{job.card.label}: {kind.name}</h1>
    {#if kind.whole}
      {#if PRACTISING}<div class="px-4 pt-3">{@render practised()}</div>{/if}
      <Page {job} />
    {:else}
      <div class="flex min-h-0 flex-1 stack:flex-col short:block short:overflow-auto">
        <div class="relative flex min-h-0 min-w-0 flex-1 flex-col short:h-[26rem]">
          <div class="min-h-0 flex-1">
            <HeadDrawing
              bind:this={drawing}
              bind:arranged={job.arranged}
              drawing={job.drawing ?? job.card.drawing}
              valves={job.valves}
              inHand={kind.turns ? null : job.inHand}
              lit={kind.turns ? job.lit : null}
              onpick={(valve) => job.pick(valve)}
              residuals={kind.residuals ? residuals : null}
              travels={kind.travels?.(job.card, job.plan.plan) ?? []}
            >
              {#snippet plate(valve, size)}
                <PlateLines
                  {valve}
                  {size}
                  stage={job.stage}
                  planned={kind.plans ? (job.plan.moves.get(valve.valve) ?? null) : null}
                  draft={job.entry.draftOf(valve.valve)}
                  waits={job.outbox.of(job.stage, valve.valve)?.text ?? null}
                  turn={kind.turns
                    ? {
                        crank: job.crank,
                        lanes:
                          job.stopHere?.degrees === null ? [] : (job.card?.turning.lanes ?? []),
                        rests: job.lit.has(valve.valve),
                      }
                    : null}
                />
              {/snippet}
            </HeadDrawing>
          </div>
          {#if roomy.current}{@render practised()}{/if}
          {#if Below}<Below {job} />{/if}
        </div>
        <section
          class="border-ink flex w-[384px] shrink-0 flex-col gap-2.5 overflow-auto border-l p-4 {kind.plans
            ? 'stack:max-h-[52%]'
            : 'stack:max-h-[62%]'} stack:w-full stack:border-t stack:border-l-0 max-md:max-h-[66%] short:max-h-none max-md:gap-1.5 max-md:p-2"
          aria-label="The valve in hand"
          data-hand
        >
          {#if !roomy.current}{@render practised()}{/if}
          {#if job.signed}
            <p class="border-ink border-l-4 pl-3">This card is signed; nothing on it changes.</p>
          {/if}
          <Page {job} />
          {#key job.stage}<StageNote {job} />{/key}
        </section>
      </div>
    {/if}
  </main>
{/if}
