<script lang="ts">
  /** The engine editor: from a layout, drawn at once; every name, angle, mark and spec corrected. */
  import { atRest } from "../../head/crank";
  import { untrack } from "svelte";
  import { type Draft, Refusal, answer, api } from "../../api/client";
  import HeadMini from "../../head/HeadMini.svelte";
  import Button from "../../kit/Button.svelte";
  import Pair from "../../kit/Pair.svelte";
  import Select from "../../kit/Select.svelte";
  import { route } from "../../state/route.svelte";
  import Cycle from "../../stages/turn/Cycle.svelte";
  import { shopState } from "../../state/shop.svelte";
  import FamilyFields from "./FamilyFields.svelte";
  import type { EngineDocument, FamilyDocument, SpecDocument } from "./document";

  let { id }: { id: number | null } = $props();

  let label = $state("");
  let note = $state("");
  let revision = $state(0);
  let file = $state<EngineDocument | null>(null);
  let draft = $state.raw<Draft | null>(null);
  let refusal = $state<Refusal | null>(null);
  let saved = $state(false);
  let crank = $state(0);

  let layout = $state("inline-four");
  let valves = $state("4");
  let camshafts = $state("2");
  let follower = $state("bucket-under");
  let angle = $state("");
  let flipped = $state(false);
  let along = $state(false);

  const layouts = [
    { value: "single", label: "single" },
    { value: "parallel-twin", label: "parallel twin" },
    { value: "v-twin", label: "V-twin" },
    { value: "l-twin", label: "L-twin" },
    { value: "triple", label: "triple" },
    { value: "inline-four", label: "inline four" },
    { value: "v-four", label: "V-four" },
    { value: "flat-four", label: "flat four" },
    { value: "straight-six", label: "straight six" },
  ];
  const followers = [
    { value: "bucket-under", label: "bucket, shim under" },
    { value: "bucket-over", label: "bucket, shim on top" },
    { value: "finger", label: "finger or rocker, shim on the stem" },
    { value: "opener-closer", label: "opener and closer" },
  ];
  const angles: Record<string, string[]> = {
    "parallel-twin": ["270", "180", "360"],
    "v-twin": ["90", "75", "60"],
  };

  async function start(): Promise<void> {
    try {
      const offered = angles[layout];
      take(
        await answer(
          api.POST("/api/engines/start", {
            body: {
              layout: layout as "single",
              valves: Number(valves),
              camshafts: Number(camshafts),
              follower: follower as "finger",
              angle: offered ? Number(offered.includes(angle) ? angle : offered[0]) : null,
              reversed_head: flipped,
              crank_along: along,
            },
          }),
        ),
      );
    } catch (error) {
      refusal = error as Refusal;
    }
  }
  function take(next: Draft): void {
    draft = next;
    file = JSON.parse(next.document) as EngineDocument;
    refusal = null;
  }
  async function load(): Promise<void> {
    if (id === null) return start();
    try {
      const engine = await answer(
        api.GET("/api/engines/{engine_id}", { params: { path: { engine_id: id } } }),
      );
      ({ label, note, revision } = engine);
      take({ ...engine, valves: [] });
    } catch (error) {
      refusal = error as Refusal;
    }
  }
  untrack(() => void load());

  /** Have the server draw what is being edited; it refuses what cannot be. */
  let timer: ReturnType<typeof setTimeout> | undefined;
  function redraw(): void {
    saved = false;
    clearTimeout(timer);
    timer = setTimeout(async () => {
      if (!file) return;
      try {
        draft = await answer(
          api.POST("/api/engines/draft", { body: { document: JSON.stringify(file) } }),
        );
        refusal = null;
      } catch (error) {
        refusal = error as Refusal;
      }
    }, 150);
  }

  /** Numbers are typed with a point or a comma; what is no number stays out of the file. */
  function number(text: string): number | undefined {
    const value = Number(text.replace(",", "."));
    return text.trim() === "" || Number.isNaN(value) ? undefined : value;
  }
  function setSpec(spec: SpecDocument | undefined, key: keyof SpecDocument, text: string): void {
    const value = number(text);
    if (!spec) return;
    if (value === undefined && (key === "min" || key === "max")) return;
    // what is undefined is left out of the file
    if (key === "min" || key === "max") spec[key] = value ?? spec[key];
    else spec[key] = value;
    redraw();
  }
  function rename(from: string, to: string): void {
    const valve = file?.engine.valves.find((one) => one.id === from);
    if (!valve || !to.trim()) return;
    valve.id = to.trim();
    redraw();
  }

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!file) return;
    const document = JSON.stringify(file, null, 1);
    try {
      if (id === null) {
        shopState.shop = await answer(
          api.POST("/api/engines", { body: { label, note, document } }),
        );
        route.go("/engines");
      } else {
        const engine = await answer(
          api.PUT("/api/engines/{engine_id}", {
            params: { path: { engine_id: id } },
            body: { revision, label, note, document },
          }),
        );
        revision = engine.revision;
        saved = true;
      }
      refusal = null;
    } catch (error) {
      refusal = error as Refusal;
    }
  }

  const lit = $derived(atRest(draft?.turning.lanes ?? [], crank));
  const specs = $derived(
    file
      ? [
          { name: "Intake", spec: file.engine.spec.intake },
          { name: "Exhaust", spec: file.engine.spec.exhaust },
          ...(file.engine.follower === "opener-closer"
            ? [
                { name: "Intake closer", spec: file.engine.spec.closer?.intake },
                { name: "Exhaust closer", spec: file.engine.spec.closer?.exhaust },
              ]
            : []),
          ...file.engine.valves
            .filter((valve) => valve.spec)
            .map((valve) => ({ name: valve.id, spec: valve.spec })),
        ]
      : [],
  );
  const columns: { key: keyof SpecDocument; says: string }[] = [
    { key: "min", says: "min" },
    { key: "max", says: "max" },
    { key: "set_min", says: "set min" },
    { key: "set_max", says: "set max" },
    { key: "aim", says: "aim" },
  ];
  /** Give a valve its own spec, starting from its side's, or take it back. */
  function ownSpec(id: string): void {
    const valve = file?.engine.valves.find((one) => one.id === id);
    if (!valve || !file) return;
    valve.spec = valve.spec ? undefined : { ...file.engine.spec[valve.side] };
    redraw();
  }
  function addCloserFamily(): void {
    if (!file) return;
    file.engine.closer_family = JSON.parse(JSON.stringify(file.engine.family)) as FamilyDocument;
    redraw();
  }
  function renameCamshaft(from: string, to: string): void {
    const shaft = file?.engine.camshafts.find((one) => one.id === from);
    if (!shaft || !to.trim() || !file) return;
    shaft.id = to.trim();
    for (const valve of file.engine.valves) if (valve.camshaft === from) valve.camshaft = shaft.id;
    redraw();
  }
  function addClosers(): void {
    if (!file) return;
    const { intake, exhaust } = file.engine.spec;
    file.engine.spec.closer = { intake: { ...intake }, exhaust: { ...exhaust } };
    redraw();
  }
