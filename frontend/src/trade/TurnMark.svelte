<script lang="ts">
  /** A quarter turn. */
</script>

<svg viewBox="0 0 20 20" class="h-5 w-5" aria-hidden="true">
  <path
    d="M16.5 10a6.5 6.5 0 1 1-2.2-4.9M14.8 1.5l-.2 4-4-.2"
    fill="none"
    stroke="currentColor"
    stroke-width="1.6"
  />
</svg>
