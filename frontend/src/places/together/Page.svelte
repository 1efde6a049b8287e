<script lang="ts">
  /** Open cards that wait for their pieces, planned at once over the one drawer. */
  import { type Schemas, answer, api, newKey } from "../../api/client";
  import { act, send } from "../../api/acts";
  import { Button, Notice, PlaceFrame } from "../../kit";
  import { Attempt } from "../../state/attempt.svelte";
  import { preferences } from "../../state/preferences.svelte";

  type Share = Schemas["CardTogetherOut"];

  const attempt = new Attempt();
  const taking = new Attempt();
  let plan = $state.raw<Schemas["TogetherOut"] | null>(null);
  let done = $state<readonly string[]>([]);
  let busy = $state(false);

  async function load(): Promise<void> {
    await attempt.at(async () => {
      plan = await answer(api.GET("/api/together"));
    });
  }
  async function take(share: Share): Promise<void> {
    busy = true;
    const taken = send(share.card_id, act("take-shared-plan", {}), share.version, newKey());
    if (await taking.at(() => answer(taken))) done = [...done, share.label];
    await load();
    busy = false;
  }
  const from: Record<Share["moves"][number]["source"], string> = {
    same: "stays",
    engine: "out of",
    drawer: "from the drawer",
    counter: "to buy",
  };
  void load();
</script>

<PlaceFrame title="Planned together" refusal={plan ? null : attempt.refusal} onretry={load}>
  {#snippet acts()}
    <Button onclick={() => print()}>Print</Button>
  {/snippet}
  {#if plan}
    <p class="my-3 max-w-[44rem] leading-6">
      Each card alone would take what suits it best from the drawer, and two would count on the same
      shim. Here every shim is promised once.
    </p>
    {#if taking.refusal}<Notice>{taking.refusal.sentence}</Notice>{/if}
    {#if done.length}
      <p class="py-1" role="status">
        Decided: {done.join(", ")}. What came out of the drawer lies on its tray now.
      </p>
    {/if}
    {#if plan.cards.length === 0}
      <p class="text-soft border-ink border-t-2 py-6">
        {done.length
          ? "No other card waits for its shims."
          : "No open card waits for its shims. A card does once its gaps are felt and its shims are read."}
      </p>
    {:else}
      <p class="text-soft py-1">
        {plan.cards.length === 1 ? "1 card" : `${plan.cards.length} cards`};
        {plan.to_buy === 0
          ? "nothing to buy"
          : plan.to_buy === 1
            ? "1 shim to buy"
            : `${plan.to_buy} shims to buy`}.
      </p>
    {/if}
    {#each plan.cards as share (share.card_id)}
      <section class="border-ink mb-8 border-t-2 pt-2" aria-label={share.label}>
        <div class="flex flex-wrap items-center justify-between gap-3">
          <h2 class="text-lg">
            <a class="underline underline-offset-4" href="/cards/{share.card_id}/choose"
              >{share.label}</a
            >
          </h2>
          <Button kind="now" disabled={busy} onclick={() => void take(share)}
            >Decide so on this card</Button
          >
        </div>
        {#if share.out_of_spec.length}
          <p class="my-1">
            <b>{share.out_of_spec.join(", ")}</b> cannot be brought in with what there is.
          </p>
        {/if}
        {#if share.moves.length === 0}
          <p class="text-soft py-2">Every shim stays where it is.</p>
        {:else}
          <div class="relative overflow-x-auto">
            <table class="w-full min-w-[34rem] table-fixed">
              <thead>
                <tr class="text-soft text-left">
                  <th scope="col" class="py-1 pr-4 font-normal">valve</th>
                  <th scope="col" class="py-1 pr-4 font-normal">gets</th>
                  <th scope="col" class="py-1 pr-4 font-normal">from</th>
                  <th scope="col" class="py-1 pr-4 font-normal">gap then</th>
                  <th scope="col" class="py-1 font-normal"><span class="sr-only">Remark</span></th>
                </tr>
              </thead>
              <tbody>
                {#each share.moves as move (move.valve)}
                  <tr class="border-line border-t">
                    <th scope="row" class="py-2 pr-4 text-left font-[620]">{move.valve}</th>
                    <td class="figures py-2 pr-4">{move.thickness?.mm ?? ""}</td>
                    <td class="py-2 pr-4"
                      >{from[move.source]}{move.from_valve ? ` ${move.from_valve}` : ""}</td
                    >
                    <td class="figures py-2 pr-4"
                      >{move.provisional
                        ? "to be felt"
                        : move.gap
                          ? preferences.read(move.gap)
                          : ""}</td
                    >
                    <td class="text-soft py-2"
                      >{share.otherwise.includes(move.valve)
                        ? "alone it would take another"
                        : ""}</td
                    >
                  </tr>
                {/each}
              </tbody>
            </table>
          </div>
        {/if}
      </section>
    {/each}
  {:else}
    <p class="text-soft">Planning…</p>
  {/if}
</PlaceFrame>
