<script lang="ts">
  /** A part of a page behind one line, which names it and says what is in it. */
  import type { Snippet } from "svelte";
  import Details from "./Details.svelte";

  let {
    title,
    says,
    id,
    children,
  }: { title: string; says: string; id?: string; children: Snippet } = $props();
</script>

<Details class="border-line border-b">
  <summary class="hover:bg-sheet flex min-h-14 items-center gap-3 py-1">
    <svg viewBox="0 0 12 12" class="fold-mark h-3 w-3 shrink-0" aria-hidden="true">
      <path d="M3 1l6 5-6 5" fill="none" stroke="var(--ink)" stroke-width="1.8" />
    </svg>
    <h2 {id} class="shrink-0 text-base font-[620]">{title}</h2>
    <span class="text-soft min-w-0 flex-1 truncate text-right text-note">{says}</span>
  </summary>
  <div class="pb-4">{@render children()}</div>
</Details>
