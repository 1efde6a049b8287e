<script lang="ts">
  /** Which way the crank turns, when each cylinder fires, cam timing, and the marks. */
  import { Button, Field, Pair } from "../../kit";
  import type { EngineDocument } from "./document";
  import { type EngineState, number } from "./engine.svelte";

  let { engine, file }: { engine: EngineState; file: EngineDocument } = $props();
</script>

<fieldset>
  <legend class="border-ink w-full border-b-2 text-lg font-[600]">Crank and timing</legend>
  <div class="flex flex-wrap items-end gap-3 py-2">
    <Pair
      label="Turns"
      value={file.engine.crank.rotation}
      items={[
        { value: "clockwise", label: "clockwise" },
        { value: "anticlockwise", label: "anticlockwise" },
      ]}
      onchange={(way) => {
        file.engine.crank.rotation = way;
        engine.redraw();
      }}
    />
    {#each file.engine.crank.cylinders as cylinder (cylinder.number)}
      <Field
        label="{cylinder.number} fires at"
        class="w-24"
        look="text-soft text-note"
        input="figures"
        inputmode="numeric"
        value={cylinder.fires_at}
        oninput={(event) => {
          const value = number(event.currentTarget.value);
          if (value === undefined) return;
          cylinder.fires_at = value;
          engine.redraw();
        }}
      />
    {/each}
  </div>
  {#if file.engine.events}
    {@const events = file.engine.events}
    <div class="grid grid-cols-5 gap-3 max-sm:grid-cols-2">
      {#each [{ says: "IN opens BTDC", get: () => events.intake.opens_btdc, set: (to: number) => (events.intake.opens_btdc = to) }, { says: "IN closes ABDC", get: () => events.intake.closes_abdc, set: (to: number) => (events.intake.closes_abdc = to) }, { says: "EX opens BBDC", get: () => events.exhaust.opens_bbdc, set: (to: number) => (events.exhaust.opens_bbdc = to) }, { says: "EX closes ATDC", get: () => events.exhaust.closes_atdc, set: (to: number) => (events.exhaust.closes_atdc = to) }, { says: "ramp", get: () => events.ramp, set: (to: number) => (events.ramp = to) }] as event_ (event_.says)}
        <Field
          label={event_.says}
          look="text-soft text-note"
          input="figures"
          inputmode="numeric"
          value={event_.get()}
          oninput={(event) => {
            const value = number(event.currentTarget.value);
            if (value === undefined) return;
            event_.set(value);
            engine.redraw();
          }}
        />
      {/each}
    </div>
  {/if}
  <div class="flex flex-wrap items-end gap-2 pt-2">
    {#each file.engine.crank.marks ?? [] as mark, n (n)}
      <span class="border-line flex items-end gap-1 border p-1">
        <Field
          label="mark"
          class="w-16"
          look="text-soft text-note"
          bind:value={mark.name}
          oninput={() => engine.redraw()}
        />
        <Field
          label="at"
          class="w-20"
          look="text-soft text-note"
          input="figures"
          value={mark.degrees}
          oninput={(event) => {
            const value = number(event.currentTarget.value);
            if (value === undefined) return;
            mark.degrees = value;
            engine.redraw();
          }}
        />
        <Button
          kind="bare"
          aria-label="Take mark {mark.name} away"
          onclick={() => {
            file.engine.crank.marks?.splice(n, 1);
            engine.redraw();
          }}>×</Button
        >
      </span>
    {/each}
    <Button onclick={() => engine.addMark()}>Add a crank mark</Button>
    <span class="text-soft text-note">Without marks of its own, every TDC counts as marked.</span>
  </div>
</fieldset>
