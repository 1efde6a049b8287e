<script lang="ts">
  /** The valve in hand and the one field for what the blade or the micrometer says. */
  import { type Snippet, flushSync, untrack } from "svelte";
  import { Button, Offers } from "../kit";
  import { GapMark } from "../trade";
  import { VERDICT_COLOURS, VERDICT_WORDS } from "../kit/verdicts";
  import { preferences } from "../state/preferences.svelte";
  import type { Job } from "./job.svelte";
  import Keypad from "./Keypad.svelte";
  import { kindOf } from "./registry";

  let {
    job,
    what,
    hint,
    keypad = true,
    children,
  }: {
    job: Job;
    what: string;
    hint: string;
    keypad?: boolean;
    children?: Snippet;
  } = $props();

  let field = $state<HTMLInputElement>();
  /** What was refused of the reading; a spec that is asked for beside it says its own. */
  const refusal = $derived(
    ["spec", "room", "near"].includes(job.refusal?.field ?? "") ? null : job.refusal,
  );
  const reading = $derived(!kindOf(job.stage).shims);
  const unit = $derived(reading ? (job.entry.unit === "in" ? "thou" : "mm") : preferences.shims);
  const written = $derived(job.entry.written);
  const { column } = $derived(job.entry);
  const gapKeys = [
    { face: "–", types: "-", says: "goes, then refuses" },
    { face: "loose", types: "l", says: "loose: it goes loosely" },
    { face: "tight", types: "t", says: "tight: it goes tightly" },
    { face: "+", types: "+", says: "and a second blade" },
    { face: "none", types: "x", says: "none: nothing goes" },
  ];
  const pieceKeys = [
    { face: "and", types: " ", says: "marking and measured" },
    { face: "worn", types: "?", says: "a figure that is worn off" },
  ];

  /** The field keeps the focus as the valve in hand changes. */
  $effect(() => {
    void job.inHand;
    void job.stage;
    void job.picks;
    untrack(() => field?.focus({ preventScroll: true }));
  });
  $effect(() => {
    void preferences.unit;
    void job.entry.draft;
    void job.inHand;
    untrack(() => job.entry.understand());
  });

  /** When each of the last characters came, to tell a measuring instrument from fingers. */
  let came: number[] = [];
  const BURST_MS = 25;

  /** An instrument types all at once: what it typed is set off from what was there before. */
  function setOffBurst(): void {
    let start = came.length - 1;
    while (start > 0 && (came[start] ?? 0) - (came[start - 1] ?? 0) < BURST_MS) start--;
    const burst = job.entry.draft.slice(job.entry.draft.length - (came.length - start));
    const before = job.entry.draft.slice(0, job.entry.draft.length - burst.length);
    if (!reading && /^\d+[.,]\d{2,}$/.test(burst) && /\d$/.test(before))
      job.entry.draft = `${before} ${burst}`;
    came = [];
  }

  function press(event: KeyboardEvent): void {
    // a worn-off figure or a guess is typed as ?, which elsewhere shows the keys
    if (event.key === "?" && (!reading || job.entry.draft)) event.stopPropagation();
    const types = event.key.length === 1 && !event.ctrlKey && !event.metaKey;
    if (
      (types || event.key === "Enter" || event.key === "Backspace") &&
      job.entry.hold(event.key)
    ) {
      event.preventDefault();
      event.stopPropagation();
      return;
    }
    if (event.key.length === 1) came.push(event.timeStamp);
    else if (event.key !== "Enter" && event.key !== "Shift") came = [];
    if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      if (!job.entry.draft && job.entry.likely) void job.entry.accept(job.entry.likely);
    } else if (event.key === "Enter") {
      event.preventDefault();
      setOffBurst();
      void job.entry.write();
    } else if (event.key === "Backspace" && !job.entry.draft && job.entry.correct()) {
      event.preventDefault();
      // at once: a key that is typed next must find it selected
      flushSync();
      field?.select();
    } else if (event.key === "Escape") {
      job.entry.draft = "";
      job.entry.striking = false;
    }
  }

  function type(text: string): void {
    if (job.entry.hold(text)) return;
    job.entry.draft = job.entry.draft + text;
  }
  function erase(): void {
    if (!job.entry.draft) job.entry.correct();
    else job.entry.draft = job.entry.draft.slice(0, -1);
  }
