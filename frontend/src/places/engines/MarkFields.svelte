<script lang="ts">
  /** The maker's marks: name, what to look for, what is counted, and what is measured there. */
  import { Button, Cross, Field } from "../../kit";
  import type { EngineDocument, MarkDocument } from "./document";
  import type { EngineState } from "./engine.svelte";

  let { engine, file }: { engine: EngineState; file: EngineDocument } = $props();

  const valves = $derived(file.engine.valves);
  const numbers = $derived(file.engine.crank.cylinders.map((one) => one.number));
  const held = (mark: MarkDocument, id: string): boolean => mark.valves?.includes(id) ?? false;

  /** Measured at this mark, or not; a valve is measured at one mark alone. */
  function put(mark: MarkDocument, ids: string[], here: boolean): void {
    for (const one of file.engine.crank.marks ?? [])
      one.valves = one.valves?.filter((id) => !ids.includes(id));
    if (here) mark.valves = [...(mark.valves ?? []), ...ids];
    engine.redraw();
  }
  const of = (cylinder: number): string[] =>
    valves.filter((one) => one.cylinder === cylinder).map((one) => one.id);
</script>

<div class="flex flex-col gap-3 pt-3">
  {#each file.engine.crank.marks ?? [] as mark, n (n)}
    <fieldset
      class="border-line grid grid-cols-[5rem_7rem_minmax(0,1fr)_auto] gap-2 border p-2 max-sm:grid-cols-2"
    >
      <legend class="sr-only">Mark {n + 1}</legend>
      <Field
        label="Mark"
        help="As it is stamped on the rotor or flywheel, such as T, R, or a cylinder’s number."
        look="text-soft text-note"
        value={mark.name}
        oninput={(event) => {
          mark.name = event.currentTarget.value;
          engine.redraw();
        }}
      />
      <Field
        label="at °, if known"
        help="Degrees of the crank from cylinder 1 firing, if the book gives them. Nothing is lost without."
        look="text-soft text-note"
        kind="figures"
        value={mark.degrees ?? ""}
        oninput={engine.reads(`Mark ${n + 1} at`, (to) => (mark.degrees = to), true)}
      />
      <Field
        label="What to look for there"
        class="max-sm:col-span-2"
        look="text-soft text-note"
        placeholder="rear lobes up and towards each other"
        value={mark.cue ?? ""}
        oninput={(event) => {
          mark.cue = event.currentTarget.value;
          engine.redraw();
        }}
      />
      <Button
        kind="bare"
        class="self-end px-2"
        aria-label="Take mark {mark.name} away"
        onclick={() => engine.dropMark(n)}><Cross /></Button
      >
      <Field
        label="What is counted for the timing"
        class="col-span-full"
        look="text-soft text-note"
        placeholder="16 pins between the arrow and figure 3"
        value={mark.count ?? ""}
        oninput={(event) => {
          mark.count = event.currentTarget.value;
          engine.redraw();
        }}
      />
      <div class="col-span-full flex flex-wrap items-center gap-1">
        <span class="text-soft text-note">Measured here</span>
        {#if numbers.length > 1}
          {#each numbers as number (number)}
            {@const all = of(number)}
            {@const on = all.every((id) => held(mark, id))}
            <Button
              kind="bare"
              class={on ? "bg-ink text-paper" : "border-line"}
              aria-pressed={on}
              onclick={() => put(mark, all, !on)}>all of {number}</Button
            >
          {/each}
        {/if}
        {#each valves as valve (valve.id)}
          {@const on = held(mark, valve.id)}
          <Button
            kind="bare"
            class={on ? "bg-ink text-paper" : "border-line"}
            aria-pressed={on}
            onclick={() => put(mark, [valve.id], !on)}>{valve.id}</Button
          >
        {/each}
      </div>
    </fieldset>
  {/each}
  <div class="flex flex-wrap items-center gap-3">
    <Button onclick={() => engine.addMark()}>Add a mark</Button>
    <span class="text-soft text-note"
      >As the manual names it, in the order they are turned to. No angle is needed: the words and
      the valves measured there are enough.</span
    >
  </div>
</div>
