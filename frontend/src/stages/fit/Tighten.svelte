<script lang="ts">
  /** The tightening picture: bolts as they lie, the one to turn now, how hard, and what follows. */
  import { act } from "../../api/acts";
  import type { Schemas } from "../../api/client";
  import { answer, api, Refusal } from "../../api/client";
  import { Button, Dialog, Field, Form, Notice, Select } from "../../kit";
  import { untrack } from "svelte";
  import type { Job } from "../../card/job.svelte";
  import { Edits } from "../../card/edits.svelte";

  let { job }: { job: Job } = $props();

  type Unit = Schemas["TorqueUnit"];
  type Bolts = Schemas["BoltsOut"];
  const groups = new Edits<readonly Bolts[]>(
    untrack(() => job),
    () => job.card?.bolts ?? [],
  );
  const laid = $derived(groups.value);
  let chosen = $state<string | null>(null);
  const bolts = $derived(laid.find((one) => one.name === chosen) ?? laid[0] ?? null);
  const many = $derived(bolts?.places.length ?? 0);
  const shimsFirst = $derived(job.card?.fit.some((one) => !one.fitted) ?? false);
  const done = $derived(bolts !== null && bolts.turned >= bolts.turns);
  const stage = $derived(bolts && many ? Math.min(2, Math.floor(bolts.turned / many)) : 0);
  const at = $derived(bolts && many ? bolts.turned % many : 0);
  const now = $derived(bolts && !done ? bolts.order[at] : null);
  const turnOf = $derived(new Map((bolts?.order ?? []).map((bolt, n) => [bolt, n])));

  /** So many more bolts are turned, or fewer; every tap counts, however fast they come. */
  function turn({ name }: Bolts, by: number): void {
    const turnedBy = (one: Bolts): Bolts => ({
      ...one,
      turned: Math.max(0, Math.min(one.turns, one.turned + by)),
    });
    void groups.edit(
      (all) => all.map((one) => (one.name === name ? turnedBy(one) : one)),
      (all) => act("tighten", { name, turned: all.find((one) => one.name === name)?.turned ?? 0 }),
    );
  }

  /** A dot for each bolt, drawn in a picture of so many units. */
  const WIDE = 420;
  const TALL = 190;
  const x = (part: number): number => 24 + part * (WIDE - 48);
  const y = (part: number): number => 22 + part * (TALL - 44);

  // laying bolts out ------------------------------------------------------------------
  let open = $state(false);
  let name = $state("Cam caps");
  let from = $state("grid");
  let rows = $state("2");
  let columns = $state("4");
  let torque = $state("");
  let unit = $state<Unit>("N·m");
  let thread = $state<Schemas["Thread"]>("M6");
  let order = $state("");
  let said = $state<Schemas["TorqueOut"] | null>(null);
  let wrong = $state<string | null>(null);
  const tray = $derived((job.card?.tray ?? []).filter((part) => part.pockets.length > 1));
  const UNITS = ["N·m", "lbf·ft", "lbf·in"] as const;
  const THREADS = ["M5", "M6", "M7", "M8", "M10"] as const;

  async function look(): Promise<void> {
    try {
      said = torque.trim()
        ? await answer(api.POST("/api/torque", { body: { torque, unit, thread } }))
        : null;
      wrong = null;
    } catch (error) {
      said = null;
      wrong = (error as Refusal).sentence;
    }
  }
  $effect(() => {
    if (open) void [torque, unit, thread, look()];
  });

  function places(): [number, number][] {
    const part = tray.find((one) => one.name === from);
    if (part) return part.pockets.map((one): [number, number] => [one.x, one.y]);
    const [down, along] = [Math.round(Number(rows)) || 1, Math.round(Number(columns)) || 1];
    return Array.from({ length: down * along }, (_, n): [number, number] => [
      ((n % along) + 0.5) / along,
      (Math.floor(n / along) + 0.5) / down,
    ]);
  }
  async function lay(): Promise<void> {
    const numbers = order.trim()
      ? order
          .trim()
          .split(/[\s,;/]+/)
          .map((one) => Math.round(Number(one)) || 0)
      : null;
    const title = tray.some((one) => one.name === from) ? from : name;
    const bolts = { name: title, places: places(), torque, unit, thread, order: null, numbers };
    if (await job.act(act("bolts", bolts))) {
      chosen = title.trim();
      open = false;
    }
  }
</script>

<section
  class="border-ink bg-sheet flex min-h-0 shrink-0 gap-4 border-t p-3 max-md:flex-col max-md:gap-2 max-md:p-2"
  aria-label="Tightening"
