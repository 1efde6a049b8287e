<script lang="ts">
  /** A micrometer as it stands: sleeve and thimble to be read; in figures for who asks. */
  import type { Length } from "../api/client";

  let { shown }: { shown: Length } = $props();

  let figures = $state(false);
  const mm = $derived(shown.nm / 1_000_000);
  const edge = $derived(30 + ((((mm % 5) + 5) % 5) / 5) * 150);
  const from = $derived(Math.floor(mm / 5) * 5);
  const turn = $derived((((mm * 2) % 1) + 1) % 1);
  /** Lines of the thimble about the one that is read, each a hundredth. */
  const lines = $derived(
    Array.from({ length: 9 }, (_, nth) => {
      const hundredth = Math.floor(turn * 50) + nth - 4;
      return { n: (hundredth + 100) % 50, y: 50 - (hundredth - turn * 50) * 11 };
    }),
  );
</script>

<svg
  viewBox="0 0 260 100"
  class="bg-sheet border-line h-24 w-full border"
  role="img"
  aria-label="The micrometer shows {shown.mm}"
>
  <path d="M0 50H{edge}" class="stroke-ink" stroke-width="1.4" />
  {#each [0, 1, 2, 3, 4, 5] as whole (whole)}
    {#if 30 + whole * 30 <= edge + 0.01}
      <path d="M{30 + whole * 30} 50v-14" class="stroke-ink" stroke-width="1.4" />
      <text x={30 + whole * 30} y="30" text-anchor="middle" class="fill-ink" font-size="11"
        >{from + whole}</text
      >
    {/if}
    {#if 45 + whole * 30 <= edge + 0.01}
      <path d="M{45 + whole * 30} 50v10" class="stroke-ink" stroke-width="1.4" />
    {/if}
  {/each}
  <path d="M{edge} 4v92h70V4z" class="fill-paper stroke-ink" stroke-width="1.6" />
  {#each lines as line (line.n)}
    <path d="M{edge} {line.y}h{line.n % 5 === 0 ? 20 : 12}" class="stroke-ink" stroke-width="1.3" />
    {#if line.n % 5 === 0}
      <text x={edge + 26} y={line.y + 4} class="fill-ink" font-size="11">{line.n}</text>
    {/if}
  {/each}
</svg>
<button
  type="button"
  class="min-h-11 text-left underline underline-offset-4"
  aria-expanded={figures}
  onclick={() => (figures = !figures)}
  >{figures ? `It shows ${shown.mm} mm` : "Say it in figures"}</button
>
