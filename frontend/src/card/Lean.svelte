<script lang="ts">
  /** One habit of this card: where it aims, which valves it sets, what it trusts and may use. */
  import type { School } from "../api/client";
  import { Select } from "../kit";
  import type { CardState } from "./card.svelte";
  import { HABITS, heldTo } from "./schools";

  let { job, of, onlean }: { job: CardState; of: keyof School; onlean?: () => void } = $props();

  function lean(to: string): void {
    if (!job.card) return;
    onlean?.();
    const { aim, rounding, act, trust, reuse } = job.card;
    const changed = { [of]: of === "reuse" ? to === "yes" : to };
    void job.act(job.acts.school({ aim, rounding, act, trust, reuse, ...changed } as School));
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
