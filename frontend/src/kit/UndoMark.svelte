<script lang="ts">
  /** A turn back. */
</script>

<svg viewBox="0 0 20 20" class="h-5 w-5 shrink-0" aria-hidden="true">
  <path
    d="M4 8.500h8.200a4 4 0 0 1 0 8H7.500M7.500 4.800L3.800 8.500l3.700 3.700"
    fill="none"
    stroke="currentColor"
    stroke-width="1.6"
  />
</svg>
