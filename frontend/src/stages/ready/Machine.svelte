<script lang="ts">
  /** Whose machine it is and what is to be known of it: entered once, there on the next card. */
  import { act } from "../../api/acts";
  import { Button, Field, Fold, Form, Select } from "../../kit";
  import type { Schemas } from "../../api/client";
  import type { Job } from "../../card/job.svelte";
  import { COUNTERS } from "../../card/counters";
  import { Draft } from "../../state/draft.svelte";

  let { job }: { job: Job } = $props();

  const machine = $derived(job.card?.machine);
  const draft = new Draft(() => ({
    owner: machine?.owner ?? "",
    plate: machine?.plate ?? "",
    counter: machine?.counter ?? null,
    interval: machine?.interval ?? "",
    caps: machine?.caps ?? "",
    tensioner: machine?.tensioner ?? "",
  }));
  type Kept = typeof draft.value;
  const set = (change: Partial<Kept>): void => {
    draft.value = { ...draft.value, ...change };
  };
  const says = $derived(
    [machine?.owner, machine?.plate].filter(Boolean).join(", ") || "nothing noted yet",
  );

  async function save(): Promise<void> {
    await draft.save(({ interval, ...rest }) =>
      job.act(act("machine", { ...rest, interval: interval.trim() || null })),
    );
  }
</script>

{#if machine}
  <Fold title="The machine" {says}>
    <Form
      class="border-line grid grid-cols-2 gap-3 border p-3 max-sm:grid-cols-1"
      refusal={job.refusal?.field === "interval" ? job.refusal : null}
      onsend={save}
    >
      <Field
        label="Whose machine it is"
        value={draft.value.owner}
        oninput={(event) => set({ owner: event.currentTarget.value })}
      />
      <Field
        label="Plate or frame number"
        value={draft.value.plate}
        oninput={(event) => set({ plate: event.currentTarget.value })}
      />
      <Select
        label="The meter shows"
        value={draft.value.counter ?? ""}
        items={COUNTERS}
        onchange={(to) => set({ counter: (to || null) as Schemas["Measure"] | null })}
      />
      <Field
        label="Check every (from the manual)"
        kind="decimal"
        at="interval"
        value={draft.value.interval}
        oninput={(event) => set({ interval: event.currentTarget.value })}
      />
      <Field
        label="How the camshaft caps are marked"
        placeholder="E1 to E7, arrow to the front"
        value={draft.value.caps}
        oninput={(event) => set({ caps: event.currentTarget.value })}
      />
      <Field
        label="Tensioner: its kind, what comes first"
        placeholder="centre screw out first, back in last"
        value={draft.value.tensioner}
        oninput={(event) => set({ tensioner: event.currentTarget.value })}
      />
      {#snippet foot()}
        <Button type="submit" disabled={job.signed || !draft.changed}>Keep with the engine</Button>
      {/snippet}
    </Form>
  </Fold>
{/if}
