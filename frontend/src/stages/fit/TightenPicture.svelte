<script lang="ts">
  /** The tightening picture below the head; on a phone it stands among the rest of the page. */
  import type { Job } from "../../card/job.svelte";
  import Tighten from "./Tighten.svelte";

  let { job }: { job: Job } = $props();
</script>

<div class="stack:hidden"><Tighten {job} /></div>
