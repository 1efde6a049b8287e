<script lang="ts">
  /** The sheet: what a later technician, or another shop, needs to trust this job. */
  import type { Card } from "../../api/client";
  import { arrange } from "../../head/arrange";
  import Head from "../../head/Head.svelte";
  import GapMark from "../../kit/GapMark.svelte";
  import { preferences } from "../../kit/preferences.svelte";
  import { VERDICT_WORDS } from "../../kit/verdicts";

  let { card, shop }: { card: Card; shop: string } = $props();

  const laid = $derived(arrange(card.drawing, 640, 150 + card.drawing.banks.length * 110, 0));
  const valves = $derived(new Map(card.valves.map((valve) => [valve.valve, valve])));
  type Line = Card["rounds"][number]["lines"][number];
  const lines = (round: Card["rounds"][number] | undefined): Map<string, Line> =>
    new Map(round?.lines.map((line) => [line.valve, line]));
  /** What each valve was found at, and the last round in which its piece changed. */
  const first = $derived(lines(card.rounds[0]));
  const newest = $derived(
    new Map(
      card.rounds.flatMap((round) =>
        round.lines.filter((line) => line.went_in).map((line) => [line.valve, line] as const),
      ),
    ),
  );
  const later = $derived(card.rounds.slice(1));
  const seen = $derived([...card.safety, ...card.pull, ...card.closing].filter((one) => one.done));
  const day = (moment: string): string =>
    new Date(moment).toLocaleDateString("en-GB", {
      day: "numeric",
      month: "long",
      year: "numeric",
    });
  const sides = $derived(
    (["intake", "exhaust"] as const).flatMap((side) => {
      const one = card.valves.find((valve) => valve.side === side);
      return one ? [{ side, spec: one.spec }] : [];
    }),
  );
</script>

