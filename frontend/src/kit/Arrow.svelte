<script lang="ts">
  /** On to what comes next. */
</script>

<svg viewBox="0 0 16 12" class="h-3" aria-hidden="true">
  <path d="M0 6h14M9 1l5 5-5 5" fill="none" stroke="currentColor" stroke-width="1.8" />
</svg>
