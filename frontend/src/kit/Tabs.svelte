<script lang="ts" generics="Item">
  /** Panels of which one is shown, each behind its tab. */
  import { Tabs } from "bits-ui";
  import type { Snippet } from "svelte";

  let {
    label,
    items,
    name,
    value,
    onchange,
    tab,
    children,
  }: {
    label: string;
    items: readonly Item[];
    name: (item: Item) => string;
    value: string;
    onchange: (item: Item) => void;
    tab: Snippet<[Item, boolean]>;
    /** The panel of the tab that is chosen. */
    children: Snippet;
  } = $props();

  function choose(chosen: string): void {
    const found = items.find((one) => name(one) === chosen);
    if (found && chosen !== value) onchange(found);
  }
</script>

<Tabs.Root {value} onValueChange={choose}>
  <Tabs.List class="flex flex-wrap border-t-2 border-b" aria-label={label}>
    {#each items as one (name(one))}
      {@const chosen = name(one) === value}
      <Tabs.Trigger
        value={name(one)}
        class="border-line min-h-12 border-r px-4 text-left leading-5 {chosen
          ? 'bg-ink text-paper'
          : 'hover:bg-sheet'}"
      >
        {@render tab(one, chosen)}
      </Tabs.Trigger>
    {/each}
  </Tabs.List>
  <Tabs.Content {value}>{@render children()}</Tabs.Content>
</Tabs.Root>
