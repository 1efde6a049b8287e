<script lang="ts">
  /** The engine editor: from a layout, drawn at once; every name, angle, mark and spec corrected. */
  import { untrack } from "svelte";
  import { atRest } from "../../head/crank";
  import HeadMini from "../../head/HeadMini.svelte";
  import { Button, Field, Form, Notice } from "../../kit";
  import { Cycle } from "../../trade";
  import CrankFields from "./CrankFields.svelte";
  import { EngineState } from "./engine.svelte";
  import FamilyFields from "./FamilyFields.svelte";
  import MachineFields from "./MachineFields.svelte";
  import NameFields from "./NameFields.svelte";
  import SpecFields from "./SpecFields.svelte";
  import StartFields from "./StartFields.svelte";

  let { id }: { id: number | null } = $props();

  const engine = new EngineState(untrack(() => id));
  void engine.load();
  const file = $derived(engine.file);
  let crank = $state(0);
  const lit = $derived(atRest(engine.turning?.lanes ?? [], crank));
  const closers = $derived(file?.engine.valves.some((valve) => valve.action === "close") ?? false);
</script>

<main class="mx-auto w-full max-w-[1240px] px-5 py-4 max-sm:px-3">
  <Form
    onsend={() => engine.save()}
    class="grid grid-cols-[minmax(0,1fr)_30rem] gap-8 max-lg:grid-cols-1"
  >
    <div class="flex min-w-0 flex-col gap-4">
      <h1 class="text-head leading-8 font-[640]" style:font-stretch="84%">
        {id === null ? "A new engine" : engine.label || "Engine"}
      </h1>
      {#if id === null}<StartFields {engine} />{/if}
      {#if file}
        <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
          <Field
            label="What the shop calls it"
            bind:value={engine.label}
            at="label"
            help="The name it goes by on the bench, such as a fleet number and a name. It may be changed at any time."
          />
          <Field
            label="Engine"
            value={file.engine.name}
            oninput={(event) => {
              file.engine.name = event.currentTarget.value;
              engine.redraw();
            }}
            help="What it is, as its data page or its plate says it: maker, model, size."
          />
          <Field
            label="Spec from"
            bind:value={file.engine.source}
            help="Which book the spec is out of, so that somebody else can look it up: the maker’s workshop manual, with its edition."
          />
          <Field
            label="Page"
            bind:value={file.engine.page}
            help="Where it stands there, such as 3-14."
          />
          <Field label="Note" class="col-span-2 max-sm:col-span-1" bind:value={engine.note} />
        </div>
        <SpecFields {engine} {file} />
        <fieldset>
          <legend class="border-ink w-full border-b-2 text-lg font-[600]">Shim sizes</legend>
          <p class="text-soft pt-1 text-note leading-5">
            What is made for it, from the parts list: thinnest, thickest and the step between, such
            as 1.20 to 3.50 by 0.05; one more run where the step changes. Unknown, nothing is
            bought.
          </p>
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
      {/if}
    </div>
    <aside class="flex flex-col gap-3 lg:sticky lg:top-3 lg:self-start">
      {#if engine.drawing && engine.turning}
        <div class="border-line flex h-56 justify-center border p-3">
          <HeadMini drawing={engine.drawing} />
        </div>
        {#if engine.turning.lanes.length}
          <div class="border-line h-72 border">
            <Cycle turning={engine.turning} {crank} {lit} onturn={(to) => (crank = to)} />
          </div>
        {:else}
          <p class="border-line text-soft border p-3 leading-5">
            Nobody has said when the cylinders fire. Until then each is measured at its own
            compression top dead centre, or at the maker’s marks.
          </p>
        {/if}
        <p class="text-note">
          {engine.turning.stops.length === 1 ? "1 stop" : `${engine.turning.stops.length} stops`}: {engine.turning.stops
            .map(
              (stop) =>
                `${stop.mark ?? stop.camshaft ?? `${stop.degrees ?? "?"}°`} (${stop.valves.length})`,
            )
            .join(", ")}.
        </p>
      {/if}
      {#if engine.refusal}<Notice>{engine.refusal.sentence}</Notice>{/if}
      {#if engine.unreadable}<Notice>{engine.unreadable}</Notice>{/if}
      {#if id !== null}
        <p class="text-soft text-note">
          Open cards are offered what is corrected here, and say what it changes. Signed ones keep
          the engine as it was.
          <a class="underline underline-offset-4" href="/engines/{id}/years">Over the years</a>,
          <a class="underline underline-offset-4" href="/history/engine/{id}">what happened to it</a
          >
        </p>
      {/if}
      <div class="flex items-center gap-3">
        <Button kind="now" type="submit" class="min-h-12 text-lg">Save the engine</Button>
        <Button href="/engines" kind="bare">Back</Button>
        {#if engine.saved}<span role="status">Saved.</span>{/if}
      </div>
    </aside>
  </Form>
</main>
