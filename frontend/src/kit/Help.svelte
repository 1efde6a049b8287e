<script lang="ts">
  /** What a field is, where its figure is found, and an example: shown when asked for. */
  /** `of` is the id of the label it explains. */
  let { of, says }: { of: string; says: string } = $props();

  let open = $state(false);
  const id = $props.id();
</script>

<button
  type="button"
  class="text-soft hover:text-ink -my-1.5 inline-flex min-h-8 min-w-8 items-center justify-center text-note font-[620]"
  aria-label="Explain this field"
  aria-describedby={of}
  aria-expanded={open}
  aria-controls={id}
  onclick={() => (open = !open)}>?</button
>
{#if open}
  <span {id} class="border-now block border-l-4 pl-2 text-note leading-5" role="note">{says}</span>
{/if}
