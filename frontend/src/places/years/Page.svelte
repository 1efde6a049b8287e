<script lang="ts">
  /** An engine over the years: how each valve wears, what comes, and every check behind it. */
  import { answer, api, newKey } from "../../api/client";
  import HeadMini from "../../head/HeadMini.svelte";
  import { Button, Notice, PlaceFrame } from "../../kit";
  import { Attempt } from "../../state/attempt.svelte";
  import Even from "./Even.svelte";
  import Line from "./Line.svelte";
  import Notebook from "./Notebook.svelte";
  import { spanOf, type Years } from "./scale";
  import { dayWords } from "../../kit/days";
  import { grouped } from "../../kit/numbers";

  let { id }: { id: number } = $props();

  const attempt = new Attempt();
  let years = $state.raw<Years | null>(null);
  let noting = $state(false);
  const params = $derived({ path: { engine_id: id } });
  async function load(): Promise<void> {
    await attempt.at(async () => {
      years = await answer(api.GET("/api/engines/{engine_id}/years", { params }));
    });
  }
  async function takeBack(note_id: number): Promise<void> {
    await attempt.at(async () => {
      years = await answer(
        api.DELETE("/api/notebook/{note_id}", {
          params: { path: { note_id } },
          headers: { "Idempotency-Key": newKey() },
        }),
      );
    });
  }
  void load();

  const span = $derived(years ? spanOf(years) : 0);
  const sides = $derived(
    (["intake", "exhaust"] as const)
      .map((side) => ({ side, valves: years?.valves.filter((one) => one.side === side) ?? [] }))
      .filter((one) => one.valves.length),
  );
  const names = $derived(years?.valves.map((one) => one.valve) ?? []);
</script>

<PlaceFrame
  title={years ? `${years.label} over the years` : "Over the years"}
  wide="max-w-[1400px]"
  refusal={years ? null : attempt.refusal}
  onretry={load}
>
  {#snippet acts()}
    <Button href="/engines/{id}">The engine</Button>
    <Button onclick={() => (noting = true)}>Old notebook</Button>
  {/snippet}
  {#if years}
    {#if attempt.refusal}<Notice>{attempt.refusal.sentence}</Notice>{/if}
    <div class="border-ink flex items-start gap-6 border-t-2 pt-3 max-md:flex-col">
      <div class="h-24 w-40 shrink-0 max-md:hidden"><HeadMini drawing={years.drawing} /></div>
      <div class="min-w-0 flex-1">
        <p class="text-xl font-[620]">{years.next_check}</p>
        {#if years.due}<p>Due {years.due}.</p>{/if}
        {#each years.sentences as said (said)}<p class="leading-6">{said}</p>{/each}
        {#each years.beside as said (said)}<p class="text-soft leading-6">{said}</p>{/each}
        {#each years.cautions as said (said)}
          <p class="border-now my-1 border-l-4 pl-2 leading-6">{said}</p>
        {/each}
      </div>
    </div>
    {#if years.checks.length === 0}
      <p class="text-soft py-6">
        No check is signed yet. With two that say what the meter showed, wear begins to show. You
        can read in an old notebook.
      </p>
    {:else}
      {#each sides as group (group.side)}
        <h2 class="border-ink mt-5 border-t-2 pt-1.5 text-lg">
          {group.side === "intake" ? "Intakes" : "Exhausts"}
        </h2>
        <div
          class="grid grid-cols-[repeat(auto-fill,minmax(min(100%,290px),1fr))] gap-x-6 gap-y-4 pt-1"
        >
          {#each group.valves as one (one.valve)}<Line {years} {one} {span} />{/each}
        </div>
      {/each}
      <p class="text-soft py-2 text-note leading-5">
        Gap plus shim, over {years.counter_words}: full dots the gap before, open dots the gap
        after. The band is the allowed gap with the shim that is in, its strong edge the minimum.
        Blue marks are shim changes. The blue cone is where nine in ten would end up. Dotted lines
        are head work.
      </p>
      {#if years.even.length}
        <h2 class="border-ink mt-5 border-t-2 pt-1.5 text-lg">How even it was left</h2>
        <Even {years} />
        <p class="text-soft py-2 text-note leading-5">
          How far apart the gaps of twins, and of a whole side, were after each check. All are to
          one scale; the figure is the last.
        </p>
      {/if}
      <h2 class="border-ink mt-5 border-t-2 pt-1.5 text-lg">Every check</h2>
      <div class="relative overflow-x-auto">
        <table class="figures w-full text-note">
          <thead>
            <tr class="border-rule border-b text-left">
              <th class="py-1.5 pr-4 font-[620]">Day</th>
              <th class="pr-4 font-[620]">{years.counter_words}</th>
              {#each names as name (name)}<th class="pr-4 font-[620] whitespace-nowrap">{name}</th
                >{/each}
              <th class="no-print"><span class="sr-only">Where it stands</span></th>
            </tr>
          </thead>
          <tbody>
            {#each [...years.checks].reverse() as check, n (n)}
              <tr class="border-line border-b">
                <td class="py-1.5 pr-4 whitespace-nowrap"
                  >{check.on ? dayWords(check.on) : "–"}{check.new_life ? " · head work" : ""}</td
                >
                <td class="pr-4">{check.at == null ? "not noted" : grouped(check.at)}</td>
                {#each names as name (name)}
                  <td class="pr-4 whitespace-nowrap">{check.cells[name] ?? "–"}</td>
                {/each}
                <td class="no-print whitespace-nowrap">
                  {#if check.card !== null}
                    <a
                      class="inline-flex min-h-11 items-center underline underline-offset-4"
                      href="/cards/{check.card}/sign">Sheet</a
                    >
                  {:else if check.note !== null}
                    <Button
                      kind="bare"
                      onclick={() => check.note !== null && void takeBack(check.note)}
                      >Take back</Button
                    >
                  {/if}
                </td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      <p class="no-print flex flex-wrap gap-2 py-3">
        <Button href="/api/engines/{id}/past.json" kind="bare">History file</Button>
        <Button href="/api/engines/{id}/past.csv" kind="bare">CSV</Button>
        <Button onclick={() => print()} kind="bare">Print</Button>
      </p>
    {/if}
    <Notebook bind:open={noting} engine={id} onkept={(kept) => (years = kept)} />
  {:else}
    <p class="text-soft">Fetching its past…</p>
  {/if}
</PlaceFrame>
