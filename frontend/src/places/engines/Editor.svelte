<script lang="ts">
  /** The engine editor: five answers, drawn at once; all else is folded, to be corrected. */
  import { untrack } from "svelte";
  import { atRest } from "../../head/crank";
  import HeadMini from "../../head/HeadMini.svelte";
  import { Button, Details, Field, Form, Notice } from "../../kit";
  import { Cycle } from "../../trade";
  import CrankFields from "./CrankFields.svelte";
  import { EngineState } from "./engine.svelte";
  import FamilyFields from "./FamilyFields.svelte";
  import MachineFields from "./MachineFields.svelte";
  import NameFields from "./NameFields.svelte";
  import ShimFields from "./ShimFields.svelte";
  import SpecFields from "./SpecFields.svelte";
  import StartFields from "./StartFields.svelte";

  let { id }: { id: number | null } = $props();

  const engine = new EngineState(untrack(() => id));
  void engine.load();
  const file = $derived(engine.file);
  let crank = $state(0);
  const lit = $derived(atRest(engine.turning?.lanes ?? [], crank));
  $effect(() => engine.keep());
  const closers = $derived(file?.engine.valves.some((valve) => valve.action === "close") ?? false);
</script>

<main class="mx-auto w-full max-w-[1240px] px-5 py-4 max-sm:px-3">
  <Form
    onsend={() => engine.save(id === null ? "card" : "bench")}
    class="grid grid-cols-[minmax(0,1fr)_26rem] gap-8 max-lg:grid-cols-1 max-lg:gap-3"
  >
    <div class="flex min-w-0 flex-col gap-4">
      <div class="flex items-center justify-between gap-3">
        <h1 class="text-head leading-8 font-[640]" style:font-stretch="84%">
          {id === null ? "A new engine" : engine.label || "Engine"}
        </h1>
        {#if id === null && engine.touched}
          <Button kind="bare" onclick={() => void engine.afresh()}>Start again</Button>
        {/if}
      </div>
      {#if file}
        <Field
          label="Name of this machine"
          bind:value={engine.label}
          at="label"
          placeholder="a fleet number and a name"
          autofocus={id === null && !engine.touched}
          autocomplete="off"
        />
        {#if id === null}<StartFields {engine} />{/if}
        <SpecFields {engine} {file} />
        <ShimFields {engine} {file} />
        <Details class="border-ink border-t-2" open={id !== null}>
          <summary class="min-h-11 py-2 text-lg font-[600]"
            >More: make and model, firing order, marks, meter, parts</summary
          >
          <div class="flex flex-col gap-4">
            <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
              <Field
                label="Make and model"
                value={file.engine.name}
                oninput={(event) => {
                  file.engine.name = event.currentTarget.value;
                  engine.redraw();
                }}
              />
              <Field label="Note" bind:value={engine.note} />
              <Field
                label="Manual"
                bind:value={file.engine.source}
                help="The book that the allowed gap is from, with its edition, so that others find it."
              />
              <Field label="Page" bind:value={file.engine.page} placeholder="3-14" />
            </div>
            {#if id === null}<StartFields {engine} more />{/if}
            <SpecFields {engine} {file} more />
            <fieldset>
              <legend class="border-ink w-full border-b-2 text-lg font-[600]">Shim sizes</legend>
              <FamilyFields {engine} family={file.engine.family} name="Shim" />
              {#if file.engine.closer_family}
                <FamilyFields {engine} family={file.engine.closer_family} name="Closer" />
              {:else if closers}
                <Button onclick={() => engine.addCloserFamily()}
                  >Give the closers their own sizes</Button
                >
              {/if}
            </fieldset>
            <CrankFields {engine} {file} />
            <NameFields {engine} {file} />
            <MachineFields {engine} {file} />
          </div>
        </Details>
      {/if}
    </div>
    <aside class="flex flex-col gap-3 lg:sticky lg:top-3 lg:self-start">
      {#if engine.drawing && engine.turning}
        <div class="border-line flex h-56 justify-center border p-3 max-lg:h-40">
          <HeadMini drawing={engine.drawing} />
        </div>
        {#if engine.turning.lanes.length}
          <div class="border-line h-72 border max-lg:hidden">
            <Cycle turning={engine.turning} {crank} {lit} onturn={(to) => (crank = to)} />
          </div>
        {:else}
          <p class="text-soft text-note leading-5">
            Firing order not entered: you measure each cylinder at its own top dead centre.
          </p>
        {/if}
        <p class="text-soft text-note">
          {engine.turning.stops.length === 1
            ? "1 position to turn to"
            : `${engine.turning.stops.length} positions to turn to`}: {engine.turning.stops
            .map(
              (stop) =>
                `${stop.mark ?? stop.camshaft ?? `${stop.degrees ?? "?"}°`} (${stop.valves.length})`,
            )
            .join(", ")}.
        </p>
      {/if}
      {#if id !== null}
        <p class="text-soft text-note">
          Open cards are offered what you correct here. Signed cards keep the engine as it was.
          <a class="underline underline-offset-4" href="/engines/{id}/years">Over the years</a>,
          <a class="underline underline-offset-4" href="/history/engine/{id}">history</a>
        </p>
      {/if}
    </aside>
    <div
      class="bg-paper border-line sticky bottom-0 z-10 flex flex-wrap items-center gap-3 border-t py-2 lg:col-span-2"
    >
      {#if engine.refusal}<Notice>{engine.refusal.sentence}</Notice>{/if}
      {#if engine.unreadable}<Notice>{engine.unreadable}</Notice>{/if}
      {#if id === null}
        <Button kind="now" type="submit" class="min-h-12 text-lg">Save and open a card</Button>
        <Button class="min-h-12" onclick={() => void engine.save()}>Save the engine</Button>
      {:else}
        <Button kind="now" type="submit" class="min-h-12 text-lg">Save the engine</Button>
      {/if}
      <Button href="/engines" kind="bare" class="max-sm:hidden">Back</Button>
      {#if engine.saved}<span role="status">Saved.</span>{/if}
    </div>
  </Form>
</main>
