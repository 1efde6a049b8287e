<script lang="ts">
  /** A box to tick, with its words. */
  import type { HTMLInputAttributes } from "svelte/elements";

  let {
    label,
    checked = $bindable(),
    class: more = "",
    ...rest
  }: { label: string; class?: string } & HTMLInputAttributes = $props();
</script>

<label class="flex min-h-11 items-center gap-2 {more}">
  <input type="checkbox" class="h-6 w-6 accent-[var(--ink)]" bind:checked {...rest} />
  {label}
</label>
