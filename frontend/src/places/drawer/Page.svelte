<script lang="ts">
  /** Drawer: every piece in its pocket, so that a gap in the assortment is seen. */
  import type { Condition, Family } from "../../api/client";
  import { Button, Dialog, Field, Form, ToggleGroup, PlaceFrame, Tabs } from "../../kit";
  import { DrawerState } from "./drawer.svelte";
  import FamilyForm from "./FamilyForm.svelte";
  import Season from "./Season.svelte";
  import PocketFace from "./PocketFace.svelte";
  import PocketPanel from "./PocketPanel.svelte";

  const state_ = new DrawerState();
  void state_.load();

  let chosen = $state<number | null>(null);
  let picked = $state<number | null>(null);
  let text = $state("");
  let condition = $state<Condition>("sound");
  let editing = $state(false);
  let isNew = $state(false);
  const families = $derived(state_.drawer?.families ?? []);
  const family = $derived(
    families.find((one) => one.id === chosen) ??
      families.reduce<Family | undefined>(
        (most, one) => (most && most.pieces >= one.pieces ? most : one),
        undefined,
      ),
  );
  /** All sizes, or just those about what the shop has. */
  let all = $state(false);
  const usual = $derived((family?.pockets ?? []).filter((one) => one.usual));
  const shown = $derived(all || usual.length === 0 ? (family?.pockets ?? []) : usual);
  const pocket = $derived(family?.pockets.find((one) => one.nominal.nm === picked) ?? null);
  const orders = $derived(
    (state_.drawer?.orders ?? []).filter((order) =>
      order.lines.some((line) => line.state === "ready" || line.state === "back-ordered"),
    ),
  );
  const low = $derived(family?.pockets.filter((one) => one.low).length ?? 0);

  function edit(anew: boolean): void {
    [isNew, editing] = [anew, true];
  }
  async function add(): Promise<void> {
    if (family && text.trim() && (await state_.add(family.id, text, condition))) text = "";
  }
  async function readFile(event: Event): Promise<void> {
    const field = event.currentTarget as HTMLInputElement;
    const file = field.files?.[0];
    if (file) await state_.read(await file.text());
    field.value = "";
  }
</script>

<PlaceFrame
  title="Drawer"
  wide="max-w-[1240px]"
  refusal={state_.drawer ? null : state_.refusal}
  onretry={() => state_.load()}
