<script lang="ts">
  /** Shop: the feeler sets, blade by blade. */
  import { Refusal, answer, api, type BladeSet } from "../../api/client";
  import { Button, Check, Cross, Field, Form, PlaceFrame, Select } from "../../kit";
  import type { Items } from "../../kit/items";
  import { shopState } from "../../state/shop.svelte";

  void shopState.load();

  type State = "sound" | "bent" | "broken";
  interface Row {
    marked: string;
    measured: string;
    state: State;
  }
  let chosen = $state<number | null>(null);
  let name = $state("");
  let stacking = $state(true);
  let rows = $state<Row[]>([]);
  let added = $state("");
  let refusal = $state<Refusal | null>(null);
  let saved = $state(false);
  const sets = $derived(shopState.shop?.blade_sets ?? []);

  function edit(set: BladeSet | null): void {
    chosen = set?.id ?? null;
    name = set?.name ?? "";
    stacking = set?.stacking ?? true;
    rows = (set?.blades ?? []).map((blade) => ({
      marked: blade.marked.mm,
      measured: blade.measured?.mm ?? "",
      state: blade.state,
    }));
    refusal = null;
    saved = false;
  }
  let begun = false;
  $effect(() => {
    if (begun || !shopState.shop) return;
    begun = true;
    edit(sets[0] ?? null);
  });

  function add(): void {
    // several at once, as they are read off the set: 0.05 0.10 0.15
    const marks = added
      .trim()
      .split(/[\s;]+/)
      .filter(Boolean);
    rows = [
      ...rows,
      ...marks.map((marked): Row => ({ marked, measured: "", state: "sound" })),
    ].sort((a, b) => Number(a.marked.replace(",", ".")) - Number(b.marked.replace(",", ".")));
    added = "";
  }

  async function save(): Promise<void> {
    if (added.trim()) add();
    const body = {
      name,
      stacking,
      blades: rows.map((row) => ({ ...row, measured: row.measured.trim() || null })),
    };
    try {
      shopState.shop = await answer(
        chosen === null
          ? api.POST("/api/blade-sets", { body })
          : api.PUT("/api/blade-sets/{set_id}", { params: { path: { set_id: chosen } }, body }),
      );
      chosen = shopState.shop.blade_sets.find((set) => set.name === name.trim())?.id ?? chosen;
      [refusal, saved] = [null, true];
    } catch (error) {
      refusal = error as Refusal;
    }
  }
  // instruments, turning by hand, the wrench ---------------------------------------------
  let instrument = $state("");
  let doubt = $state("0.004");
  let turns = $derived(String(shopState.shop?.hand_turns ?? 2));
  const WRENCHES = ["N·m", "lbf·ft", "lbf·in"] as const;
  let wrench = $derived((shopState.shop?.wrench ?? "N·m") as (typeof WRENCHES)[number]);
  let said = $state("");
  async function tell(
    call: Parameters<typeof answer<NonNullable<typeof shopState.shop>>>[0],
  ): Promise<void> {
    try {
      shopState.shop = await answer(call);
      said = "Saved.";
    } catch (error) {
      said = (error as Refusal).sentence;
    }
  }

  const states: Items<State> = [
    "sound",
    { value: "bent", label: "bent, out of use" },
    { value: "broken", label: "broken, out of use" },
  ];
</script>

