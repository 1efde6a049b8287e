<script lang="ts">
  /** Open a card: which engine, who, why, and how far it has run. */
  import { Refusal, answer, api, type EngineLine } from "../../api/client";
  import { Button, Dialog, Field, Form, Select } from "../../kit";
  import { preferences } from "../../state/preferences.svelte";
  import { shopState } from "../../state/shop.svelte";
  import { route } from "../../state/route.svelte";

  let { open = $bindable(false), engines }: { open?: boolean; engines: EngineLine[] } = $props();

  let engine = $state("");
  let who = $state(preferences.name);
  let why = $state("Interval");
  let distance = $state("");
  let hours = $state("");
  let refusal = $state<Refusal | null>(null);
  const chosen = $derived(engine || String(engines[0]?.id ?? ""));

  async function submit(): Promise<void> {
    const km = distance.trim() ? Number(distance.replaceAll(/[\s’']/g, "")) : null;
    if (km !== null && !Number.isInteger(km)) {
      refusal = new Refusal("bad", "Write the distance as a whole number.", "distance_km");
      return;
    }
    try {
      const card = await answer(
        api.POST("/api/cards", {
          body: {
            engine_id: Number(chosen),
            opened_by: who,
            reason: why,
            distance_km: km,
            hours: hours.trim() || null,
          },
        }),
      );
      preferences.setName(who.trim());
      open = false;
      void shopState.load();
      route.go(`/cards/${card.id}/${card.at}`);
    } catch (error) {
      refusal = error as Refusal;
    }
  }
</script>

<Dialog bind:open title="Open a card" says="Engine cold: four hours without running, if you can.">
  <Form onsend={submit} {refusal}>
    <Select
      label="Engine"
      value={chosen}
      items={engines.map((one) => ({ value: String(one.id), label: one.label, note: one.name }))}
      onchange={(value) => (engine = value)}
    />
    <Field label="Who does the work" bind:value={who} at="opened_by" />
    <Field label="Why now" bind:value={why} at="reason" />
    <div class="grid grid-cols-2 gap-3">
      <Field label="Distance, km" kind="whole" bind:value={distance} at="distance_km" />
      <Field label="or hours run" kind="decimal" bind:value={hours} at="hours" />
    </div>
    {#snippet foot()}
      <Button kind="now" type="submit" class="min-h-12 text-lg">Open the card</Button>
    {/snippet}
  </Form>
</Dialog>