>
  {#snippet acts()}
    <Button href="/api/drawer.csv" kind="bare">Save as CSV</Button>
    <label
      class="hover:border-line focus-within:outline-now inline-flex min-h-11 cursor-pointer items-center border border-transparent px-3.5 font-[560] focus-within:outline-3"
    >
      Read a CSV
      <input type="file" accept=".csv,text/csv" class="sr-only" onchange={readFile} />
    </label>
    <Button onclick={() => edit(true)}>A new family</Button>
  {/snippet}
  {#if !state_.drawer}
    <p class="text-soft my-4">Pulling the drawer out…</p>
  {:else if !family}
    <p class="my-4">
      No family yet. Add an engine, or a family by hand: its diameter and the sizes it is made in.
    </p>
  {:else}
    <Tabs
      label="Families"
      items={families}
      name={(one) => String(one.id)}
      value={String(family.id)}
      onchange={(one) => {
        chosen = one.id;
        picked = null;
      }}
    >
      {#snippet tab(one, here)}
        <b class="block">{one.name}</b>
        <span class="figures text-fine {here ? '' : 'text-soft'}">{one.pieces} in the drawer</span>
      {/snippet}
      <div class="mt-3 grid grid-cols-[minmax(0,1fr)_19rem] gap-6 max-lg:grid-cols-1">
        <section aria-label="Pockets of {family.name}">
          <Form onsend={add} class="flex flex-wrap items-end gap-2">
            <Field
              label="Put in: markings, thicknesses, how many"
              class="min-w-56 flex-1"
              kind="figures"
              input="text-xl"
              id="put-in"
              bind:value={text}
              placeholder="275x3, 2.801, 290 2.897"
              autocomplete="off"
              invalid={state_.refusal?.field === "shim" || state_.refusal?.field === "text"}
            />
            <ToggleGroup
              label="They are"
              value={condition}
              items={["sound", "worn"]}
              onchange={(to) => (condition = to)}
            />
            <Button kind="now" type="submit" class="min-h-[46px]">Put in</Button>
          </Form>
          <p class="min-h-6 pt-1 text-note leading-5" role="status">
            {#if state_.refusal}<span class="text-tight font-[560]">{state_.refusal.sentence}</span>
            {:else if state_.said}{state_.said}
            {:else}<span class="text-soft"
                >{family.in_engines} in engines, {family.on_trays} on the trays of open jobs, {family.on_order}
                on order{low ? `; ${low} sizes are low` : ""}.</span
              >{/if}
          </p>
          <div
            class="border-ink mt-1 grid border-t-2 border-l"
            style:grid-template-columns="repeat(auto-fill, minmax(54px, 1fr))"
          >
            {#each shown as one (one.nominal.nm)}
              <PocketFace
                pocket={one}
                chosen={one.nominal.nm === picked}
                onpick={() => (picked = one.nominal.nm)}
              />
            {/each}
          </div>
          {#if usual.length > 0 && usual.length < family.pockets.length}
            <Button kind="bare" class="mt-1" onclick={() => (all = !all)}
              >{all
                ? "Only sizes about what is here"
                : `All ${family.pockets.length} sizes`}</Button
            >
          {/if}
          <Season family_id={family.id} />
        </section>
        <aside class="flex flex-col gap-5">
          {#if pocket}
            <section aria-label="The pocket">
              <PocketPanel state={state_} family_id={family.id} {pocket} />
            </section>
          {:else}
            <p class="text-soft">Tap a pocket to see its shims, count them or take one out.</p>
          {/if}
          <section class="border-line border-t pt-2 text-note leading-6">
            <h2 class="text-lg">{family.name}</h2>
            <p>
              {family.runs.length
                ? `Made ${family.runs
                    .map((run) => `${run.low.mm} to ${run.high.mm} by ${run.step.mm}`)
                    .join(", ")}.`
                : "The sizes it is made in are not entered."}
            </p>
            <p>
              {family.price ? `${family.price} each` : "No price known"}{family.kit_price
                ? `, a kit of ${family.kit_each} each ${family.kit_price}`
                : ""}{family.supplier ? `, at ${family.supplier}` : ""}.
            </p>
            {#if family.used_by.length}<p class="text-soft">
                Fits {family.used_by.join("; ")}{family.users > family.used_by.length
                  ? ` and ${family.users - family.used_by.length} more`
                  : ""}.
              </p>{/if}
            <Button class="mt-1" onclick={() => edit(false)}>Change the family</Button>
          </section>
          {#if orders.length}
            <section class="border-line border-t pt-2" aria-label="On order">
              <h2 class="text-lg">On order</h2>
              {#each orders as order (order.id)}
                {#each order.lines.filter( (line) => ["ready", "back-ordered"].includes(line.state) ) as line (line.id)}
                  <div class="flex min-h-11 items-center gap-2">
                    <b class="figures">{line.count} × {line.thickness.mm}</b>
                    <span class="flex-1 text-fine"
                      >{order.number}{line.days ? `, ${line.days} days` : ""}</span
                    >
                    <Button onclick={() => void state_.receive(line.id)}>It is here</Button>
                  </div>
                {/each}
              {/each}
            </section>
          {/if}
        </aside>
      </div>
    </Tabs>
  {/if}
</PlaceFrame>

<Dialog bind:open={editing} title={isNew ? "A new family" : (family?.name ?? "Family")}>
  {#if editing}
    <FamilyForm
      state={state_}
      family={isNew ? null : (family ?? null)}
      ondone={() => (editing = false)}
    />
  {/if}
</Dialog>
