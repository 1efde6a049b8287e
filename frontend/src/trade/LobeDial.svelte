<script lang="ts">
  /** A lobe seen from its end, over its follower: which way it points as the crank stands. */
  let { degrees, rests }: { degrees: number; rests: boolean } = $props();
</script>

<svg viewBox="0 0 30 32" class="h-8 w-[30px] shrink-0" aria-hidden="true">
  <g transform="rotate({degrees} 15 14)">
    <path
      d="M15 26C11 26 9.5 20 8.2 16.5A7.2 7.2 0 1 1 21.8 16.5C20.5 20 19 26 15 26z"
      class={rests ? "fill-sheet stroke-ink" : "fill-rule stroke-ink"}
      stroke-width="1.4"
    />
  </g>
  <circle cx="15" cy="14" r="1.6" class="fill-ink" />
  <path d="M6 29.5h18" class="stroke-ink" stroke-width="2" />
</svg>
