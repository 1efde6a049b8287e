<script lang="ts">
  /** A place: its name, what can be done there, its edge; or why it cannot be shown. */
  import type { Snippet } from "svelte";
  import type { Refusal } from "../api/client";
  import { BACK } from "../api/events";
  import Button from "./Button.svelte";

  let {
    title,
    wide = "max-w-[1120px]",
    refusal = null,
    onretry,
    acts,
    children,
  }: {
    title: string;
    wide?: string;
    refusal?: Refusal | null;
    onretry: () => unknown;
    acts?: Snippet;
    children: Snippet;
  } = $props();

  // where the server was away it is looked again as soon as it answers
  $effect(() => {
    if (refusal?.code !== "away") return undefined;
    const again = (): void => void onretry();
    addEventListener(BACK, again);
    return () => removeEventListener(BACK, again);
  });
</script>

<main class="mx-auto w-full {wide} px-5 py-5 max-sm:px-3">
  <div class="flex flex-wrap items-end justify-between gap-3">
    <h1 class="text-title leading-9 font-[640]" style:font-stretch="84%">{title}</h1>
    {#if acts}<div class="no-print flex gap-2">{@render acts()}</div>{/if}
  </div>
  <div class="ticks mt-3 h-3" aria-hidden="true"></div>
  {#if refusal}
    <p class="my-3">{refusal.sentence}</p>
    <Button kind="now" onclick={() => void onretry()}>Try again</Button>
  {:else}
    {@render children()}
  {/if}
</main>
