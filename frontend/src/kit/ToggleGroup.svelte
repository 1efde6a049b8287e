<script lang="ts" generics="Value extends string">
  import { ToggleGroup } from "bits-ui";
  import { type Items, named } from "./items";

  let {
    value,
    items,
    label,
    onchange,
  }: {
    value: Value;
    items: Items<Value>;
    label: string;
    onchange: (value: Value) => void;
  } = $props();
</script>

<ToggleGroup.Root
  type="single"
  {value}
  onValueChange={(next) => next && onchange(next as Value)}
  class="border-rule inline-flex border"
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
