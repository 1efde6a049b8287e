<script lang="ts">
  /** How even the head is, check by check: twins against each other, each side against itself. */
  import { scaleLinear } from "d3-scale";
  import { line } from "d3-shape";
  import { preferences } from "../../state/preferences.svelte";
  import type { Years } from "./scale";
  import { grouped } from "../../kit/numbers";

  let { years }: { years: Years } = $props();

  const WIDE = 150;
  const HIGH = 30;
  type Row = Years["even"][number];
  const most = $derived(
    Math.max(50_000, ...years.even.flatMap((row) => row.checks.map((one) => one.apart.nm))),
  );
  const x = $derived(
    scaleLinear()
      .domain([years.begins, Math.max(years.checks.at(-1)?.at ?? 0, years.begins + 1)])
      .range([5, WIDE - 5]),
  );
  const y = $derived(
    scaleLinear()
      .domain([0, most])
      .range([HIGH - 5, 5]),
  );
  const path = (row: Row): string =>
    line<Row["checks"][number]>()
      .x((one) => x(one.at))
      .y((one) => y(one.apart.nm))(row.checks as Row["checks"]) ?? "";
  const called = (row: Row): string =>
    row.twins ? row.valves.join(" and ") : `${row.valves[0]} to ${row.valves.at(-1)}, all`;
  const words = (row: Row): string =>
    row.checks.map((one) => `${preferences.read(one.apart)} at ${grouped(one.at)}`).join(", ");
</script>

<div class="grid grid-cols-[repeat(auto-fill,minmax(min(100%,330px),1fr))] gap-x-6">
  {#each years.even as row (called(row))}
    {@const last = row.checks.at(-1)}
    <div class="border-line flex items-center gap-3 border-b py-0.5">
      <span class="min-w-0 flex-1 truncate">{called(row)}</span>
      <svg
        viewBox="0 0 {WIDE} {HIGH}"
        class="h-[30px] w-[150px] shrink-0"
        role="img"
        aria-label="{called(row)}: apart by {words(row)} {years.counter_words}"
      >
        <path d="M0 {y(0)}H{WIDE}" class="stroke-line" stroke-width="1" />
        <path d={path(row)} class="stroke-ink" stroke-width="1.6" fill="none" />
        {#each row.checks as one, n (n)}
          <circle cx={x(one.at)} cy={y(one.apart.nm)} r="2.6" class="fill-ink" />
        {/each}
      </svg>
      <b class="figures w-12 text-right">{last ? preferences.read(last.apart) : ""}</b>
    </div>
  {/each}
</div>
