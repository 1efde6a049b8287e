<script lang="ts">
  /** Fit: the piece to put in now, what to see to, then what closes the engine. */
  import { act } from "../../api/acts";
  import { preferences } from "../../state/preferences.svelte";
  import { untrack } from "svelte";
  import { Button, Check, Field, Form, Notice } from "../../kit";
  import { keys } from "../../state/keys.svelte";
  import type { Job } from "../../card/job.svelte";
  import Checklist from "../../card/Checklist.svelte";
  import Tighten from "./Tighten.svelte";
  import Aside from "../../card/Aside.svelte";
  import NextStage from "../../card/NextStage.svelte";

  let { job }: { job: Job } = $props();

  const steps = $derived(job.card?.fit ?? []);
  const step = $derived(steps.find((one) => one.valve === job.inHand) ?? null);
  const comesFrom = $derived(
    step?.source === "engine"
      ? `out of ${step.from_valve ?? ""}`
      : step?.source === "drawer"
        ? "from the drawer"
        : "new",
  );
  const expected = $derived(step ? (job.valves.get(step.valve)?.predicted ?? null) : null);
  function stopName(number: number): string {
    const stop = job.card?.turning.stops[number];
    return stop?.mark ? `position ${number + 1}, ${stop.mark}` : `position ${number + 1}`;
  }
  const place = $derived(step ? steps.indexOf(step) + 1 : 0);
  const parts = $derived([...(job.card?.tray ?? [])].reverse());
  let measured = $state("");
  /** The counter took the old piece for this one. */
  let swapped = $state(false);
  $effect(() => {
    void job.inHand;
    untrack(() => ([measured, swapped] = ["", false]));
  });

  /** What a new shim for the valve in hand may measure, by the plan. */
  const fits = $derived(step ? (job.plan.moves.get(step.valve)?.must ?? null) : null);
  $effect(() => job.plan.follow());
  /** A figure that was typed lies outside of it: it is asked about before it goes in. */
  const outside = $derived.by(() => {
    const typed = Number(measured.trim().replace(",", "."));
    if (!fits || !measured.trim() || !Number.isFinite(typed)) return false;
    const [thin, thick] = [fits.window.thin, fits.window.thick].map((one) =>
      Number(preferences.shim(one)),
    );
    return typed < (thin ?? 0) || typed > (thick ?? Infinity);
  });

  async function isIn(anyway = false): Promise<void> {
    if (!step || job.signed) return;
    const valve = step.valve;
    const said = { measured: measured.trim(), anyway, swapped };
    const piece = act("fit", { valve, fitted: true, ...said });
    if (!(await job.act(piece, valve))) return;
    const next = job.card?.fit.find((one) => !one.fitted);
    if (next && job.inHand === valve) job.pick(next.valve);
  }
  function notYet(valve: string): void {
    void job.act(
      act("fit", { valve, fitted: false, measured: "", anyway: false, swapped: false }),
      valve,
    );
  }
  $effect(() =>
    keys.register([
      { key: "Enter", says: "Fit: the shim is in, take the next valve", act: () => isIn() },
    ]),
  );
</script>

