<script lang="ts">
  /** Open a card: which engine, what kind of job, who, why, and how far it has run. */
  import kinds from "../../api/kinds.json";
  import { answer, api, type EngineLine, Refusal, type Schemas } from "../../api/client";
  import KindFields from "../../card/KindFields.svelte";
  import RunFields from "../../card/RunFields.svelte";
  import { Button, Dialog, Field, Form, Select, typedOver } from "../../kit";
  import { Attempt } from "../../state/attempt.svelte";
  import { preferences } from "../../state/preferences.svelte";
  import { people } from "../../state/people.svelte";
  import { shopState } from "../../state/shop.svelte";
  import { opening } from "../../state/opening.svelte";
  import { route } from "../../state/route.svelte";
  import { grouped } from "../../kit/numbers";

  let {
    open = $bindable(false),
    engines: first,
    count,
  }: { open?: boolean; engines: EngineLine[]; count: number } = $props();

  const attempt = new Attempt();
  let picked = $state(`${opening.engine ?? ""}`);
  /** Where there are more engines than one list holds, they are looked for by their words. */
  let like = $state("");
  let found = $state.raw<EngineLine[] | null>(null);
  $effect(() => {
    const text = like.trim();
    if (!text) {
      found = null;
      return;
    }
    const pause = setTimeout(
      () =>
        void attempt.at(async () => {
          const query = { like: text };
          const page = await answer(api.GET("/api/engines", { params: { query } }));
          if (like.trim() === text) found = page.engines;
        }),
      120,
    );
    return () => clearTimeout(pause);
  });
  const engines = $derived(found?.length ? found : first);
  let who = $state(preferences.name);
  let why = $state("");
  let distance = $state("");
  let hours = $state("");
  let kind = $state<Schemas["JobKind"]>("set");
  let valve = $state("");
  let by = $state("");
  let wider = $state(true);
  const engine = $derived(engines.find((one) => `${one.id}` === picked));
  const valves = $derived(
    engine?.drawing.banks.flatMap((bank) => bank.valves.map((one) => one.valve)) ?? [],
  );
  /** As this engine's counter counts, until somebody says otherwise. */
  let measured = $state<"km" | "mi" | null>(null);
  const measure = $derived(measured ?? (engine?.counter === "mi" ? "mi" : "km"));

  async function submit(): Promise<void> {
    if (!engine) {
      attempt.refusal = new Refusal("bad_value", "Choose which engine it is.", "engine");
      return;
    }
    const one = kinds.jobs.find((row) => row.value === kind)?.one ?? false;
    await attempt.at(async () => {
      const card = await answer(
        api.POST("/api/cards", {
          body: {
            engine_id: engine.id,
            opened_by: people.name(who),
            reason: why,
            distance: distance.trim() || null,
            measure,
            hours: hours.trim() || null,
            kind,
            amount: one ? { valve, by, wider, unit: engine.unit } : null,
          },
        }),
      );
      if (!people.here) preferences.setName(who.trim());
      open = false;
      void shopState.load();
      route.go(`/cards/${card.id}/${card.at}`);
    });
  }
</script>

<Dialog bind:open title="Open a card" says="Engine cold: four hours without running, if you can.">
  <Form onsend={submit} refusal={attempt.refusal} class="grid grid-cols-2 gap-3">
    {#if count > first.length}
      <Field
        label="Look for the engine"
        class="col-span-2"
        bind:value={like}
        type="search"
        placeholder="its name, its owner, its plate; one of {grouped(count)}"
      />
    {/if}
    {#if found?.length === 0}
      <p class="col-span-2" role="status">No engine has these words.</p>
    {/if}
    <div class="col-span-2">
      <Select
        label="Engine"
        value={`${engine?.id ?? ""}`}
        items={engines.map((one) => ({ value: `${one.id}`, label: one.label, note: one.name }))}
        onchange={(value) => (picked = value)}
      />
    </div>
    <KindFields
      bind:kind
      bind:valve
      bind:by
      bind:wider
      {valves}
      unit={engine?.unit ?? preferences.unit}
    />
    {#if people.here}
      <p class="self-end pb-2"><span class="text-soft">Technician</span> {people.here.name}</p>
    {:else}
      <Field
        label="Technician"
        bind:value={who}
        at="opened_by"
        onfocus={typedOver}
        data-first={engine ? "" : undefined}
      />
    {/if}
    <Field
      label="Reason for the job"
      bind:value={why}
      at="reason"
      placeholder="interval, noise, …"
    />
    <RunFields
      bind:distance
      bind:measure={() => measure, (to) => (measured = to)}
      bind:hours
      counts={engine?.counter}
    />
    {#snippet foot()}
      <Button kind="now" type="submit" class="col-span-2 min-h-12 text-lg">Open the card</Button>
    {/snippet}
  </Form>
</Dialog>
