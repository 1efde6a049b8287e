<script lang="ts">
  /**
   * A verdict as a little drawing of the gap itself: the lobe above, the follower below.
   * In: a measured gap between them. Tight: pressed together. Loose: far apart.
   * Not clear yet: the follower may be here or there. No gap: one solid block.
   */
  import type { Verdict } from "../api/client";

  let { verdict, size = 22 }: { verdict: Verdict | null; size?: number } = $props();
</script>

<svg
  viewBox="0 0 26 22"
  width={(size * 26) / 22}
  height={size}
  fill="none"
  stroke="currentColor"
  stroke-width="2"
  aria-hidden="true"
  class="shrink-0"
>
  {#if verdict === "in"}
    <path d="M3 5h20M3 17h20" />
    <path d="M13 7.5v7M10.5 7.5h5M10.5 14.5h5" stroke-width="1.5" />
  {:else if verdict === "tight"}
    <path d="M3 9.2h20M3 12.8h20" />
    <path d="M13 1.2v3.2M13 20.8v-3.2" stroke-width="1.5" />
    <path
      d="M9.5 3.2L13 7l3.5-3.800zM9.5 18.800L13 15l3.5 3.800z"
      fill="currentColor"
      stroke="none"
    />
  {:else if verdict === "loose"}
    <path d="M3 1.500h20M3 20.500h20" />
    <path d="M13 6v10" stroke-width="1.5" />
    <path d="M9.5 8L13 4.2 16.5 8zM9.5 14L13 17.8 16.5 14z" fill="currentColor" stroke="none" />
  {:else if verdict === "unsettled"}
    <path d="M3 4h20" />
    <path d="M3 12h20M3 19h20" stroke-dasharray="4 3" stroke-width="1.7" />
  {:else if verdict === "none"}
    <path d="M3 11h20" stroke-width="8" />
    <path d="M5 19.500l3-3M11 19.500l3-3M17 19.500l3-3" stroke-width="1.3" />
  {:else}
    <path d="M3 11h3M11.5 11h3M20 11h3" stroke-width="1.5" />
  {/if}
</svg>
