<script lang="ts">
  /** The sheet: what a later technician, or another shop, needs to trust this job. */
  import type { Sheet, Valve } from "../../api/client";
  import { arrange } from "../../head/arrange";
  import Head from "../../head/Head.svelte";
  import type { Drawing } from "../../api/client";
  import { GapMark } from "../../trade";
  import { VERDICT_WORDS } from "../../kit/verdicts";
  import { preferences } from "../../state/preferences.svelte";

  let {
    sheet,
    drawing,
    valves,
  }: { sheet: Sheet; drawing: Drawing; valves: ReadonlyMap<string, Valve> } = $props();

  const laid = $derived(arrange(drawing, 640, 150 + drawing.banks.length * 110, 0));
  const left = $derived(new Map(sheet.rows.map((row) => [row.valve, row.left])));
  const day = (moment: string): string =>
    new Date(moment).toLocaleDateString("en-GB", {
      day: "numeric",
      month: "long",
      year: "numeric",
    });
  const gap = (one: Sheet["rows"][number]["found"]): string => (one ? preferences.read(one) : "–");
</script>

<article class="sheet bg-sheet text-ink mx-auto w-full max-w-[820px] px-8 py-6 max-sm:px-3">
  <header class="border-ink flex items-end justify-between gap-4 border-b-2 pb-2">
    <div>
      {#if sheet.shop}<p class="text-soft">{sheet.shop}</p>{/if}
      <h2 class="text-3xl leading-8 font-[640]">{sheet.label}</h2>
      <p>{sheet.engine}</p>
    </div>
    <p class="figures text-right text-lg">
      Card {sheet.card}<br /><span class="text-soft">{day(sheet.opened_at)}</span>
    </p>
  </header>
  <dl
    class="border-line grid grid-cols-[auto_1fr_auto_1fr] gap-x-3 border-b py-2 text-note max-sm:grid-cols-[auto_1fr]"
  >
    {#each sheet.facts as fact (fact.name)}
      <dt class="text-soft">{fact.name}</dt>
      <dd>{fact.says}</dd>
    {/each}
    {#each sheet.specs as one (one.name)}
      <dt class="text-soft">Spec {one.name}</dt>
      <dd class="figures">{preferences.read(one)}</dd>
    {/each}
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
      <text
        x={one.plate.x + one.plate.width / 2}
        y={one.plate.y + one.plate.height / 2 - 6}
        text-anchor="middle"
        class="fill-ink text-mark font-bold"
        style:font-stretch="78%"
        style:word-spacing="0.18em">{one.valve}</text
      >
      <text
        x={one.plate.x + one.plate.width / 2}
        y={one.plate.y + one.plate.height / 2 + 13}
        text-anchor="middle"
        class="figures fill-ink text-row">{gap(left.get(one.valve) ?? null)}</text
      >
    {/each}
    <text x={laid.width / 2} y="12" text-anchor="middle" class="fill-soft text-tiny"
      >{laid.front === "up" ? "front" : ""}</text
    >
  </svg>
  <!-- a table wider than a phone scrolls, by keyboard too -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Every valve">
    <table class="figures w-full text-note" style:font-stretch="84%">
      <caption class="text-soft pb-1 text-left text-sm">
        Gaps in {preferences.unitName}, shims in {preferences.shims}, valves by cylinder
      </caption>
      <thead>
        <tr class="border-ink h-8 border-b text-left align-bottom">
          <th scope="col" class="pr-2">Valve</th>
          <th scope="col" class="pr-2" colspan="2">Found</th>
          <th scope="col" class="pr-2">Shim out</th>
          <th scope="col" class="pr-2">Shim in</th>
          <th scope="col" class="pr-2 max-sm:hidden print:table-cell">Expected</th>
          <th scope="col" class="pr-2">As left</th>
          <th scope="col" class="pr-2 max-sm:hidden print:table-cell">Off by</th>
          <th scope="col">Left</th>
        </tr>
      </thead>
      <tbody>
        {#each sheet.rows as row (row.valve)}
          <tr class="border-line border-b">
            <th scope="row" class="py-0.5 pr-2 text-left font-[680] whitespace-nowrap"
              >{row.valve}</th
            >
            <td class="pr-2 whitespace-nowrap">{gap(row.found)}</td>
            <td class="pr-2"><GapMark verdict={row.found_verdict} size={14} /></td>
            <td class="pr-2 whitespace-nowrap">
              {row.piece_out ? preferences.shim(row.piece_out) : ""}
              {#if row.marked}
                <span class="text-soft ml-1 max-sm:hidden print:inline">marked {row.marked}</span>
              {/if}
            </td>
            <td class="pr-2"
              >{row.piece_in ? preferences.shim(row.piece_in) : row.kept ? "kept" : ""}</td
            >
            <td class="pr-2 whitespace-nowrap max-sm:hidden print:table-cell"
              >{row.predicted ? preferences.read(row.predicted) : ""}</td
            >
            <td class="pr-2 font-bold whitespace-nowrap">{gap(row.left)}</td>
            <td class="pr-2 max-sm:hidden print:table-cell {row.beyond ? 'font-bold' : ''}"
              >{row.residual ? preferences.read(row.residual) : ""}</td
            >
            <td>
              <span class="inline-flex items-center gap-1.5 whitespace-nowrap">
                <GapMark verdict={row.verdict} size={14} />{row.verdict
                  ? VERDICT_WORDS[row.verdict]
                  : "not proved"}
              </span>
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#each sheet.rounds as round (round.number)}
    <section class="border-line border-b py-1.5 text-note">
      <h2 class="font-[620]">Round {round.number}: {round.reason}</h2>
      <ul class="figures">
        {#each round.rows as row (row.valve)}
          <li>
            <b>{row.valve}</b> found {gap(row.found)}{row.piece_in
              ? `, ${row.piece_out ? preferences.shim(row.piece_out) : "?"} out, ${preferences.shim(row.piece_in)} in`
              : ", kept"}{row.left ? `, left ${gap(row.left)}` : ""}
          </li>
        {/each}
      </ul>
    </section>
  {/each}
  {#each sheet.lines as line (line.name)}
    <p class="border-line border-b py-1.5 text-note leading-5 whitespace-pre-wrap">
      <span class="text-soft">{line.name}</span>
      {line.says}
    </p>
  {/each}
  <p class="border-line border-b py-2 text-note whitespace-pre-wrap">
    <span class="text-soft">Remarks</span>
    {sheet.remarks || (sheet.signed_at ? "none" : "")}
  </p>
  <footer class="flex flex-wrap items-end justify-between gap-x-8 gap-y-3 pt-2 text-note">
    <p>
      <span class="text-soft">Next check</span>
      <b class="figures">{sheet.next_check || "not set"}</b>
    </p>
    <p class="min-w-64">
      <span class="text-soft">Signed</span>
      {#if sheet.signed_at}<b>{sheet.signed_by}</b>, {day(sheet.signed_at)}{:else}<span
          class="border-ink inline-block w-48 border-b">&nbsp;</span
        >{/if}
    </p>
  </footer>
  {#each sheet.amendments as one (one)}
    <p class="border-ink mt-2 border-l-4 pl-3 text-note">
      <span class="text-soft">Amended</span>
      {one}
    </p>
  {/each}
  <p class="text-soft pt-3 text-sm">
    The maker’s manual and the law of the place come before anything on this sheet. The spec is for
    a cold engine.
  </p>
</article>