<article class="sheet bg-sheet text-ink mx-auto w-full max-w-[820px] px-8 py-6 max-sm:px-3">
  <header class="border-ink flex items-end justify-between gap-4 border-b-2 pb-2">
    <div>
      <p class="text-soft">{shop}</p>
      <h1 class="text-3xl leading-8 font-[640]">{card.label}</h1>
      <p>{card.engine}</p>
    </div>
    <p class="figures text-right text-lg">
      Card {card.id}<br /><span class="text-soft">{day(card.opened_at)}</span>
    </p>
  </header>
  <dl
    class="border-line grid grid-cols-[auto_1fr_auto_1fr] gap-x-3 border-b py-2 text-[15px] max-sm:grid-cols-[auto_1fr]"
  >
    <dt class="text-soft">Reason</dt>
    <dd>{card.reason}</dd>
    <dt class="text-soft">Distance</dt>
    <dd>
      {[
        card.distance_km === null ? "" : `${card.distance_km} km`,
        card.hours === null ? "" : `${card.hours} h`,
      ]
        .filter(Boolean)
        .join(", ") || "not noted"}
    </dd>
    {#each sides as one (one.side)}
      <dt class="text-soft">Spec {one.side}</dt>
      <dd class="figures">
        {preferences.read(one.spec.low)} to {preferences.read(one.spec.high)}
        {preferences.unitName}{#if one.spec.set_low && one.spec.set_high}, set {preferences.read(
            one.spec.set_low,
          )} to {preferences.read(one.spec.set_high)}{/if}
      </dd>
    {/each}
    <dt class="text-soft">Spec from</dt>
    <dd>{card.source ?? "not noted"}</dd>
    <dt class="text-soft">Measured</dt>
    <dd>
      {#if card.conditions.temperature_c === null && card.conditions.rested_hours === null}
        temperature not noted
      {:else}
        {[
          card.conditions.temperature_c === null ? "" : `at ${card.conditions.temperature_c} °C`,
          card.conditions.rested_hours === null
            ? ""
            : `${card.conditions.rested_hours} h after it ran`,
        ]
          .filter(Boolean)
          .join(", ")}{#if card.conditions.warm}. <b>Warm:</b> {card.conditions.reason}{/if}
      {/if}
    </dd>
    {#if card.blade_set}
      <dt class="text-soft">Feeler set</dt>
      <dd>{card.blade_set.name}</dd>
    {/if}
    {#if card.instrument}
      <dt class="text-soft">Shims by</dt>
      <dd>{card.instrument}{card.zero ? `, zero ${card.zero.mm}` : ""}</dd>
    {/if}
    <dt class="text-soft">Opened by</dt>
    <dd>{card.opened_by}</dd>
  </dl>
  <svg
    viewBox="0 0 {laid.width} {laid.height}"
    class="mx-auto my-2 max-h-64 w-full"
    role="img"
    aria-label="The head from above with the gaps as left"
  >
    {#each laid.valves as one (one.valve)}
      <path d="M{one.leader.x} {one.leader.y}L{one.at.x} {one.at.y}" class="stroke-rule" />
    {/each}
    <Head arranged={laid} {valves} />
    {#each laid.valves as one (one.valve)}
      {@const state = valves.get(one.valve)}
      <text
        x={one.plate.x + one.plate.width / 2}
        y={one.plate.y + one.plate.height / 2 - 6}
        text-anchor="middle"
        class="fill-ink text-[13px] font-bold"
        style:font-stretch="78%">{one.valve}</text
      >
      <text
        x={one.plate.x + one.plate.width / 2}
        y={one.plate.y + one.plate.height / 2 + 13}
        text-anchor="middle"
        class="figures fill-ink text-[17px]"
        >{state?.as_left ? preferences.read(state.as_left) : "–"}</text
      >
    {/each}
    <text x={laid.width / 2} y="12" text-anchor="middle" class="fill-soft text-[12px]"
      >{laid.front === "up" ? "front" : ""}</text
    >
  </svg>
  <!-- a table wider than a phone scrolls, by keyboard too -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Every valve">
    <table class="figures w-full text-[15px]" style:font-stretch="84%">
      <caption class="text-soft pb-1 text-left text-sm">
        Gaps in {preferences.unitName}, shims in mm, valves in measuring order
      </caption>
      <thead>
        <tr class="border-ink h-8 border-b text-left align-bottom">
          <th scope="col" class="pr-2">Valve</th>
          <th scope="col" class="pr-2">Found</th>
          <th scope="col" class="pr-2"></th>
          <th scope="col" class="pr-2">Shim out</th>
          <th scope="col" class="pr-2">Shim in</th>
          <th scope="col" class="pr-2">Expected</th>
          <th scope="col" class="pr-2">As left</th>
          <th scope="col" class="pr-2">Off by</th>
          <th scope="col">Left</th>
        </tr>
      </thead>
      <tbody>
        {#each card.valves as valve (valve.valve)}
          {@const begun = first.get(valve.valve)}
          {@const set = newest.get(valve.valve)}
          <tr class="border-line border-b">
            <th scope="row" class="py-0.5 pr-2 text-left font-[680] whitespace-nowrap"
              >{valve.valve}</th
            >
            <td class="pr-2 whitespace-nowrap"
              >{begun?.found ? preferences.read(begun.found) : "–"}</td
            >
            <td class="pr-2"><GapMark verdict={valve.verdict} size={14} /></td>
            <td class="pr-2 whitespace-nowrap">
              {begun?.piece?.mm ?? ""}
              {#if begun?.marked}
                <span class="text-soft ml-1">marked {begun.marked}</span>
              {/if}
            </td>
            <td class="pr-2">{set?.went_in?.mm ?? (begun?.piece ? "kept" : "")}</td>
            <td class="pr-2 whitespace-nowrap"
              >{set?.predicted ? preferences.read(set.predicted) : ""}</td
            >
            <td class="pr-2 font-bold whitespace-nowrap"
              >{valve.as_left ? preferences.read(valve.as_left) : "–"}</td
            >
            <td class="pr-2 {set?.within_doubt === false ? 'font-bold' : ''}"
              >{set?.residual ? preferences.read(set.residual) : ""}</td
            >
            <td>
              <span class="inline-flex items-center gap-1.5 whitespace-nowrap">
                <GapMark verdict={valve.left} size={14} />{valve.left
                  ? VERDICT_WORDS[valve.left]
                  : "not proved"}
              </span>
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#each later as round (round.number)}
    <section class="border-line border-b py-1.5 text-[15px]">
      <h2 class="font-[620]">Round {round.number}: {round.reason}</h2>
      <ul class="figures">
        {#each round.lines.filter((line) => line.went_in || line.proof) as line (line.valve)}
          <li>
            <b>{line.valve}</b> found {line.found ? preferences.read(line.found) : "–"}{line.went_in
              ? `, ${line.piece?.mm ?? "?"} out, ${line.went_in.mm} in`
              : ", kept"}{line.proof ? `, proved ${preferences.read(line.proof)}` : ""}
          </li>
        {/each}
      </ul>
    </section>
  {/each}
  {#if card.explained}
    <p class="border-line border-b py-1.5 text-[15px]">
      <span class="text-soft">Proof</span>
      {card.explained.ranked[0]
        ? `${card.explained.ranked[0].name}: ${card.explained.ranked[0].evidence}`
        : card.explained.beyond.length
          ? `${card.explained.beyond.join(", ")} off by more than usual; no one cause explains it.`
          : "Every gap came out within the instruments’ doubt."}
    </p>
  {/if}
  {#if card.bolts.length}
    <p class="border-line border-b py-1.5 text-[15px]">
      <span class="text-soft">Torques</span>
      {card.bolts
        .map(
          (one) =>
            `${one.name}, ${one.places.length} ${one.thread}: ${
              one.torque ? Object.values(one.torque.words).join(" = ") : "no torque noted"
            }${one.turned >= one.turns ? ", all stages done" : ""}`,
        )
        .join("; ")}
    </p>
  {/if}
  {#if seen.length}
    <p class="border-line border-b py-1.5 text-[14px] leading-5">
      <span class="text-soft">Seen to</span>
      {seen.map((one) => one.does).join(", ")}
    </p>
  {/if}
  <p class="border-line border-b py-2 text-[15px] whitespace-pre-wrap">
    <span class="text-soft">Remarks</span>
    {card.remarks ?? (card.signed_at ? "none" : "")}
  </p>
  <footer class="flex flex-wrap items-end justify-between gap-x-8 gap-y-3 pt-2 text-[15px]">
    <p>
      <span class="text-soft">Next check at</span>
      <b class="figures">{card.next_check_km === null ? "not set" : `${card.next_check_km} km`}</b>
    </p>
    <p class="min-w-64">
      <span class="text-soft">Signed</span>
      {#if card.signed_at}<b>{card.signed_by}</b>, {day(card.signed_at)}{:else}<span
          class="border-ink inline-block w-48 border-b">&nbsp;</span
        >{/if}
    </p>
  </footer>
  {#each card.amendments as one (one.written_at + one.text)}
    <p class="border-ink mt-2 border-l-4 pl-3 text-[15px]">
      <span class="text-soft">Amended {day(one.written_at)}, {one.written_by}:</span>
      {one.text}
    </p>
  {/each}
  <p class="text-soft pt-3 text-sm">
    The maker’s manual and the law of the place come before anything on this sheet. The spec is for
    a cold engine.
  </p>
</article>
