<script lang="ts">
  /** Figures for a thumb, so that the system's keyboard never covers the head. */
  interface Key {
    face: string;
    types: string;
    says?: string;
  }

  let {
    onkey,
    onerase,
    onenter,
    enter,
    extra,
  }: {
    onkey: (text: string) => void;
    onerase: () => void;
    onenter: () => void;
    enter: string;
    /** Keys of this stage, five at most. */
    extra: readonly Key[];
  } = $props();

  const figure = (n: string): Key => ({ face: n, types: n });
  const grid = $derived<(Key | null)[]>([
    ...["7", "8", "9"].map(figure),
    extra[0] ?? null,
    ...["4", "5", "6"].map(figure),
    extra[1] ?? null,
    ...["1", "2", "3"].map(figure),
    extra[2] ?? null,
    { face: ".", types: ".", says: "decimal point" },
    figure("0"),
    extra[3] ?? null,
    extra[4] ?? null,
  ]);
  const cap = "bg-sheet border-rule active:bg-wash border min-h-12 text-xl font-[560] select-none";
</script>

<div class="grid grid-cols-5 gap-1" role="group" aria-label="Keypad">
  <div class="col-span-4 grid grid-cols-4 gap-1">
    {#each grid as key, n (n)}
      {#if key}
        <button
          type="button"
          class="{cap} figures {key.face.length > 1 ? 'text-note' : ''}"
          aria-label={key.says ?? key.face}
          onpointerdown={(event) => event.preventDefault()}
          onclick={() => onkey(key.types)}>{key.face}</button
        >
      {:else}<span></span>{/if}
    {/each}
  </div>
  <div class="grid grid-rows-[1fr_3fr] gap-1">
    <button
      type="button"
      class={cap}
      aria-label="Rub out"
      onpointerdown={(event) => event.preventDefault()}
      onclick={onerase}
    >
      <svg viewBox="0 0 28 20" class="mx-auto h-5" aria-hidden="true">
        <path
          d="M9 2h17v16H9L2 10zM13 6.500l7 7M20 6.500l-7 7"
          fill="none"
          stroke="currentColor"
          stroke-width="1.7"
        />
      </svg>
    </button>
    <button
      type="button"
      class="bg-now text-on-now border-now border text-[16px] font-[640] select-none"
      onpointerdown={(event) => event.preventDefault()}
      onclick={onenter}>{enter}</button
    >
  </div>
</div>