</script>

<form
  data-entry
  class="flex flex-col gap-1.5"
  onsubmit={(event) => {
    event.preventDefault();
    job.entry.submit();
  }}
>
  <div class="flex items-baseline justify-between gap-3">
    <label for="entry" class="text-soft">{what}</label>
    {#if written && !job.entry.draft}
      <span class="text-soft truncate text-sm"
        >written: <b class="figures text-ink">{written}</b></span
      >
    {/if}
  </div>
  <div
    class="bg-sheet flex items-baseline gap-2 border-2 px-3 {refusal
      ? 'border-tight'
      : 'border-ink focus-within:border-now'}"
  >
    <input
      id="entry"
      bind:this={field}
      bind:value={job.entry.draft}
      onkeydown={press}
      onpaste={(event) => {
        const pasted = event.clipboardData?.getData("text") ?? "";
        if (job.entry.column.offer(pasted)) event.preventDefault();
      }}
      inputmode="none"
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      disabled={job.signed}
      aria-invalid={refusal !== null}
      aria-describedby="understood"
      aria-label="{what} of {job.inHand}"
      placeholder={written || "–"}
      class="figures placeholder:text-line min-w-0 flex-1 bg-transparent py-0.5 text-figure leading-[56px] outline-none max-sm:text-title max-sm:leading-[42px]"
    />
    <span class="text-soft">{unit}</span>
    {#if reading && job.entry.draft && !job.entry.draft.endsWith("?")}
      <button
        type="button"
        class="text-soft border-rule min-h-9 border-l pl-3"
        aria-label="Mark it as a guess"
        onpointerdown={(event) => event.preventDefault()}
        onclick={() => type("?")}>guess?</button
      >
    {/if}
  </div>
  <div id="understood" class="min-h-11 leading-5" role="status" aria-live="polite">
    {#if refusal}
      <span class="text-tight font-[560]">{refusal.sentence}</span>
    {:else if job.entry.understood}
      <span>{job.entry.understood.words}</span>
      {#if job.entry.understood.verdict}
        <span
          class="ml-1 inline-flex items-center gap-1.5 align-middle font-[620] {VERDICT_COLOURS[
            job.entry.understood.verdict
          ]}"
        >
          <GapMark verdict={job.entry.understood.verdict} size={17} />
          {VERDICT_WORDS[job.entry.understood.verdict]}
        </span>
      {/if}
    {:else if job.entry.striking && !job.entry.draft}
      <span>Enter strikes the written line out; it stays on record.</span>
    {:else}
      <span class="text-soft">{hint}</span>
    {/if}
  </div>
  {#if refusal?.offers.length}
    <Offers
      offers={refusal.offers}
      face={(offer) => (reading ? offer : offer.replace(/^.*=/, ""))}
      onpick={(offer) => {
        job.entry.draft = offer;
        void job.entry.write();
      }}
    />
  {/if}
  {#if column.lines.length}
    <div class="border-now border-l-4 pl-3" role="alert">
      <p class="font-[560]">Write these {column.lines.length} lines?</p>
      <ul class="columns-2 gap-6 py-1 leading-6">
        {#each column.lines as { valve, text } (valve)}
          <li><b>{valve}</b> <span class="figures">{text}</span></li>
        {/each}
      </ul>
      {#if column.over}
        <p>{column.over} more in the column than valves that wait here: left out.</p>
      {/if}
      <div class="flex gap-2 pt-1">
        <Button kind="now" onclick={() => void column.write()}>Write all of them</Button>
        <Button onclick={() => column.drop()}>Do not write</Button>
      </div>
    </div>
  {/if}
  {#if !job.signed && children}{@render children()}{/if}
  {#if !job.signed && keypad}
    <Keypad
      extra={reading ? gapKeys : pieceKeys}
      onkey={type}
      onerase={erase}
      onenter={() => job.entry.submit()}
      enter="Write"
    />
  {/if}
</form>
