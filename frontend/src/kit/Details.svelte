<script lang="ts">
  /**
   * Something that is opened to be seen. It opens by itself where there is something in it; once
   * somebody has opened or shut it, it stays so, whatever is saved around it.
   */
  import { type Snippet, untrack } from "svelte";

  let {
    open = false,
    class: more = "",
    children,
  }: { open?: boolean; class?: string; children: Snippet } = $props();

  let shown = $state(untrack(() => open));
  $effect(() => {
    if (open) untrack(() => (shown = true));
  });
</script>

<details class={more} bind:open={shown}>{@render children()}</details>
