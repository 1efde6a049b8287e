<script lang="ts">
  /** Which way the crank turns, when each cylinder fires, cam timing, and the marks. */
  import { Button, Field, ToggleGroup } from "../../kit";
  import type { EngineDocument } from "./document";
  import { TIMING, type EngineState } from "./engine.svelte";
  import MarkFields from "./MarkFields.svelte";

  let { engine, file }: { engine: EngineState; file: EngineDocument } = $props();
</script>

<fieldset>
  <legend class="border-ink w-full border-b-2 text-lg font-[600]">Crank and timing</legend>
  <div class="flex flex-wrap items-end gap-3 py-2">
    <ToggleGroup
      label="Turns"
      value={(file.engine.crank.rotation ?? "") as "clockwise"}
      items={["clockwise", "anticlockwise"]}
      onchange={(way) => {
        file.engine.crank.rotation = way;
        engine.redraw();
      }}
    />
    {#each file.engine.crank.cylinders as cylinder (cylinder.number)}
      <Field
        label="{cylinder.number} fires at"
        help="Degrees of the crank from cylinder 1 firing, 0 to 719: a cycle is two turns. From the firing order in the manual: an even four fires every 180."
        class="w-24"
        look="text-soft text-note"
        kind="whole"
        value={cylinder.fires_at ?? ""}
        placeholder="not known"
        invalid={engine.faults.has(`${cylinder.number} fires at`)}
        oninput={engine.reads(
          `${cylinder.number} fires at`,
          (to) => (cylinder.fires_at = to ?? null),
          true,
        )}
      />
    {/each}
  </div>
  {#if file.engine.events}
    {@const events = file.engine.events}
    <p class="text-soft pb-1 text-note leading-5">
      Degrees of the crank from the data page, such as 20, 60, 60, 20. BTDC is before top dead
      centre, ABDC after bottom, BBDC before bottom, ATDC after top.
    </p>
    <div class="grid grid-cols-4 gap-3 max-sm:grid-cols-2">
      {#each TIMING as one (one.says)}
        {@const of = events[one.side] as Record<string, number | undefined>}
        <Field
          label={one.says}
          look="text-soft text-note"
          kind="whole"
          value={of[one.key] ?? ""}
          invalid={engine.faults.has(one.says)}
          oninput={engine.reads(one.says, (to) => (of[one.key] = to))}
        />
      {/each}
    </div>
  {:else}
    <Button onclick={() => engine.addTiming()}>Enter the cam timing, if it is known</Button>
    <span class="text-soft text-note"
      >Without it the positions come from a mild timing, and say so.</span
    >
  {/if}
  <MarkFields {engine} {file} />
</fieldset>
