<script lang="ts">
  /** The end of a lesson: what was true, beside what was written. */
  import { untrack } from "svelte";
  import { type Schemas, answer, api } from "../api/client";
  import { Button, PlaceFrame } from "../kit";
  import { VERDICT_WORDS } from "../kit/verdicts";
  import { Attempt } from "../state/attempt.svelte";
  import { preferences } from "../state/preferences.svelte";

  let { id }: { id: number } = $props();

  const attempt = new Attempt();
  let score = $state.raw<Schemas["ScoreOut"] | null>(null);
  const params = { path: { card_id: untrack(() => id) } };
  async function load(): Promise<void> {
    await attempt.at(async () => {
      score = await answer(api.POST("/api/practice/{card_id}/truth", { params }));
    });
  }
  /** What is said beside the true verdict: where another one was written down, why that is. */
  function beside(one: Schemas["ReadOut"]): string {
    if (one.honest) return ": your figure holds it, and more you could not know";
    if (one.right) return "";
    return one.said === "unsettled" ? ": outside your figure" : ": you judged otherwise";
  }
  void load();
</script>

<PlaceFrame
  title={score ? `The truth: ${score.title}` : "The truth"}
  refusal={score ? null : attempt.refusal}
  onretry={load}
>
  {#snippet acts()}
    <Button kind="now" href="/">All lessons</Button>
    <Button onclick={() => print()}>Print</Button>
  {/snippet}
  {#if score}
    <p class="my-3 max-w-[44rem] leading-6">{score.point}</p>
    <dl class="border-ink grid grid-cols-2 gap-x-6 border-t-2 py-3 sm:grid-cols-4">
      {#each [["Verdicts right", `${score.right} of ${score.reads.length}`], ["Truly in range now", `${score.in_spec} of ${score.valves}`], ["Blades tried", score.fewest ? `${score.tries}; ${score.fewest} would do` : `${score.tries}`], ["Rounds", `${score.rounds}`]] as [name, says] (name)}
        <div class="py-1">
          <dt class="text-soft">{name}</dt>
          <dd class="figures text-xl">{says}</dd>
        </div>
      {/each}
    </dl>
    {#if score.empty.length}
      <p class="py-1">
        <b>{score.empty.join(", ")}</b>: no shim was in. Such an engine is not turned.
      </p>
    {/if}
    {#if score.bolts}<p class="py-1">{score.bolts}</p>{/if}
    {#if score.slips.length}
      <p class="py-1">
        <b>{score.slips.join(", ")}</b>: off by more than 0.03. That is a slip, not feel.
      </p>
    {/if}
    {#if score.reads.length === 0}
      <p class="text-soft py-6">
        Nothing was written down, so there is nothing to hold the truth against.
      </p>
    {:else}
      <div class="relative overflow-x-auto">
        <table class="w-full">
          <thead>
            <tr class="text-soft text-left">
              {#each ["valve", "read", "true", "off by", "you judged", "it is"] as head (head)}
                <th scope="col" class="py-1 pr-4 font-normal">{head}</th>
              {/each}
            </tr>
          </thead>
          <tbody>
            {#each score.reads as one (`${one.valve}/${one.purpose}`)}
              <tr class="border-line border-t">
                <th scope="row" class="py-2 pr-4 text-left font-[620]"
                  >{one.valve}{one.purpose === "proof" ? ", proof" : ""}</th
                >
                <td class="figures py-2 pr-4">{preferences.read(one.gap)}</td>
                <td class="figures py-2 pr-4">{preferences.read(one.true)}</td>
                <td class="figures py-2 pr-4">{one.error ? preferences.read(one.error) : ""}</td>
                <td class="py-2 pr-4">{VERDICT_WORDS[one.said]}</td>
                <td class="py-2 {one.right ? '' : 'font-[680]'}"
                  >{VERDICT_WORDS[one.verdict]}{beside(one)}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
    {/if}
  {:else}
    <p class="text-soft">Opening it up…</p>
  {/if}
</PlaceFrame>
