<script lang="ts" generics="Value extends string">
  import { Select } from "bits-ui";
  import Help from "./Help.svelte";
  import { type Items, named } from "./items";

  let {
    value,
    items,
    label,
    onchange,
    disabled = false,
    shown = true,
    help = "",
  }: {
    value: Value;
    items: Items<Value>;
    label: string;
    onchange: (value: Value) => void;
    disabled?: boolean;
    /** Whether the label is written above; it is always read out. */
    shown?: boolean;
    /** What it is, and where it is found. */
    help?: string;
  } = $props();

  const id = $props.id();
  const chosen = $derived(named(items).find((item) => item.value === value)?.label ?? label);
</script>

<div class="min-w-0">
  {#if shown}
    <div class="text-soft mb-0.5 text-sm">
      <span id="{id}-label" aria-hidden="true">{label}</span>
      {#if help}<Help of="{id}-label" says={help} />{/if}
    </div>
  {/if}
  <Select.Root
    type="single"
    {value}
    onValueChange={(next) => onchange(next as Value)}
    items={named(items)}
    {disabled}
  >
    <Select.Trigger
      class="field flex items-center justify-between gap-2 text-left"
      aria-label="{label}: {chosen}"
    >
      <span class="truncate">{chosen}</span>
      <svg viewBox="0 0 12 12" class="h-3 w-3 shrink-0" aria-hidden="true">
        <path d="M1 4l5 5 5-5" fill="none" stroke="currentColor" stroke-width="1.6" />
      </svg>
    </Select.Trigger>
    <Select.Portal>
      <Select.Content
        class="bg-sheet border-ink z-[60] max-h-80 w-[max(var(--bits-select-anchor-width),14rem)] overflow-auto border-2"
        sideOffset={4}
      >
        <Select.Viewport class="grows">
          {#each named(items) as item (item.value)}
            <Select.Item
              value={item.value}
              label={item.label}
              class="data-highlighted:bg-wash flex min-h-11 flex-col justify-center px-3 py-1.5"
            >
              {#snippet children({ selected })}
                <span class={selected ? "font-bold underline underline-offset-4" : ""}
                  >{item.label}</span
                >
                {#if item.note}<span class="text-soft text-sm">{item.note}</span>{/if}
              {/snippet}
            </Select.Item>
          {/each}
        </Select.Viewport>
      </Select.Content>
    </Select.Portal>
  </Select.Root>
</div>
