<script lang="ts">
  /** One habit of this card: where it aims, which valves it sets, what it trusts and may use. */
  import { act } from "../api/acts";
  import type { Policy } from "../api/client";
  import { Select } from "../kit";
  import type { Job } from "./job.svelte";
  import { HABITS, heldTo } from "./policy";

  let { job, of, onlean }: { job: Job; of: keyof Policy; onlean?: () => void } = $props();

  function lean(to: string): void {
    if (!job.card) return;
    onlean?.();
    const { aim, rounding, act: sets, trust, reuse } = job.card;
    const changed = { [of]: of === "reuse" ? to === "yes" : to };
    void job.act(act("policy", { aim, rounding, act: sets, trust, reuse, ...changed } as Policy));
  }
</script>

{#if job.card}
  <Select
    label={HABITS[of].label}
    value={heldTo(job.card, of)}
    items={HABITS[of].items}
    onchange={lean}
    disabled={job.signed}
  />
{/if}
