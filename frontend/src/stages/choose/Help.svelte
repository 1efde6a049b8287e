<script lang="ts">
  /** One thing that would make a proof likelier to pass, with the tap that does it if one does. */
  import { act } from "../../api/acts";
  import type { Plan } from "../../api/client";
  import { Button } from "../../kit";
  import type { Job } from "../../card/job.svelte";

  let { help, job }: { help: Plan["helps"][number]; job: Job } = $props();
</script>

<div class="border-now my-1 flex flex-wrap items-center gap-2 border-l-4 pl-3">
  <p class="min-w-48 flex-1 text-note leading-5">{help.sentence}</p>
  {#if help.kind === "open-too" && !job.signed}
    <Button
      onclick={() => void job.act(act("open-too", { valve: help.valve, opened: true }), help.valve)}
      >Open {help.valve}</Button
    >
  {/if}
</div>
