<script lang="ts" generics="Value extends string">
  import { ToggleGroup } from "bits-ui";
  import { type Items, named } from "./items";

  let {
    value,
    items,
    label,
    onchange,
    wraps = false,
  }: {
    value: Value;
    items: Items<Value>;
    label: string;
    onchange: (value: Value) => void;
    /** Where there may be many, they go on in the next line. */
    wraps?: boolean;
  } = $props();

  /** One is always taken: a tap on it again takes nothing away. */
  function taken(next: string): void {
    if (next) onchange(next as Value);
  }
</script>

<ToggleGroup.Root
  type="single"
  bind:value={() => value as string, taken}
  class="border-rule inline-flex border {wraps ? 'flex-wrap' : ''}"
  aria-label={label}
>
  {#each named(items) as item (item.value)}
    <ToggleGroup.Item
      value={item.value}
      class="data-[state=on]:bg-ink data-[state=on]:text-paper min-h-11 min-w-11 px-2.5 text-sm font-[560]"
    >
      {item.label}
    </ToggleGroup.Item>
  {/each}
</ToggleGroup.Root>
