<script lang="ts">
  /** Why, at what run and by whom: as the card was opened, and put right where that was wrong. */
  import { Button, Field, Form, Select } from "../../kit";
  import type { CardState } from "../../card/card.svelte";
  import { Draft } from "../../state/draft.svelte";
  import { shopState } from "../../state/shop.svelte";

  let { job }: { job: CardState } = $props();

  const card = $derived(job.card);
  const sets = $derived(shopState.shop?.blade_sets ?? []);
  let open = $state(false);
  const reason = new Draft(() => card?.reason ?? "");
  const who = new Draft(() => card?.opened_by ?? "");
  const distance = new Draft(() => (card?.distance_km == null ? "" : `${card.distance_km}`));
  const hours = new Draft(() => (card?.hours == null ? "" : card.hours));
  const fields = [reason, who, distance, hours];
  /** Blanks between thousands are left out; what is no whole number is asked again. */
  const whole = (text: string): number | null =>
    text.trim() === "" ? null : Number(text.replaceAll(/[\s’']/g, ""));
  const wrong = $derived(
    Number.isInteger(whole(distance.value) ?? 0) ? null : "Write the distance as a whole number.",
  );

  async function correct(): Promise<void> {
    if (wrong) return;
    const facts = job.acts.facts({
      reason: reason.value,
      opened_by: who.value,
      distance_km: whole(distance.value),
      hours: hours.value.trim() || null,
    });
    if (!(await job.act(facts))) return;
    for (const one of fields) one.saved();
    open = false;
  }
</script>

{#if card}
  <div class="flex items-baseline justify-between gap-3 py-2">
    <p class="text-soft">
      {card.reason}{card.distance_km === null ? "" : `, at ${card.distance_km} km`}{card.hours ===
      null
        ? ""
        : `, ${card.hours} h`}; {card.opened_by}.
    </p>
    {#if !job.signed}
      <Button kind="bare" aria-expanded={open} onclick={() => (open = !open)}
        >{open ? "Leave it" : "Correct"}</Button
      >
    {/if}
  </div>
  {#if open && !job.signed}
    <Form
      class="border-line mb-3 grid grid-cols-2 gap-3 border p-3"
      refusal={wrong ?? job.refusal}
      onsend={correct}
    >
      <Field label="Why now" class="col-span-2" at="reason" bind:value={reason.value} />
      <Field label="Who does the work" class="col-span-2" at="opened_by" bind:value={who.value} />
      <Field label="Distance, km" kind="whole" at="distance_km" bind:value={distance.value} />
      <Field label="Hours" kind="decimal" at="hours" bind:value={hours.value} />
      {#snippet foot()}
        <Button kind="now" type="submit">Put it right</Button>
        <Button onclick={() => void job.act(job.acts.putAway({ away: true }))}
          >Opened by mistake: put it away</Button
        >
      {/snippet}
    </Form>
  {/if}
  {#if sets.length && !job.signed}
    <div class="pb-3">
      <Select
        label="Feeler set"
        value={`${card.blade_set?.id ?? ""}`}
        items={[
          { value: "", label: "none said" },
          ...sets.map((one) => ({ value: `${one.id}`, label: one.name })),
        ]}
        onchange={(id) =>
          void job.act(
            job.acts.method({
              method: card.turning.method,
              blade_set_id: id === "" ? null : Number(id),
            }),
          )}
      />
    </div>
  {/if}
{/if}
