<script lang="ts">
  /** What could be typed instead, a button each. */
  import Button from "./Button.svelte";

  let {
    offers,
    onpick,
    face = (offer) => offer,
    class: more = "",
  }: {
    offers: readonly string[];
    onpick: (offer: string) => void;
    /** How one is shown, where that is not how it is typed. */
    face?: (offer: string) => string;
    class?: string;
  } = $props();
</script>

<div class="flex flex-wrap gap-2 {more}" role="group" aria-label="Which one is it">
  {#each offers as offer (offer)}
    <Button kind="now" onclick={() => onpick(offer)}>{face(offer)}</Button>
  {/each}
</div>
