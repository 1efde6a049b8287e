<script lang="ts" generics="Item">
  /** One of several, looked at side by side: one tab stop, and the arrow keys go through them. */
  import { RadioGroup } from "bits-ui";
  import type { Snippet } from "svelte";

  let {
    label,
    items,
    name,
    value,
    onchange,
    item,
    look,
    orientation = "vertical",
    disabled = false,
    class: more = "",
    height,
  }: {
    label: string;
    items: readonly Item[];
    /** What tells one from the others. */
    name: (item: Item) => string;
    value: string | null;
    onchange: (item: Item) => void;
    item: Snippet<[Item, boolean]>;
    /** Classes of one of them. */
    look: (item: Item, chosen: boolean) => string;
    orientation?: "vertical" | "horizontal";
    disabled?: boolean;
    class?: string;
    /** Of each, in pixels. */
    height?: number;
  } = $props();

  function choose(chosen: string): void {
    const found = items.find((one) => name(one) === chosen);
    if (found && chosen !== value) onchange(found);
  }
</script>

<RadioGroup.Root
  aria-label={label}
  value={value ?? ""}
  onValueChange={choose}
  {orientation}
  {disabled}
  class={more}
>
  {#each items as one (name(one))}
    {@const chosen = name(one) === value}
    <RadioGroup.Item
      value={name(one)}
      class={look(one, chosen)}
      style={height ? `height: ${height}px` : undefined}
    >
      {@render item(one, chosen)}
    </RadioGroup.Item>
  {/each}
</RadioGroup.Root>
