<script lang="ts">
  /** Choose: the piece for the valve in hand, out of the plan for the whole engine. */
  import { act } from "../../api/acts";
  import { preferences } from "../../state/preferences.svelte";
  import type { Option } from "../../api/client";
  import { Button, Field, Form, Notice } from "../../kit";
  import { keys } from "../../state/keys.svelte";
  import type { Job } from "../../card/job.svelte";
  import InHand from "../../card/InHand.svelte";
  import NextStage from "../../card/NextStage.svelte";
  import Lean from "../../card/Lean.svelte";
  import OpenToo from "../../card/OpenToo.svelte";
  import { leaning } from "../../card/policy";
  import BuyList from "./BuyList.svelte";
  import Help from "./Help.svelte";
  import Ladder from "./Ladder.svelte";
  import Rivals from "./Rivals.svelte";
  import { optionKey, stepped } from "./options";

  let { job }: { job: Job } = $props();

  const planned = $derived(job.plan);
  $effect(() => planned.follow());

  /** The option looked at, not taken, by valve. */
  let looking = $state.raw<Record<string, Option>>({});
  const valve = $derived(job.valve);
  const move = $derived(valve ? (planned.moves.get(valve.valve) ?? null) : null);
  const option = $derived.by((): Option | null => {
    if (!valve || !move) return null;
    const looked = looking[valve.valve];
    const there = looked && move.options.find((one) => optionKey(one) === optionKey(looked));
    return there ?? move.options.find((one) => one.goes_to === valve.valve) ?? null;
  });
  const taken = $derived(
    valve !== null &&
      option !== null &&
      valve.chosen !== null &&
      valve.chosen.by_hand &&
      valve.chosen.thickness.nm === option.thickness.nm &&
      valve.chosen.source === option.source,
  );
  /** Beside the list of what to buy all of it is said; without one, what matters to this valve. */
  const helps = $derived(
    planned.plan?.buy.length
      ? []
      : (planned.plan?.helps.filter((one) => one.valve === valve?.valve) ?? []),
  );

  function look(one: Option | null): void {
    if (valve && one) looking = { ...looking, [valve.valve]: one };
  }
  let memory = $state("");
  async function recall(): Promise<void> {
    if (!valve) return;
    if (await job.act(act("recall", { valve: valve.valve, text: memory }), valve.valve))
      memory = "";
  }
  async function take(): Promise<void> {
    if (valve && option && !job.signed) await planned.take(valve.valve, option);
  }

  $effect(() =>
    keys.register([
      { key: "Enter", says: "Choose: take the shim shown, go to the next valve", act: take },
      {
        key: "+",
        says: "Choose: look at the next thicker shim",
        act: () => look(stepped(move?.options ?? [], option, 1)),
      },
      {
        key: "-",
        says: "Choose: look at the next thinner shim",
        act: () => look(stepped(move?.options ?? [], option, -1)),
      },
      { key: "p", says: "Choose: take the whole plan", act: () => void planned.takeAll() },
    ]),
  );
</script>

