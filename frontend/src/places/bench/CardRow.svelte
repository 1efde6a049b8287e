<script lang="ts">
  /** One card in a list: its head in small, whose it is, how it stands, what comes next. */
  import type { Snippet } from "svelte";
  import type { CardLine } from "../../api/client";
  import HeadMini from "../../head/HeadMini.svelte";
  import { dayWords } from "../../kit/days";

  let {
    card,
    to,
    tall = false,
    beside,
    does,
  }: { card: CardLine; to: string; tall?: boolean; beside: string; does: Snippet } = $props();
</script>

<li class="border-line border-b">
  <a
    href="/cards/{card.id}/{to}"
    class="hover:bg-sheet grid grid-cols-[150px_minmax(0,1fr)_13rem_7rem] items-center gap-4 max-md:grid-cols-[84px_minmax(0,1fr)] max-md:gap-3 {tall
      ? 'min-h-24 py-2'
      : 'min-h-16 py-1.5'}"
  >
    <span class="flex justify-center {tall ? 'h-20 max-md:row-span-2 max-md:h-14' : 'h-12'}">
      <HeadMini drawing={card.drawing} verdicts={card.verdicts} />
    </span>
    <span class="min-w-0">
      <span class="block truncate font-[620] {tall ? 'text-xl' : ''}">{card.label}</span>
      {#if tall}<span class="block">{card.reason}</span>{/if}
      <span class="text-soft block text-note"
        >{card.signed_by ?? card.opened_by}, {dayWords(card.signed_at ?? card.opened_at)}</span
      >
    </span>
    <span class="text-note max-md:col-start-2">{beside}</span>
    {@render does()}
  </a>
</li>