{#if job.card}
  {#if step}
    <div class="flex items-end justify-between gap-3">
      <h2 class="text-title leading-9 font-[640] [word-spacing:0.12em]" style:font-stretch="84%">
        {step.valve}
      </h2>
      <span class="text-soft figures">{place} of {steps.length}</span>
    </div>
    <div class="border-ink flex items-baseline justify-between gap-3 border-y-2 py-1">
      <span class="text-note">{comesFrom}</span>
      <b class="figures text-[52px] leading-[56px]">{preferences.shim(step.thickness)}</b>
      <span class="text-soft">{preferences.shims}</span>
    </div>
    {#if fits && step.source === "counter" && !step.fitted}
      <p class="text-note leading-5">
        Fits if it measures <b class="figures"
          >{preferences.shim(fits.window.thin)} to {preferences.shim(fits.window.thick)}</b
        >, best {preferences.shim(fits.best)}. {fits.loose}
      </p>
    {/if}
    {#if step.overtaken}
      <Notice kind="now">
        What this was decided from has changed since. Nothing is fitted from it.
        <Button kind="now" onclick={() => void job.plan.takeAll()}>Plan again</Button>
      </Notice>
    {/if}
    {#if step.turn_to !== null}
      <p class="border-now border-l-4 pl-3 leading-5">
        Turn to {stopName(step.turn_to)} first, every bucket closed.
      </p>
    {/if}
    {#if step.spare}
      <p class="border-now border-l-4 pl-3 leading-5">
        Its shim is still in {step.from_valve}: close it with any spare shim before you turn on.
      </p>
    {/if}
    <p class="text-note leading-5">
      Take out {preferences.shim(step.old)}{!step.old_goes_to
        ? " and put it on the tray."
        : step.old_gone
          ? `: it is in ${step.old_goes_to} already.`
          : ` and keep it at hand: it goes to ${step.old_goes_to}.`}
      {#if expected}Expect a gap of {preferences.read(expected)} {preferences.unitName}.{/if}
    </p>
    <ol class="list-none">
      {#each step.checks as check, n (check)}
        <li class="border-line flex gap-2 border-b py-1 leading-5">
          <span class="figures text-soft">{n + 1}</span>{check}
        </li>
      {/each}
    </ol>
    {#if step.fitted}
      <div class="flex gap-2">
        <p class="bg-wash flex min-h-12 flex-1 items-center px-3 font-[620]">
          It is in{step.measured
            ? `, measured ${preferences.shim(step.measured)}`
            : ""}{step.swapped ? ", the old one given for it" : ""}
        </p>
        {#if !job.signed}
          <Button onclick={() => notYet(step.valve)}>Not yet</Button>
        {/if}
      </div>
    {:else if !job.signed && !step.overtaken}
      <Form class="flex items-end gap-2" onsend={() => isIn()}>
        <Field
          label="Measured, if you do"
          class="w-32"
          look="text-soft block text-sm"
          kind="decimal"
          input="text-xl"
          bind:value={measured}
          placeholder={preferences.shim(step.measured ?? step.thickness)}
          at="measured"
        />
        <Button kind="now" type="submit" id="is-in" class="min-h-12 flex-1 text-lg">It is in</Button
        >
      </Form>
      {#if step.may_swap}
        <Check label="The counter took the old one for it" bind:checked={swapped} />
      {/if}
      {#if outside}
        <p class="border-now border-l-4 pl-3 leading-5" role="status">
          {measured.trim()} is outside that range. Try another one of this size first.
        </p>
      {/if}
      {#if step.by_marking}
        <p class="text-soft text-sm">This shim is not measured yet. A minute now saves a round.</p>
      {/if}
    {/if}
    {#if job.refusal}
      <Notice kind="now">
        {job.refusal.sentence}
        {#if job.refusal?.field === "measured" && job.refusal.code === "not_ready"}
          <Button onclick={() => void isIn(true)}>It goes in all the same</Button>
        {:else if job.refusal?.field === "overtaken"}
          <Button kind="now" onclick={() => void job.plan.takeAll()}>Plan again</Button>
        {/if}
      </Notice>
    {/if}
  {:else if steps.length}
    <p>{job.inHand} keeps its shim. Pick one of {steps.map((one) => one.valve).join(", ")}.</p>
  {:else if job.card.shafts_aside.length}
    <p>No shim changes. What was taken off goes back by the list.</p>
  {:else}
    <p>
      No shim changes in this round. <a class="underline" href="/cards/{job.card.id}/choose"
        >Take the plan</a
      > first, or go on to sign.
    </p>
  {/if}
  <NextStage
    card={job.card}
    stage="fit"
    lines={job.card.closing}
    busy={job.card.bolts.some((one) => one.turned < one.turns)}
  />
  {#if !steps.length}<Aside {job} />{/if}
  {#if job.card.closing.length && (job.card.machine.caps || job.card.machine.tensioner)}
    <p class="border-now border-l-4 pl-3 leading-5">
      {#if job.card.machine.caps}<b>Caps:</b> {job.card.machine.caps}.{/if}
      {#if job.card.machine.tensioner}<b>Tensioner:</b> {job.card.machine.tensioner}.{/if}
    </p>
  {/if}
  {#if job.card.closing.length}
    <Checklist
      {job}
      items={job.card.closing}
      title="Putting together"
      open={steps.every((one) => one.fitted)}
    />
  {/if}
  {#if parts.length}
    <details class="border-line border-t pt-1.5">
      <summary class="min-h-9 font-[560]">Back on, in this order</summary>
      <ol>
        {#each parts as part, n (n)}
          <li class="border-line border-b py-1 leading-5">
            <b>{part.name}</b>
            {#if part.pockets.length}
              <span class="text-soft figures"
                >{part.pockets
                  .map((one) => `${one.count > 1 ? `${one.count} × ` : ""}${one.length || "bolt"}`)
                  .join(", ")}</span
              >
            {/if}
            {#if part.note}<span class="block text-note">{part.note}</span>{/if}
          </li>
        {/each}
      </ol>
    </details>
  {/if}
{/if}
<div class="aside:hidden"><Tighten {job} /></div>
