<script lang="ts">
  /** A gap is measured: by the blades of the set, by guidance from blade to blade, or typed. */
  import type { Snippet } from "svelte";
  import type { Valve } from "../api/client";
  import { Button, ToggleGroup } from "../kit";
  import { preferences } from "../state/preferences.svelte";
  import Ask from "./Ask.svelte";
  import BladeFan from "./BladeFan.svelte";
  import Entry from "./Entry.svelte";
  import type { Job } from "./job.svelte";

  let {
    job,
    what,
    written,
    beside,
    children,
  }: {
    job: Job;
    what: string;
    /** The blade that would tell more of what is written for the valve in hand. */
    written: Valve["next_blade"];
    /** Stands beside the ways to measure. */
    beside?: Snippet;
    children?: Snippet;
  } = $props();

  const blades = $derived(job.card?.blade_set ?? null);
  const mode = $derived(job.ways.of(job.inHand));
  const fan = $derived(mode === "fan" && blades !== null);
  /** From what is typed if anything is, else from what was written. */
  const next = $derived(
    (job.entry.understood ? job.entry.understood.next_blade : written)?.blades ?? [],
  );
  const hint = $derived.by(() => {
    if (next.length)
      return `Next, try ${next.map((one) => job.marked(one)).join(" and ")}${next.length > 1 ? " together" : ""}.`;
    return preferences.unit === "mm"
      ? "15 is 0.15 with light drag. 13-15: goes, refuses. x: nothing goes."
      : "6 is 6 thou with light drag. 6-7: goes, refuses. x: nothing goes.";
  });
</script>

{#if !job.signed}
  <div class="flex items-center justify-between gap-2">
    <ToggleGroup
      label="How to measure this valve"
      value={mode}
      items={[
        { value: "fan", label: "blades" },
        { value: "ask", label: "guide me" },
        { value: "keys", label: "keypad" },
      ]}
      onchange={(to) => job.ways.take(job.inHand, to)}
    />
    {@render beside?.()}
  </div>
{/if}
{#if mode === "ask" && blades && !job.signed}
  <Ask {job} />
  {@render children?.()}
{:else}
  <Entry {job} {what} {hint} keypad={!fan}>
    {@render children?.()}
    {#if fan && blades}
      <!-- taps while a reading is on its way would land on the valve before -->
      <div class={job.entry.sending ? "pointer-events-none" : ""}>
        <BladeFan
          {blades}
          draft={job.entry.draft}
          next={next.map((one) => one.nm)}
          ontype={(text, unit) => job.entry.begin(text, unit)}
          onsnapped={() => {
            job.entry.draft = "";
            void job.queue.load();
          }}
        />
      </div>
      <div class="grid grid-cols-4 gap-1">
        {#each [["l", "loose"], ["t", "tight"], ["x", "none"]] as [types, face] (face)}
          <Button
            class="px-1"
            onclick={() =>
              (job.entry.draft =
                types === "x" ? "x" : job.entry.draft.replace(/[ltd]$/, "") + types)}>{face}</Button
          >
        {/each}
        <Button kind="now" class="px-1" onclick={() => job.entry.submit()}>Write</Button>
      </div>
    {/if}
  </Entry>
{/if}
