<script lang="ts">
  /** No spec is entered for the valve in hand: ask for it here, as it is printed. */
  import { act } from "../api/acts";
  import { Button, Field, Form, ToggleGroup } from "../kit";
  import { preferences } from "../state/preferences.svelte";
  import type { Job } from "./job.svelte";

  let { job }: { job: Job } = $props();

  const valve = $derived(job.valve);
  /** Of one valve that is changed by an amount it is enough to say how near is near enough. */
  const only = $derived(!!valve && job.card?.only_valve === valve.valve);
  const told = $derived(only && job.card?.near_enough != null);
  let printed = $state(false);
  let near = $state("");
  const side = $derived(valve?.side === "intake" ? "Intake" : "Exhaust");
  const both = $derived(new Set([...job.valves.values()].map((one) => one.action)).size > 1);
  const what = $derived(both ? `${side} ${valve?.action === "close" ? "closer" : "opener"}` : side);
  let text = $state("");
  let room = $state("");
  let unit = $state(preferences.unit);
  /** One figure alone says nothing of what is still right: the field for that stays once asked for. */
  let oneFigure = $state(false);
  $effect(() => {
    if (job.refusal?.field === "room") oneFigure = true;
  });

  async function enter(): Promise<void> {
    if (!valve) return;
    const { side, action } = valve;
    if (!(await job.act(act("spec", { side, action, text, room, unit })))) return;
    [text, room, oneFigure] = ["", "", false];
  }
  async function enough(): Promise<void> {
    if (await job.act(act("near-enough", { near, unit }))) near = "";
  }
</script>

{#if valve && !valve.spec && !job.signed && only && !printed}
  {#if !told}
    <Form
      class="border-now bg-wash grid grid-cols-[minmax(0,1fr)_auto] items-end gap-2 border-l-4 py-2 pr-2 pl-3"
      refusal={job.refusal?.field === "near" ? job.refusal : null}
      onsend={enough}
    >
      <p class="col-span-2 leading-5">
        <b>The allowed gap is not entered for {valve.valve}.</b> How far off the gap that you want is
        still right?
      </p>
      <Field
        label="More or less by, {unit === 'mm' ? 'mm' : 'thou'}"
        kind="decimal"
        at="near"
        bind:value={near}
        placeholder={unit === "mm" ? "0.02" : "1"}
        autocomplete="off"
      />
      <ToggleGroup
        label="The unit"
        value={unit}
        items={["mm", { value: "in", label: "inch" }]}
        onchange={(to) => (unit = to)}
      />
      {#snippet foot()}
        <Button kind="now" type="submit" class="min-h-12">Judge by that</Button>
        <Button onclick={() => (printed = true)}>Enter the allowed gap instead</Button>
      {/snippet}
    </Form>
  {/if}
{:else if valve && !valve.spec && !job.signed}
  <Form
    class="border-now bg-wash grid grid-cols-[minmax(0,1fr)_auto] items-end gap-2 border-l-4 py-2 pr-2 pl-3"
    refusal={["spec", "room"].includes(job.refusal?.field ?? "") ? job.refusal : null}
    onsend={enter}
  >
    <p class="col-span-2 leading-5">
      <b>The allowed gap is not entered for {what.toLowerCase()}.</b> It stands in the manual under valve
      clearance, for a cold engine.
    </p>
    <Field
      label="{what} allowed gap, as printed"
      kind="figures"
      id="spec-as-printed"
      at="spec"
      bind:value={text}
      placeholder={unit === "mm" ? "0.10-0.15 or 0.13±0.03" : ".004-.006 or .005±.001"}
      autocomplete="off"
    />
    <ToggleGroup
      label="The gap is in"
      value={unit}
      items={["mm", { value: "in", label: "inch" }]}
      onchange={(to) => (unit = to)}
    />
    {#if oneFigure}
      <Field
        label="The manual gives one figure. How much more or less do you allow?"
        class="col-span-2"
        kind="figures"
        at="room"
        bind:value={room}
        placeholder={unit === "mm" ? "0.03" : ".001"}
      />
    {/if}
    {#snippet foot()}
      <Button kind="now" type="submit" class="col-span-2 min-h-12">Judge by it</Button>
    {/snippet}
  </Form>
{/if}
