<script lang="ts">
  /** Choose: for each valve to set, the sizes either side of the ideal and the one to take. */
  import type { Fitted, School } from "../../api/client";
  import Button from "../../kit/Button.svelte";
  import Select from "../../kit/Select.svelte";
  import { keys } from "../../kit/keys.svelte";
  import type { CardState } from "../card.svelte";
  import InHand from "../InHand.svelte";
  import NextStage from "../NextStage.svelte";
  import { ACTS, AIMS, ROUNDINGS } from "../schools";
  import Ladder from "./Ladder.svelte";

  let { job: card }: { job: CardState } = $props();

  /** The rung looked at, not yet taken, by valve. */
  let looking = $state<Record<string, number>>({});
  const valve = $derived(card.valve);
  const worked = $derived(valve?.worked ?? null);
  const at = $derived(
    (valve && looking[valve.valve]) ?? valve?.chosen?.nm ?? worked?.pick?.thickness.nm ?? null,
  );
  const rung = $derived(worked?.rungs.find((one) => one.thickness.nm === at) ?? null);
  const taken = $derived(valve?.chosen?.nm != null && valve.chosen.nm === at);

  function look(one: Fitted): void {
    if (valve) looking[valve.valve] = one.thickness.nm;
  }

  function step(by: number): void {
    if (!worked || !valve) return;
    const place = worked.rungs.findIndex((one) => one.thickness.nm === at);
    const next = worked.rungs[Math.min(worked.rungs.length - 1, Math.max(0, place + by))];
    if (next) look(next);
  }

  async function take(): Promise<void> {
    if (!valve || at === null || card.signed) return;
    await card.chooseAndGoOn(valve.valve, at);
  }

  $effect(() =>
    keys.register([
      { key: "Enter", says: "Choose: take the size shown, go to the next valve", act: take },
      { key: "+", says: "Choose: look at the next thicker size", act: () => step(1) },
      { key: "-", says: "Choose: look at the next thinner size", act: () => step(-1) },
    ]),
  );

  const school = $derived<School>({
    aim: card.card?.aim ?? "loose",
    rounding: card.card?.rounding ?? "nearest",
    act: card.card?.act ?? "out",
  });
  const named = (items: readonly { value: string; label: string }[], value: string): string =>
    items.find((item) => item.value === value)?.label ?? value;
  function lean(change: Partial<School>): void {
    looking = {};
    void card.lean({ ...school, ...change });
  }
</script>

{#if valve && card.card}
  <InHand
    {valve}
    gap={valve.found?.gap ?? null}
    verdict={valve.verdict}
    note={worked ? worked.conclusion : valve.reason}
    scale={false}
  />
  {#if worked}
    <Ladder {valve} chosen={at} onchoose={look} fixed={card.signed} />
    {#if card.refusal}<p class="text-tight font-[560]" role="alert">{card.refusal.sentence}</p>{/if}
    {#if !card.signed && at !== null}
      <div class="flex gap-2">
        {#if taken}
          <p class="bg-wash flex min-h-12 flex-1 items-center px-3 font-[620]">
            Taken: {valve.chosen?.mm}
          </p>
          <Button onclick={() => void card.choose(valve.valve, null)}>Take back</Button>
        {:else}
          <Button kind="now" class="min-h-12 flex-1 text-lg" onclick={take}>
            Take {rung?.thickness.mm ?? ""}
          </Button>
        {/if}
      </div>
    {/if}
    <details open class="border-line border-t pt-1.5">
      <summary class="min-h-8 font-[560]">The sum, to check on paper</summary>
      <ol class="figures text-[15.5px] leading-[21px]" style:font-stretch="88%">
        {#each worked.working as line, n (n)}<li>{line}</li>{/each}
      </ol>
    </details>
  {:else if valve.need === "open"}
    <p>Read the shim that is in first; the sum needs it.</p>
    <Button href="/cards/{card.card.id}/read" kind="now">Read</Button>
  {:else}
    <p class="text-soft">This valve keeps its shim: {valve.reason}.</p>
  {/if}
  <NextStage card={card.card} stage="choose" />
  <details class="border-line mt-auto border-t pt-1.5">
    <summary class="min-h-8">
      <span class="text-soft">Leaning:</span>
      {named(AIMS, school.aim)}, {named(ROUNDINGS, school.rounding)}, {named(ACTS, school.act)}
    </summary>
    <div class="grid grid-cols-2 gap-2">
      <Select
        label="Aim at"
        value={school.aim}
        items={AIMS}
        onchange={(aim) => lean({ aim })}
        disabled={card.signed}
      />
      <Select
        label="Round to"
        value={school.rounding}
        items={ROUNDINGS}
        onchange={(rounding) => lean({ rounding })}
        disabled={card.signed}
      />
      <div class="col-span-2">
        <Select
          label="Set which valves"
          value={school.act}
          items={ACTS}
          onchange={(act) => lean({ act })}
          disabled={card.signed}
        />
      </div>
    </div>
  </details>
{/if}
