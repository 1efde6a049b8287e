<script lang="ts">
  /** Taken away. */
</script>

<svg viewBox="0 0 20 20" class="h-4 w-4" aria-hidden="true">
  <path d="M4 4l12 12M16 4L4 16" stroke="currentColor" stroke-width="1.8" />
</svg>
