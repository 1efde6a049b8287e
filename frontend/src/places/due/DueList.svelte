<script lang="ts">
  /** Engines whose check is due, the earliest first, under what that means. */
  import type { Schemas } from "../../api/client";
  import { dayWords } from "../../kit/days";

  let { due, narrow = false }: { due: readonly Schemas["DueOut"][]; narrow?: boolean } = $props();

  const GROUPS = [
    { when: "overdue", says: "Overdue" },
    { when: "soon", says: "Within a month" },
    { when: "later", says: "Later" },
    { when: "undated", says: "No day known" },
  ] as const;
  const groups = $derived(
    GROUPS.map((group) => ({
      ...group,
      lines: due.filter((one) => one.when === group.when),
    })).filter((group) => group.lines.length),
  );
</script>

{#each groups as group (group.when)}
  <svelte:element
    this={narrow ? "h3" : "h2"}
    class="pt-3 {group.when === 'overdue' ? 'text-tight' : 'text-soft'} font-[620]"
  >
    {group.says}
  </svelte:element>
  <ul>
    {#each group.lines as one (one.id)}
      <li class="border-line border-b">
        <a
          href={one.card ? `/cards/${one.card}` : `/engines/${one.id}/years`}
          class="hover:bg-sheet grid min-h-12 items-center gap-x-4 py-1 {narrow
            ? 'grid-cols-[6.5rem_minmax(0,1fr)]'
            : 'grid-cols-[7rem_minmax(0,14rem)_minmax(0,1fr)] max-md:grid-cols-[6.5rem_minmax(0,1fr)]'}"
        >
          <span class="figures">{one.on ? dayWords(one.on) : "–"}</span>
          <span class="truncate font-[620]">{one.label}</span>
          <span class="text-note leading-5 {narrow ? 'col-span-2' : 'max-md:col-span-2'}"
            >{#if one.card}<b>On the bench now.</b>{/if}
            {one.words}{one.odd.length ? `; odd: ${one.odd.join(", ")}` : ""}</span
          >
        </a>
      </li>
    {/each}
  </ul>
{/each}