{#if valve && job.card}
  <InHand
    {valve}
    gap={valve.found?.gap ?? null}
    verdict={valve.verdict}
    note={move?.why ?? valve.reason}
    scale={false}
  />
  {#if valve.overtaken && !job.signed}
    <Notice kind="now">
      {valve.chosen ? preferences.shim(valve.chosen.thickness) : "The shim"} was decided on from other
      figures than those that stand now.
      <Button kind="now" onclick={() => void planned.takeAll()}>Plan again</Button>
    </Notice>
  {/if}
  {#if planned.plan?.remembered.length && !job.signed}
    <p class="border-now border-l-4 pl-3 text-note leading-5">
      Made with the shims that the record, or your memory, says are in. Have the shims at hand; read
      each shim as it comes out, then take the plan.
    </p>
  {/if}
  {#if planned.refusal && !planned.plan}
    <Notice>{planned.refusal.sentence}</Notice>
    <Button onclick={() => void planned.load()}>Try again</Button>
  {:else if !planned.plan}
    <p class="text-soft">Working out the whole engine…</p>
  {/if}
  {#if planned.plan && !planned.fresh}
    <div class="border-now bg-wash border-l-4 py-1 pr-2 pl-3 leading-5" role="status">
      <b>The plan below is of before.</b>
      {#if planned.refusal}
        {planned.refusal.sentence}
        <Button onclick={() => void planned.load()}>Try again</Button>
      {:else}
        It is worked out anew.
      {/if}
    </div>
  {/if}
  {#if !planned.plan}
    <!-- said above -->
  {:else if move?.options.length}
    <Ladder {valve} {move} looked={option} onlook={look} fixed={job.signed} />
    {#if job.refusal}<Notice>{job.refusal.sentence}</Notice>{/if}
    {#if !job.signed && option}
      <div class="flex gap-2">
        {#if taken}
          <p class="bg-wash flex min-h-12 flex-1 items-center px-3 font-[620]">
            By hand: {valve.chosen ? preferences.shim(valve.chosen.thickness) : ""}
          </p>
          <Button onclick={() => void planned.takeBack(valve.valve)}>Leave it to the plan</Button>
        {:else}
          <Button class="border-ink min-h-12 flex-1 text-row" onclick={take}
            >Take {preferences.shim(option.thickness)} for {valve.valve}</Button
          >
          {#if option.source !== "same"}
            <Button
              onclick={() =>
                void planned.forbid(valve.valve, option.thickness.nm, !option.forbidden)}
              >{option.forbidden ? "Allow" : "Not this one"}</Button
            >
          {/if}
        {/if}
      </div>
    {/if}
    {#if !job.signed && move.options.every((one) => one.source !== "counter")}
      <p class="text-note leading-5">
        Which sizes are made is not entered.
        <a class="underline underline-offset-4" href="/engines/{job.card.engine_id}"
          >Enter them on the engine</a
        >, then take it over here.
      </p>
    {/if}
    {#if !job.signed && planned.fresh}<Rivals {planned} valve={valve.valve} />{/if}
    {#if move.sum.length}
      <details open class="border-line border-t pt-1.5">
        <summary class="min-h-8 font-[560]">The sum, to check on paper</summary>
        <ol class="figures text-[15.5px] leading-[21px]" style:font-stretch="88%">
          {#each move.sum as line, n (n)}<li>{line}</li>{/each}
        </ol>
      </details>
    {/if}
  {:else if valve.opens}
    <p>Read the shim that is in first; the sum needs it.</p>
    <Button href="/cards/{job.card.id}/read" kind="now">Read</Button>
    {#if !job.signed && !job.card.apart}
      <Form class="border-line flex items-end gap-2 border-t pt-2" onsend={recall}>
        <Field
          label="Or what is in, from memory"
          class="flex-1"
          kind="figures"
          bind:value={memory}
          placeholder="290 or 2.897"
          help="Before you open anything you can plan with the shims of the last sheet, or as you remember them. It is no reading: each shim is read when it comes out."
        />
        <Button type="submit" disabled={!memory.trim()}>Plan with it</Button>
      </Form>
      {#if job.refusal}<Notice>{job.refusal.sentence}</Notice>{/if}
    {/if}
  {/if}
  {#each helps as help (help.sentence)}<Help {help} {job} />{/each}
  {#if helps.every((one) => one.kind !== "open-too")}<OpenToo {job} always />{/if}
  <NextStage card={job.card} stage="choose" />
  <BuyList state={planned} />
  <details class="border-line mt-auto border-t pt-1.5">
    <summary class="min-h-8">
      <span class="text-soft">Leaning:</span>
      {leaning(job.card, "aim")}, {leaning(job.card, "rounding")}, {leaning(job.card, "act")}
    </summary>
    <div class="grid grid-cols-2 gap-2">
      {#each ["aim", "rounding", "act", "trust"] as const as habit (habit)}
        <Lean {job} of={habit} onlean={() => (looking = {})} />
      {/each}
      <div class="col-span-2"><Lean {job} of="reuse" onlean={() => (looking = {})} /></div>
    </div>
  </details>
{/if}