</script>

<main class="mx-auto w-full max-w-[1240px] px-5 py-4 max-sm:px-3">
  <form onsubmit={save} class="grid grid-cols-[minmax(0,1fr)_30rem] gap-8 max-lg:grid-cols-1">
    <div class="flex min-w-0 flex-col gap-4">
      <h1 class="text-[30px] leading-8 font-[640]" style:font-stretch="84%">
        {id === null ? "A new engine" : label || "Engine"}
      </h1>
      {#if id === null}
        <div class="grid grid-cols-3 gap-3 max-sm:grid-cols-2">
          <Select
            label="Layout"
            value={layout}
            items={layouts}
            onchange={(to) => {
              layout = to;
              void start();
            }}
          />
          {#if angles[layout]}
            <Select
              label={layout === "v-twin" ? "Angle of the V" : "Crank offset"}
              value={(angles[layout] ?? []).includes(angle) ? angle : (angles[layout]?.[0] ?? "")}
              items={(angles[layout] ?? []).map((one) => ({ value: one, label: `${one}°` }))}
              onchange={(to) => {
                angle = to;
                void start();
              }}
            />
          {/if}
          <Select
            label="Valves a cylinder"
            value={valves}
            items={["2", "3", "4", "5"].map((one) => ({ value: one, label: one }))}
            onchange={(to) => {
              valves = to;
              void start();
            }}
          />
          <Select
            label="Camshafts a bank"
            value={camshafts}
            items={["1", "2"].map((one) => ({ value: one, label: one }))}
            onchange={(to) => {
              camshafts = to;
              void start();
            }}
          />
          <Select
            label="Followers"
            value={follower}
            items={followers}
            onchange={(to) => {
              follower = to;
              void start();
            }}
          />
          <label class="flex min-h-11 items-center gap-2 self-end">
            <input
              type="checkbox"
              class="h-6 w-6 accent-[var(--ink)]"
              bind:checked={flipped}
              onchange={() => void start()}
            /> head reversed
          </label>
          <label class="flex min-h-11 items-center gap-2 self-end">
            <input
              type="checkbox"
              class="h-6 w-6 accent-[var(--ink)]"
              bind:checked={along}
              onchange={() => void start()}
            /> crank along the machine
          </label>
        </div>
      {/if}
      {#if file}
        <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
          <label>
            <span class="text-soft">What the shop calls it</span>
            <input class="field" bind:value={label} aria-invalid={refusal?.field === "label"} />
          </label>
          <label>
            <span class="text-soft">Engine</span>
            <input class="field" bind:value={file.engine.name} oninput={redraw} />
          </label>
          <label>
            <span class="text-soft">Spec from</span>
            <input class="field" bind:value={file.engine.source} />
          </label>
          <label>
            <span class="text-soft">Page</span>
            <input class="field" bind:value={file.engine.page} />
          </label>
          <label class="col-span-2 max-sm:col-span-1">
            <span class="text-soft">Note</span>
            <input class="field" bind:value={note} />
          </label>
        </div>
        <fieldset>
          <legend class="border-ink w-full border-b-2 text-lg font-[600]">Spec</legend>
          <div class="flex flex-wrap items-center gap-3 py-2">
            <Pair
              label="Unit of the manual"
              value={file.unit ?? "mm"}
              items={[
                { value: "mm", label: "mm" },
                { value: "in", label: "inch" },
              ]}
              onchange={(unit) => {
                if (file) file.unit = unit;
                redraw();
              }}
            />
            <span class="text-soft">as printed in the manual; shim sizes too</span>
          </div>
          <table class="w-full">
            <thead>
              <tr class="text-soft text-left text-[15px]">
                <th></th>
                {#each columns as column (column.key)}<th class="px-1 font-normal">{column.says}</th
                  >{/each}
              </tr>
            </thead>
            <tbody>
              {#each specs as one (one.name)}
                <tr>
                  <th class="pr-2 text-left font-[560] whitespace-nowrap">{one.name}</th>
                  {#if one.spec}
                    {#each columns as column (column.key)}
                      <td class="p-1">
                        <input
                          class="field figures"
                          inputmode="decimal"
                          aria-label="{one.name} {column.says}"
                          value={one.spec[column.key] ?? ""}
                          oninput={(event) =>
                            setSpec(one.spec, column.key, event.currentTarget.value)}
                        />
                      </td>
                    {/each}
                  {:else}
                    <td colspan="5"
                      ><Button onclick={addClosers}>Give the closers their own spec</Button></td
                    >
                  {/if}
                </tr>
              {/each}
            </tbody>
          </table>
          <div class="pt-2">
            <Select
              label="A valve with its own spec"
              shown={false}
              value=""
              items={file.engine.valves.map((valve) => ({
                value: valve.id,
                label: valve.spec
                  ? `${valve.id}: back to its side’s spec`
                  : `${valve.id}: its own spec`,
              }))}
              onchange={ownSpec}
            />
          </div>
        </fieldset>
        <fieldset>
          <legend class="border-ink w-full border-b-2 text-lg font-[600]">Shim sizes</legend>
          <FamilyFields family={file.engine.family} name="Shim" {number} onchange={redraw} />
          {#if file.engine.closer_family}
            <FamilyFields
              family={file.engine.closer_family}
              name="Closer"
              {number}
              onchange={redraw}
            />
          {:else if file.engine.follower === "opener-closer"}
            <Button onclick={addCloserFamily}>Give the closers their own sizes</Button>
          {/if}
        </fieldset>
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
                if (file) file.engine.crank.rotation = way;
                redraw();
              }}
            />
            {#each file.engine.crank.cylinders as cylinder (cylinder.number)}
              <label class="w-24">
                <span class="text-soft text-[15px]">{cylinder.number} fires at</span>
                <input
                  class="field figures"
                  inputmode="numeric"
                  value={cylinder.fires_at}
                  oninput={(event) => {
                    const value = number(event.currentTarget.value);
                    if (value === undefined) return;
                    cylinder.fires_at = value;
                    redraw();
                  }}
                />
              </label>
            {/each}
          </div>
          {#if file.engine.events}
            {@const events = file.engine.events}
            <div class="grid grid-cols-5 gap-3 max-sm:grid-cols-2">
              {#each [{ says: "IN opens BTDC", get: () => events.intake.opens_btdc, set: (to: number) => (events.intake.opens_btdc = to) }, { says: "IN closes ABDC", get: () => events.intake.closes_abdc, set: (to: number) => (events.intake.closes_abdc = to) }, { says: "EX opens BBDC", get: () => events.exhaust.opens_bbdc, set: (to: number) => (events.exhaust.opens_bbdc = to) }, { says: "EX closes ATDC", get: () => events.exhaust.closes_atdc, set: (to: number) => (events.exhaust.closes_atdc = to) }, { says: "ramp", get: () => events.ramp, set: (to: number) => (events.ramp = to) }] as event_ (event_.says)}
                <label>
                  <span class="text-soft text-[15px]">{event_.says}</span>
                  <input
                    class="field figures"
                    inputmode="numeric"
                    value={event_.get()}
                    oninput={(event) => {
                      const value = number(event.currentTarget.value);
                      if (value === undefined) return;
                      event_.set(value);
                      redraw();
                    }}
                  />
                </label>
              {/each}
            </div>
          {/if}
          <div class="flex flex-wrap items-end gap-2 pt-2">
            {#each file.engine.crank.marks ?? [] as mark, n (n)}
              <span class="border-line flex items-end gap-1 border p-1">
                <label class="w-16"
                  ><span class="text-soft text-[15px]">mark</span><input
                    class="field"
                    bind:value={mark.name}
                    oninput={redraw}
                  /></label
                >
                <label class="w-20"
                  ><span class="text-soft text-[15px]">at</span><input
                    class="field figures"
                    value={mark.degrees}
                    oninput={(event) => {
                      const value = number(event.currentTarget.value);
                      if (value === undefined) return;
                      mark.degrees = value;
                      redraw();
                    }}
                  /></label
                >
                <Button
                  kind="bare"
                  aria-label="Take mark {mark.name} away"
                  onclick={() => {
                    file?.engine.crank.marks?.splice(n, 1);
                    redraw();
                  }}>×</Button
                >
              </span>
            {/each}
            <Button
              onclick={() => {
                if (!file) return;
                file.engine.crank.marks = [
                  ...(file.engine.crank.marks ?? []),
                  { name: `M${(file.engine.crank.marks?.length ?? 0) + 1}`, degrees: 0 },
                ];
                redraw();
              }}>Add a crank mark</Button
            >
            <span class="text-soft text-[15px]"
              >Without marks of its own, every TDC counts as marked.</span
            >
          </div>
        </fieldset>
        <fieldset>
          <legend class="border-ink w-full border-b-2 text-lg font-[600]">Names</legend>
          <div class="grid grid-cols-4 gap-2 pt-2 max-sm:grid-cols-2">
            {#each file.engine.valves as valve, n (n)}
              <input
                class="field"
                aria-label="Name of valve {n + 1}"
                value={valve.id}
                onchange={(event) => rename(valve.id, event.currentTarget.value)}
              />
            {/each}
          </div>
          <p class="text-soft pt-3">Camshafts</p>
          <div class="grid grid-cols-4 gap-2 max-sm:grid-cols-2">
            {#each file.engine.camshafts as shaft, n (n)}
              <input
                class="field"
                aria-label="Name of camshaft {n + 1}"
                value={shaft.id}
                onchange={(event) => renameCamshaft(shaft.id, event.currentTarget.value)}
              />
            {/each}
          </div>
        </fieldset>
      {/if}
    </div>
    <aside class="flex flex-col gap-3 lg:sticky lg:top-3 lg:self-start">
      {#if draft}
        <div class="border-line flex h-56 justify-center border p-3">
          <HeadMini drawing={draft.drawing} />
        </div>
        <div class="border-line h-72 border">
          <Cycle turning={draft.turning} {crank} {lit} onturn={(to) => (crank = to)} />
        </div>
        <p class="text-[15px]">
          {draft.turning.stops.length} stops: {draft.turning.stops
            .map((stop) => `${stop.mark ?? `${stop.degrees}°`} (${stop.valves.length})`)
            .join(", ")}.
        </p>
      {/if}
      {#if refusal}<p class="text-tight font-[560]" role="alert">{refusal.sentence}</p>{/if}
      {#if id !== null}
        <p class="text-soft text-[15px]">
          Cards that are open or signed keep the engine as it was when they were opened.
        </p>
      {/if}
      <div class="flex items-center gap-3">
        <Button kind="now" type="submit" class="min-h-12 text-lg">Save the engine</Button>
        <Button href="/engines" kind="bare">Back</Button>
        {#if saved}<span role="status">Saved.</span>{/if}
      </div>
    </aside>
  </form>
</main>