>
  {#if bolts}
    <svg
      viewBox="0 0 {WIDE} {TALL}"
      class="min-w-0 flex-1 max-md:max-h-40"
      role="img"
      aria-label="{bolts.name}: {done ? 'all turned' : `bolt ${(now ?? 0) + 1} now`}"
    >
      <rect
        x="4"
        y="4"
        width={WIDE - 8}
        height={TALL - 8}
        fill="none"
        stroke="var(--line)"
        stroke-width="1.2"
      />
      {#if now !== null && now !== undefined && at + 1 < many}
        {@const next = bolts.order[at + 1] ?? 0}
        <path
          d="M{x(bolts.places[now]?.[0] ?? 0)} {y(bolts.places[now]?.[1] ?? 0)}L{x(
            bolts.places[next]?.[0] ?? 0,
          )} {y(bolts.places[next]?.[1] ?? 0)}"
          stroke="var(--rule)"
          stroke-dasharray="4 3"
        />
      {/if}
      {#each bolts.places as place, n (n)}
        {@const turned = done || (turnOf.get(n) ?? 0) < at}
        {@const here = n === now}
        <g transform="translate({x(place[0] ?? 0)} {y(place[1] ?? 0)})">
          <path
            d="M15 0L7.5 13H-7.5L-15 0L-7.5-13H7.5Z"
            class={here
              ? "fill-now stroke-now"
              : turned
                ? "fill-ink stroke-ink"
                : "fill-paper stroke-ink"}
            stroke-width="1.5"
          />
          <text
            text-anchor="middle"
            dy="0.36em"
            class="figures text-fine {here ? 'fill-on-now' : turned ? 'fill-paper' : 'fill-ink'}"
            >{(turnOf.get(n) ?? 0) + 1}</text
          >
        </g>
      {/each}
    </svg>
    <div class="flex w-[330px] shrink-0 flex-col gap-1.5 max-md:w-full">
      <div class="flex items-center gap-1">
        {#each laid as one (one.name)}
          <button
            type="button"
            class="min-h-11 border-b-2 px-2 font-[560] {one.name === bolts.name
              ? 'border-ink'
              : 'text-soft border-transparent'}"
            aria-pressed={one.name === bolts.name}
            onclick={() => (chosen = one.name)}>{one.name}</button
          >
        {/each}
        {#if !job.signed}
          <Button kind="bare" class="ml-auto" onclick={() => (open = true)}>Lay out bolts</Button>
        {/if}
      </div>
      <p class="flex items-baseline justify-between">
        {#if done}
          <b class="text-[22px]">All turned</b>
        {:else}
          <span
            ><b class="text-[22px]">{bolts.stages[stage]?.name}</b>
            <span class="text-soft">stage {stage + 1} of 3</span></span
          >
        {/if}
        <b class="figures text-[26px]">{done ? "" : (bolts.stages[stage]?.torque ?? "")}</b>
      </p>
      <p class="text-soft text-fine leading-[18px]">
        {bolts.by_maker ? "The manual’s order." : "From the middle outwards, crosswise."}
        {bolts.torque ? Object.values(bolts.torque.words).join(" = ") : "No torque noted."}
        {bolts.thread}
      </p>
      {#if bolts.torque?.doubt}
        <p class="border-tight border-l-4 pl-2 text-fine leading-[18px]">{bolts.torque.doubt}</p>
      {/if}
      {#if !job.signed}
        <div class="mt-auto grid grid-cols-[1fr_auto] gap-1.5">
          <Button
            kind={done || shimsFirst ? "plain" : "now"}
            class="min-h-12 text-lg"
            disabled={done}
            onclick={() => turn(bolts, 1)}>{done ? "Done" : `Turned, ${at + 1} of ${many}`}</Button
          >
          <Button
            disabled={bolts.turned === 0}
            aria-label="Back by one bolt"
            onclick={() => turn(bolts, -1)}>Back</Button
          >
          {#if !done}
            <Button class="col-span-2" onclick={() => turn(bolts, many - at)}
              >All {many} turned in this stage</Button
            >
          {/if}
        </div>
      {/if}
    </div>
  {:else}
    <p class="text-soft flex-1 self-center">
      Lay the bolts out as they are and the order to turn them shows, stage by stage.
    </p>
    {#if !job.signed}
      <Button class="self-center" onclick={() => (open = true)}>Lay out bolts</Button>
    {/if}
  {/if}
</section>

<Dialog bind:open title="Bolts to tighten">
  <Form onsend={lay} refusal={job.refusal} class="grid grid-cols-2 gap-3">
    <div class="col-span-2">
      <Select
        label="Where they lie"
        value={from}
        items={[
          { value: "grid", label: "in rows" },
          ...tray.map((part) => ({
            value: part.name,
            label: `as in the tray: ${part.name}, ${part.pockets.length}`,
          })),
        ]}
        onchange={(to) => (from = to)}
      />
    </div>
    {#if from === "grid"}
      <Field label="They hold" class="col-span-2" bind:value={name} />
      <Field label="Rows" kind="whole" bind:value={rows} />
      <Field label="Bolts in a row" kind="whole" bind:value={columns} />
    {/if}
    <Field label="Torque from the manual" kind="decimal" bind:value={torque} />
    <Select label="In" value={unit} items={UNITS} onchange={(to) => (unit = to)} />
    <Select label="Thread" value={thread} items={THREADS} onchange={(to) => (thread = to)} />
    <p class="figures self-end text-note leading-5" role="status">
      {#if said}{Object.values(said.words).join(" = ")}{/if}
    </p>
    {#if said?.doubt}
      <div class="border-now bg-wash col-span-2 border-l-4 py-2 pl-3">
        <p>{said.doubt}</p>
        {#if said.likely && said.likely_unit}
          {@const likely = said.likely_unit}
          <Button kind="now" onclick={() => (unit = likely)}>It is {said.likely}</Button>
        {/if}
      </div>
    {/if}
    {#if wrong}<Notice class="col-span-2">{wrong}</Notice>{/if}
    <Field
      label="The numbers beside the bolts, row by row, if the manual gives an order"
      class="col-span-2"
      kind="figures"
      bind:value={order}
      placeholder="5 3 1 2 4 6"
    />
    {#snippet foot()}
      <Button kind="now" type="submit" class="col-span-2 min-h-12 text-lg">Lay them out</Button>
    {/snippet}
  </Form>
</Dialog>
