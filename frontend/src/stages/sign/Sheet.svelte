<script lang="ts">
  /** The sheet: what a later technician, or another shop, needs to trust this job. */
  import type { Sheet, Valve } from "../../api/client";
  import { arrange } from "../../head/arrange";
  import Head from "../../head/Head.svelte";
  import type { Drawing } from "../../api/client";
  import { GapMark } from "../../trade";
  import { VERDICT_WORDS } from "../../kit/verdicts";
  import { preferences } from "../../state/preferences.svelte";
  import { dayWords } from "../../kit/days";

  let {
    sheet,
    drawing,
    valves,
  }: { sheet: Sheet; drawing: Drawing; valves: ReadonlyMap<string, Valve> } = $props();

  const laid = $derived(arrange(drawing, 640, 150 + drawing.banks.length * 110, 0));
  const left = $derived(new Map(sheet.rows.map((row) => [row.valve, row.left])));
  /** The gap as found, of a valve that was set or measured again. */
  const before = $derived(
    new Map(
      sheet.rows
        .filter((row) => row.piece_in && row.found)
        .map((row) => [row.valve, gap(row.found)]),
    ),
  );
  const gap = (one: Sheet["rows"][number]["found"]): string => (one ? preferences.read(one) : "–");
</script>

<article class="sheet bg-sheet text-ink mx-auto w-full max-w-[820px] px-8 py-6 max-sm:px-3">
  <header class="flex items-start justify-between gap-4 pb-2">
    <div>
      {#if sheet.shop}<p class="text-soft text-row">{sheet.shop}</p>{/if}
      <h2 class="text-3xl leading-9 font-[640]">{sheet.label}</h2>
      {#if sheet.engine}<p class="text-soft">{sheet.engine}</p>{/if}
    </div>
    <p class="text-soft text-right">
      <b>Valve clearances</b><br /><span class="figures">Card {sheet.card}</span><br />{dayWords(
        sheet.signed_at ?? sheet.opened_at,
      )}
    </p>
  </header>
  <section class="bg-wash px-4 py-3 print:border" aria-label="What came of the job">
    {#each sheet.result as said, nth (said)}
      <p class="font-[640] {nth === sheet.result.length - 1 ? 'text-xl leading-7' : 'leading-6'}">
        {said}
      </p>
    {/each}
    <p class="pt-1">
      {#if sheet.next_check}Next check <b class="figures">{sheet.next_check}</b> ·{/if}
      {#if sheet.signed_at}
        Signed by <b>{sheet.signed_by}</b>, {dayWords(sheet.signed_at)}
      {:else}not signed{/if}
    </p>
  </section>
  <svg
    viewBox="0 0 {laid.width} {laid.height}"
    class="mx-auto my-2 max-h-64 w-full"
    role="img"
    aria-label="The head from above with the gaps after, and before where a shim changed"
  >
    {#each laid.valves as one (one.valve)}
      <path d="M{one.leader.x} {one.leader.y}L{one.at.x} {one.at.y}" class="stroke-rule" />
    {/each}
    <Head arranged={laid} {valves} />
    {#each laid.valves as one (one.valve)}
      <text
        x={one.plate.x + one.plate.width / 2}
        y={one.plate.y + one.plate.height / 2 - 13}
        text-anchor="middle"
        class="fill-ink text-mark font-bold"
        style:font-stretch="78%"
        style:word-spacing="0.18em">{one.valve}</text
      >
      <text
        x={one.plate.x + one.plate.width / 2}
        y={one.plate.y + one.plate.height / 2 + 5}
        text-anchor="middle"
        class="figures fill-ink text-row">{gap(left.get(one.valve) ?? null)}</text
      >
      {#if before.get(one.valve)}
        <text
          x={one.plate.x + one.plate.width / 2}
          y={one.plate.y + one.plate.height / 2 + 20}
          text-anchor="middle"
          class="figures fill-soft text-mark">was {before.get(one.valve)}</text
        >
      {/if}
    {/each}
    <text x={laid.width / 2} y="12" text-anchor="middle" class="fill-soft text-tiny"
      >{laid.front === "up" ? "front" : ""}</text
    >
  </svg>
  <!-- a table wider than a phone scrolls, by keyboard too -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="relative overflow-x-auto" tabindex="0" role="region" aria-label="Every valve">
    <table class="figures w-full text-note" style:font-stretch="84%">
      <caption class="text-soft pb-1 text-left text-sm">
        Gaps in {preferences.unitName}, shims in {preferences.shims}, valves by cylinder
      </caption>
      <thead>
        <tr class="border-ink h-8 border-b text-left align-bottom">
          <th scope="col" class="pr-2">Valve</th>
          <th scope="col" class="pr-2" colspan="2">Gap before</th>
          <th scope="col" class="pr-2">Shim out</th>
          <th scope="col" class="pr-2">Shim in</th>
          <th scope="col" class="pr-2 max-sm:hidden print:table-cell">Gap expected</th>
          <th scope="col" class="pr-2">Gap after</th>
          <th scope="col" class="pr-2 max-sm:hidden print:table-cell">Off by</th>
          <th scope="col">Result</th>
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
              {#if row.by_marking || row.marked}
                <span class="text-soft ml-1 max-sm:hidden print:inline"
                  >{row.by_marking ? "by its marking" : `marked ${row.marked ?? ""}`}</span
                >
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
                  : row.found
                    ? "not proved"
                    : "not measured"}
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
  <div class="grid grid-cols-2 gap-x-8 py-2 text-note leading-5 max-sm:grid-cols-1">
    <dl>
      {#each sheet.specs as one (one.name)}
        <div class="flex gap-2">
          <dt class="text-soft shrink-0">Range {one.name}</dt>
          <dd class="figures">{preferences.read(one)}</dd>
        </div>
      {/each}
      {#each sheet.lines as line (line.name)}
        <div class="flex gap-2 py-0.5">
          <dt class="text-soft shrink-0">{line.name}</dt>
          <dd class="whitespace-pre-wrap">{line.says}</dd>
        </div>
      {/each}
      {#if sheet.remarks}
        <div class="flex gap-2 py-0.5">
          <dt class="text-soft shrink-0">Remarks</dt>
          <dd class="whitespace-pre-wrap">{sheet.remarks}</dd>
        </div>
      {/if}
    </dl>
    <dl>
      {#each sheet.facts as fact (fact.name)}
        <div class="flex gap-2">
          <dt class="text-soft shrink-0">{fact.name}</dt>
          <dd>{fact.says}</dd>
        </div>
      {/each}
    </dl>
  </div>
  {#if !sheet.signed_at}
    <p class="pt-2 text-note">
      <span class="text-soft">Signed</span>
      <span class="border-ink inline-block w-48 border-b">&nbsp;</span>
    </p>
  {/if}
  {#each sheet.amendments as one (one)}
    <p class="border-ink mt-2 border-l-4 pl-3 text-note">
      <span class="text-soft">Amended</span>
      {one}
    </p>
  {/each}
  <div class="text-soft border-line mt-3 border-t pt-2 text-sm leading-[18px]">
    {#if sheet.unticked.length}<p>Not ticked: {sheet.unticked.join("; ")}.</p>{/if}
    {#if sheet.ticked.length}<p>Ticked while working: {sheet.ticked.join("; ")}.</p>{/if}
    <p>
      The manufacturer’s manual and the law of the place come before anything on this sheet. The
      spec is for a cold engine.
    </p>
  </div>
</article>