<PlaceFrame title="Shop" refusal={shopState.refusal} onretry={() => shopState.load()}>
  <h2 class="border-ink border-t-2 pt-2 text-lg">Feeler sets</h2>
  <div class="mt-2 grid grid-cols-[15rem_minmax(0,1fr)] gap-8 max-md:grid-cols-1">
    <div>
      <ul class="border-line border-t">
        {#each sets as set (set.id)}
          <li class="border-line border-b">
            <button
              type="button"
              class="flex min-h-11 w-full items-center justify-between px-2 text-left {set.id ===
              chosen
                ? 'bg-ink text-paper'
                : 'hover:bg-sheet'}"
              aria-pressed={set.id === chosen}
              onclick={() => edit(set)}
            >
              <span class="truncate font-[560]">{set.name}</span>
              <span class="figures">{set.blades.filter((b) => b.state === "sound").length}</span>
            </button>
          </li>
        {/each}
      </ul>
      <Button class="mt-3 w-full" onclick={() => edit(null)}>A new set</Button>
    </div>
    <Form {refusal} onsend={save}>
      <div class="flex flex-wrap items-end gap-4">
        <Field label="Name" class="min-w-52 flex-1" bind:value={name} at="name" />
        <Check label="two blades may be laid together" bind:checked={stacking} />
      </div>
      {#if rows.length === 0}
        <p class="text-soft py-2">No blade yet. Type their markings below, as on the set.</p>
      {/if}
      <ul class="grid grid-cols-2 gap-x-8 max-lg:grid-cols-1">
        {#each rows as row, n (row.marked)}
          <li
            class="border-line grid grid-cols-[4.5rem_1fr_9.5rem_2.75rem] items-center gap-2 border-b py-1"
          >
            <span class="figures text-xl {row.state === 'sound' ? '' : 'text-soft line-through'}"
              >{row.marked}</span
            >
            <label>
              <span class="sr-only">Measured thickness of {row.marked}</span>
              <input
                class="field figures"
                inputmode="decimal"
                placeholder="measured"
                bind:value={row.measured}
              />
            </label>
            <Select
              label="State of {row.marked}"
              shown={false}
              value={row.state}
              items={states}
              onchange={(state) => (row.state = state)}
            />
            <Button
              kind="bare"
              class="px-0"
              aria-label="Take {row.marked} out of the set"
              onclick={() => (rows = rows.filter((_, at) => at !== n))}
            >
              <Cross />
            </Button>
          </li>
        {/each}
      </ul>
      <div class="flex gap-2">
        <Field
          label="Add blades, mm"
          class="flex-1"
          kind="figures"
          bind:value={added}
          placeholder="0.05 0.10 0.15"
          onkeydown={(event) => {
            if (event.key !== "Enter" || !added.trim()) return;
            event.preventDefault();
            add();
          }}
        />
        <Button class="self-end" onclick={add}>Add</Button>
      </div>
      {#snippet foot()}
        <div class="flex items-center gap-4">
          <Button kind="now" type="submit" class="min-h-12 text-lg">Save the set</Button>
          {#if saved}<span role="status">Saved.</span>{/if}
        </div>
      {/snippet}
    </Form>
  </div>
  <div class="border-ink mt-8 grid grid-cols-2 gap-8 border-t-2 pt-2 max-md:grid-cols-1">
    <section aria-labelledby="instruments">
      <h2 id="instruments" class="text-lg">Micrometers and callipers</h2>
      <ul>
        {#each shopState.shop?.instruments ?? [] as one (one.id)}
          <li class="border-line flex min-h-11 items-center justify-between border-b">
            <span>{one.name}</span><span class="figures">±{one.doubt.mm} mm</span>
          </li>
        {/each}
      </ul>
      <Form
        class="mt-2 flex items-end gap-2"
        onsend={() => {
          const added = tell(api.POST("/api/instruments", { body: { name: instrument, doubt } }));
          instrument = "";
          return added;
        }}
      >
        <Field label="One more" class="flex-1" bind:value={instrument} />
        <Field label="Good to ±" class="w-28" kind="figures" bind:value={doubt} />
        <Button type="submit">Add it</Button>
      </Form>
    </section>
    <section aria-labelledby="closing">
      <h2 id="closing" class="text-lg">Closing up</h2>
      <Form
        class="flex items-end gap-2"
        onsend={() =>
          tell(api.PUT("/api/shop/closing", { body: { hand_turns: Number(turns) || 0, wrench } }))}
      >
        <Field label="Full turns by hand" class="w-44" kind="whole" bind:value={turns} />
        <div class="flex-1">
          <Select
            label="The wrench reads"
            value={wrench}
            items={WRENCHES}
            onchange={(to) => (wrench = to)}
          />
        </div>
        <Button type="submit">Save</Button>
      </Form>
      {#if said}<p class="pt-2" role="status">{said}</p>{/if}
    </section>
  </div>
</PlaceFrame>
