<script lang="ts">
  /** Steps to see to, in their order, each with its caution and a box to tick. */
  import { untrack } from "svelte";
  import { type Act, act } from "../api/acts";
  import type { Card } from "../api/client";
  import { Details } from "../kit";
  import type { Job } from "./job.svelte";
  import { Edits } from "./edits.svelte";

  let {
    job,
    items: list,
    title = "",
    open = true,
    brief = false,
  }: {
    job: Job;
    items: Card["safety"];
    title?: string;
    open?: boolean;
    /** Only what comes next, until all are asked for. */
    brief?: boolean;
  } = $props();

  let all = $state(false);
  const NEXT = 2;
  const LINK = "min-h-11 underline underline-offset-4";
  /** Ticked and not through yet it shows at once, or it would be tapped again. */
  const ticks = new Edits<Readonly<Record<string, boolean>>>(
    untrack(() => job),
    () => Object.fromEntries(list.map((item) => [item.id, item.done])),
  );
  const items = $derived(
    list.map((item) => ({ ...item, done: ticks.value[item.id] ?? item.done })),
  );
  const shown = $derived(brief && !all ? items.filter((item) => !item.done).slice(0, NEXT) : items);
  function mark(ids: readonly string[], done: boolean, send: () => Act): void {
    const marked = Object.fromEntries(ids.map((id) => [id, done]));
    void ticks.edit((all) => ({ ...all, ...marked }), send);
  }

  function tick(item: string, done: boolean): void {
    mark([item], done, () => act("tick", { item, done }));
  }

  function tickAll(): void {
    const rest = items.filter((item) => !item.done).map((item) => item.id);
    mark(rest, true, () => act("tick-all", { items: rest, done: true }));
  }

  const left = $derived(items.filter((item) => !item.done).length);
</script>

{#snippet lines()}
  <ul>
    {#each shown as item (item.id)}
      <li class="border-line border-b">
        <label class="flex min-h-14 cursor-pointer items-center gap-3 py-1">
          <input
            type="checkbox"
            class="peer sr-only"
            checked={item.done}
            disabled={job.signed}
            onchange={(event) => tick(item.id, event.currentTarget.checked)}
          />
          <svg
            viewBox="0 0 28 28"
            class="peer-focus-visible:outline-now h-7 w-7 shrink-0 peer-focus-visible:outline-3"
            aria-hidden="true"
          >
            <path d="M3 3h22v22H3z" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.6" />
            {#if item.done}
              <path d="M7 14l5 6L22 7" fill="none" stroke="var(--ink)" stroke-width="3" />
            {/if}
          </svg>
          <span class="leading-5">
            <span class="block font-[620]">{item.does}</span>
            <span class="text-soft text-note">{item.caution}</span>
          </span>
        </label>
      </li>
    {/each}
  </ul>
  <div class="flex justify-between gap-3">
    {#if brief && items.length > NEXT}
      <button type="button" class={LINK} onclick={() => (all = !all)}
        >{all ? "Only what comes next" : `All ${items.length} steps`}</button
      >
    {/if}
    {#if left > 1 && !job.signed && shown.length === items.length}
      <button type="button" class="{LINK} ml-auto" onclick={tickAll}>All {left} are done</button>
    {/if}
  </div>
{/snippet}

{#if title}
  <Details {open} class="border-line border-t pt-1.5">
    <summary class="flex min-h-9 items-baseline justify-between font-[560]">
      {title}
      <span class="text-soft figures text-note">{left ? `${left} to do` : "all done"}</span>
    </summary>
    {@render lines()}
  </Details>
{:else}
  {@render lines()}
{/if}
