<script lang="ts">
  /** Shop: the feeler sets, the instruments, the habits. */
  import { type Refusal, answer, api } from "../../api/client";
  import { Button, Field, Form, PlaceFrame, Select } from "../../kit";
  import { Draft } from "../../state/draft.svelte";
  import { shopState } from "../../state/shop.svelte";
  import Blades from "./Blades.svelte";
  import Copies from "./Copies.svelte";
  import Keys from "./Keys.svelte";
  import People from "./People.svelte";

  void shopState.load();

  // instruments, turning by hand, the wrench ---------------------------------------------
  let instrument = $state("");
  let doubt = $state("0.004");
  const kept = () => shopState.shop;
  const name = new Draft(() => kept()?.name ?? "");
  const turns = new Draft(() => String(kept()?.hand_turns ?? 2));
  const roundCost = new Draft(() => kept()?.round_cost ?? "");
  const sure = new Draft(() => String(kept()?.sure ?? 90));
  /** What Practice found, where one comes from there to take it over; nothing is saved by that. */
  const found = new URLSearchParams(location.search).get("hand") ?? "";
  const brought = /^0\.0\d{1,3}$/.test(found) ? found : "";
  const hand = new Draft(() => brought || (kept()?.hand?.mm ?? ""));
  const WRENCHES = ["N·m", "lbf·ft", "lbf·in"] as const;
  const wrench = new Draft(() => (kept()?.wrench ?? "N·m") as (typeof WRENCHES)[number]);
  let said = $state("");
  let named = $state("");
  $effect(() => {
    if (brought && shopState.shop) document.getElementById("hand")?.focus();
  });
  /** Nothing is sent: every setting stays as it is. */
  const STAYS = {
    name: null,
    hand_turns: null,
    wrench: null,
    round_cost: null,
    sure: null,
    hand: null,
  } as const;
  type Call = Parameters<typeof answer<NonNullable<typeof shopState.shop>>>[0];
  /** Send something of the shop's; what came of it, in a sentence. */
  async function tell(call: Call): Promise<string> {
    try {
      shopState.shop = await answer(call);
      return "Saved.";
    } catch (error) {
      return (error as Refusal).sentence;
    }
  }
  async function rename(): Promise<void> {
    await name.save(async (to) => {
      named = await tell(api.PUT("/api/shop/closing", { body: { ...STAYS, name: to } }));
      return named === "Saved.";
    });
  }
  /** What was not touched is not sent, and stays. */
  async function save(): Promise<void> {
    const body = {
      ...STAYS,
      ...(turns.changed ? { hand_turns: Number(turns.value) || 0 } : {}),
      ...(wrench.changed ? { wrench: wrench.value } : {}),
      ...(roundCost.changed ? { round_cost: roundCost.value } : {}),
      ...(sure.changed ? { sure: Number(sure.value) || 0 } : {}),
      ...(hand.changed || brought ? { hand: hand.value } : {}),
    };
    const sent = tell(api.PUT("/api/shop/closing", { body })).then((came) => {
      said = came;
      return came === "Saved.";
    });
    await Promise.all([turns, roundCost, sure, hand].map((one) => one.save(() => sent)));
    await wrench.save(() => sent);
  }
</script>

<PlaceFrame title="Shop" refusal={shopState.refusal} onretry={() => shopState.load()}>
  {#snippet acts()}<Button href="/history/shop/1">What happened</Button>{/snippet}
  <Form class="flex max-w-xl items-end gap-2 pb-4" onsend={rename}>
    <Field
      label="Name of the shop"
      class="flex-1"
      bind:value={name.value}
      help="It stands at the top of the bench, on every sheet, and in the files that go to others."
    />
    <Button type="submit" kind={name.changed ? "now" : "plain"}>Save the name</Button>
    {#if named}<span class="pb-2" role="status">{named}</span>{/if}
  </Form>
  <Blades />
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
          const added = instrument;
          instrument = "";
          void tell(api.POST("/api/instruments", { body: { name: added, doubt } })).then((came) => {
            said = came;
            if (came !== "Saved." && !instrument) instrument = added;
          });
        }}
      >
        <Field label="One more" class="flex-1" bind:value={instrument} />
        <Field label="Good to ±" class="w-28" kind="figures" bind:value={doubt} />
        <Button type="submit">Add it</Button>
      </Form>
    </section>
    <section aria-labelledby="closing">
      <h2 id="closing" class="text-lg">Closing up, and how sure is sure</h2>
      <Form class="grid grid-cols-2 items-end gap-2" onsend={save}>
        <Field label="Full turns by hand" kind="whole" bind:value={turns.value} />
        <Select
          label="The wrench reads"
          value={wrench.value}
          items={WRENCHES}
          onchange={(to) => (wrench.value = to)}
        />
        <Field
          label="Another round costs"
          kind="decimal"
          bind:value={roundCost.value}
          placeholder="as 30 shims"
          help="What going round again costs the shop, in the money of its prices: hours, the second order. The plan weighs it against the price of pieces. Left empty it is taken as the price of thirty singles."
        />
        <Field
          label="Sure enough from, %"
          kind="whole"
          bind:value={sure.value}
          help="A piece at least this likely to pass is sure enough to lean to the shop’s aim. Below it a valve is named as doubtful."
        />
        <Field
          label="A hand feels one gap alike within, mm"
          class="col-span-2"
          kind="decimal"
          id="hand"
          bind:value={hand.value}
          placeholder="as usual, 0.004"
          help="How differently the hand here feels the same gap from time to time. More: chances get smaller, more valves are to be measured finer, fewer pieces are sure enough. All open cards are judged by it from then on; a reading stays what it is."
        />
        {#if brought && shopState.shop?.hand?.mm !== brought}
          <p class="border-now bg-wash col-span-2 border-l-4 py-1 pl-3 leading-5">
            {brought} comes from Practice, where the engine, its light and part of its hand are made up.
            Measure one real gap ten times first: if those differ by more, write that.
          </p>
        {/if}
        <Button type="submit" class="col-span-2">Save</Button>
      </Form>
      {#if said}<p class="pt-2" role="status">{said}</p>{/if}
    </section>
  </div>
  <People />
  <Copies />
  <Keys />
</PlaceFrame>
