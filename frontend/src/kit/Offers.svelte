<script lang="ts">
  /** What could be typed instead, a button each. */
  import Button from "./Button.svelte";

  let {
    offers,
    onpick,
    class: more = "",
  }: { offers: readonly string[]; onpick: (offer: string) => void; class?: string } = $props();
</script>

<div class="flex flex-wrap gap-2 {more}">
  {#each offers as offer (offer)}
    <Button kind="now" onclick={() => onpick(offer)}>{offer}</Button>
  {/each}
</div>
