<script lang="ts">
  /** Prove: turned by hand, measured again, held against what was expected, and explained. */
  import { act } from "../../api/acts";
  import { Button, Field } from "../../kit";
  import { preferences } from "../../state/preferences.svelte";
  import { route } from "../../state/route.svelte";
  import { untrack } from "svelte";
  import type { Job } from "../../card/job.svelte";
  import { Edits } from "../../card/edits.svelte";
  import Measure from "../../card/Measure.svelte";
  import TurnFirst from "../../card/TurnFirst.svelte";
  import InHand from "../../card/InHand.svelte";
  import Questions from "../../card/Questions.svelte";
  import NextStage from "../../card/NextStage.svelte";

  let { job }: { job: Job } = $props();

  const card = $derived(job.card);
  const turned = new Edits(
    untrack(() => job),
    () => job.card?.hand_turns ?? 0,
  );
  const turns = $derived(turned.value);
  /** One more full turn; every tap counts, however fast they come. */
  function turn(): void {
    void turned.edit(
      (turns) => turns + 1,
      (turns) => act("turn-by-hand", { turns }),
    );
  }
  const wanted = $derived(card?.hand_turns_wanted ?? 2);
  const note = $derived.by(() => {
    const valve = job.valve;
    if (!valve?.proof) return "Back at its mark, measure as before. What is expected stays hidden.";
    return [
      valve.proof_sure
        ? `The blades alone do not tell. With what was expected: ${valve.proof_sure} sure in range.`
        : "",
      came,
    ]
      .filter(Boolean)
      .join(" ");
  });
  const came = $derived.by(() => {
    const valve = job.valve;
    if (!valve?.proof) return "";
    if (valve.was) {
      const was = preferences.read(valve.was);
      return valve.was.nm < 0
        ? `Worked back: it was held open by ${was.replace("−", "")} ${preferences.unitName}.`
        : `Worked back: the gap was ${was} ${preferences.unitName}.`;
    }
    if (!valve.predicted || !valve.residual) return valve.reason;
    const off = preferences.read(valve.residual);
    const how =
      valve.residual.nm === 0
        ? "as worked out"
        : `off by ${off}, ${valve.within_doubt === false ? "more than the instruments’ doubt" : "within the instruments’ doubt"}`;
    return `Expected ${preferences.read(valve.predicted)}, came out ${preferences.read(valve.proof.gap)}: ${how}.`;
  });
  const causes = $derived(card?.explained?.ranked ?? []);
  const complete = $derived(job.todo?.waiting.length === 0);
  /** What another round is for; where there is nothing to do in it, none is offered. */
  const tasks = $derived((complete && card?.next_tasks) || []);

  let reason = $state("");
  const proposed = $derived(tasks[0] ?? "");
  async function again(): Promise<void> {
    const why = reason.trim() || proposed;
    if (await job.act(act("next-round", { reason: why }))) route.go(`/cards/${job.id}/read`);
  }
</script>

{#snippet explained()}
  {#if card?.explained}
    <section class="border-ink border-t-2 pt-2" aria-labelledby="explained">
      <h3 id="explained" class="text-lg font-[620]">
        {card.explained.fine && !causes.length
          ? card.explained.beyond.length
            ? "No one cause explains it"
            : "As predicted, within doubt"
          : "What explains it"}
      </h3>
      {#if card.explained.fine && card.explained.beyond.length}
        <p class="text-note leading-5">
          {card.explained.beyond.join(", ")}
          {card.explained.beyond.length === 1 ? "is" : "are"} off by more than usual, but not enough to
          name a cause. Measure again before anything is opened.
        </p>
      {/if}
      {#each causes as cause, n (n)}
        <article class="border-line border-b py-1.5">
          <div class="flex items-baseline justify-between gap-2">
            <b class="leading-5">{cause.name}</b>
            <span class="figures text-row">{cause.sure}</span>
          </div>
          <svg
            viewBox="0 0 100 4"
            preserveAspectRatio="none"
            class="h-1.5 w-full"
            aria-hidden="true"
          >
            <path d="M0 3.500H100" stroke="var(--line)" stroke-width="1" />
            <path d="M0 2H{cause.chance * 100}" stroke="var(--ink)" stroke-width="3" />
          </svg>
          <p class="pt-1 text-note leading-5">{cause.evidence}</p>
          <p class="text-note leading-5"><b>Check first:</b> {cause.check}</p>
        </article>
      {/each}
    </section>
  {/if}
  {#if card && tasks.length && !job.signed}
    <div class="border-now bg-wash flex flex-col gap-2 border-l-4 py-2 pr-2 pl-3">
      <Field
        label="Why it goes round again"
        look="text-soft block text-sm"
        bind:value={reason}
        placeholder={proposed}
      />
      <Button kind="now" id="next-round" class="min-h-12 text-lg" onclick={again}
        >Do another round ({card.round + 1})</Button
      >
    </div>
  {/if}
{/snippet}

{#if job.valve && card}
  {#if turns < wanted && !job.signed}
    <div class="border-now bg-wash flex items-center gap-3 border-l-4 py-1.5 pr-1.5 pl-3">
      <p class="flex-1 leading-5">
        <b>Turn the crank by hand first:</b>
        {turns} of {wanted} full turns, in its own direction. It must go round without a stop.
      </p>
      <Button kind="now" id="one-turn" class="min-h-12" onclick={turn}>One turn</Button>
    </div>
  {/if}
  <InHand
    valve={job.valve}
    gap={job.valve.proof?.gap ?? null}
    verdict={job.valve.proof_verdict}
    {note}
  />
  {#if turns >= wanted}<TurnFirst {job} measured={(one) => one.proof !== null} />{/if}
  <Questions {job} />
  {#if job.valve.left_unset}
    <p class="border-now border-l-4 pl-3 leading-5">
      In the check range, but not in the set range it was to end in.
    </p>
  {/if}
  {#if complete && !job.entry.draft}{@render explained()}{/if}
  <Measure {job} what="Gap after fitting" written={job.valve.proof_next}>
    {#if turns >= wanted && !job.signed}
      <p class="text-soft flex items-center justify-between text-fine">
        Turned by hand {turns} times.
        <Button kind="bare" onclick={turn}>One more</Button>
      </p>
    {/if}
  </Measure>
  {#if !complete || job.entry.draft}{@render explained()}{/if}
  <NextStage {card} stage="prove" />
{/if}
