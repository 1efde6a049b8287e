<script lang="ts">
  /** The crank with its mark in a window, turned by dragging or by keys; onwards only. */
  import type { Turning } from "../api/client";
  import { LobeDial } from "../trade";
  import type { RigState } from "./rig.svelte";

  let { rig, turning, valve }: { rig: RigState; turning: Turning; valve: string | null } = $props();

  let dial = $state<SVGSVGElement>();
  let from: number | null = null;

  const crank = $derived(rig.crank);
  /** Marks on the crank's wheel; each passes the window twice a cycle. */
  const marks = $derived.by(() => {
    const at: Record<number, string> = {};
    for (const lane of turning.lanes.filter((one) => one.side === "intake")) {
      const angle = lane.fires_at % 360;
      at[angle] = at[angle] ? `${at[angle]} ${lane.cylinder}` : `T${lane.cylinder}`;
    }
    return Object.entries(at).map(([angle, name]) => ({ name, at: Number(angle) }));
  });
  const inWindow = $derived(
    marks.filter((mark) => {
      const off = (((crank - mark.at) % 360) + 360) % 360;
      return off <= 3 || off >= 357;
    }),
  );
  const lane = $derived(turning.lanes.find((one) => valve && one.valves.includes(valve)));
  const rests = $derived(valve ? (rig.rig?.resting.includes(valve) ?? false) : false);

  function angle(event: PointerEvent): number {
    const box = (dial as SVGSVGElement).getBoundingClientRect();
    const x = event.clientX - box.left - box.width / 2;
    const y = event.clientY - box.top - box.height / 2;
    return (Math.atan2(y, x) * 180) / Math.PI;
  }
  function drag(event: PointerEvent): void {
    if (from === null) return;
    const at = angle(event);
    const by = ((at - from + 540) % 360) - 180;
    // onwards only: what goes back is slack
    rig.turning = Math.max(0, Math.min(360, rig.turning + by));
    from = at;
  }
  async function drop(): Promise<void> {
    if (from === null) return;
    from = null;
    await rig.letGo();
  }
  const steps: Record<string, number> = {
    ArrowRight: 5,
    ArrowUp: 5,
    PageUp: 30,
    ArrowLeft: -5,
    ArrowDown: -5,
    PageDown: -30,
  };
  function key(event: KeyboardEvent): void {
    const by = steps[event.key];
    if (by === undefined) return;
    event.preventDefault();
    void rig.do("turn", by);
  }
  const says = $derived(
    `${inWindow.length ? `mark ${inWindow.map((one) => one.name).join(", ")} in the window` : "no mark in the window"}; ` +
      (valve && lane
        ? `lobe of ${valve} ${rests ? "points away from its follower" : "presses on its follower"}`
        : ""),
  );
</script>

<div class="flex items-center gap-3">
  <svg
    bind:this={dial}
    viewBox="-60 -60 120 120"
    class="h-28 w-28 shrink-0 cursor-grab touch-none"
    role="slider"
    tabindex="0"
    aria-label="Crank: arrow keys turn it on by 5 degrees, Page up by 30"
    aria-valuemin={0}
    aria-valuemax={720}
    aria-valuenow={Math.round(crank)}
    aria-valuetext={says}
    onkeydown={key}
    onpointerdown={(event) => {
      from = angle(event);
      (event.currentTarget as SVGSVGElement).setPointerCapture(event.pointerId);
    }}
    onpointermove={drag}
    onpointerup={() => void drop()}
    onpointercancel={() => void drop()}
  >
    <circle r="52" class="fill-sheet stroke-ink" stroke-width="2.5" />
    <g transform="rotate({crank})">
      {#each marks as mark (mark.name)}
        <g transform="rotate({-mark.at})">
          <path d="M0-52v13" class="stroke-ink" stroke-width="3" />
          <text y="-27" text-anchor="middle" class="fill-ink" font-size="12" font-weight="620"
            >{mark.name}</text
          >
        </g>
      {/each}
      <path d="M0 34v12M-30-20l-9-6M30-20l9-6" class="stroke-rule" stroke-width="2" />
      <path
        d="M-9 0a9 9 0 1 0 18 0a9 9 0 1 0-18 0z"
        class="fill-line stroke-ink"
        stroke-width="1.5"
      />
    </g>
    <path d="M-13-58h26v22h-26z" class="stroke-now fill-none" stroke-width="2.5" />
  </svg>
  <div class="min-w-0 flex-1">
    <p class="leading-5">
      {inWindow.length
        ? `${inWindow.map((one) => one.name).join(", ")} in the window.`
        : "No mark in the window."}
    </p>
    {#if valve && lane}
      <p class="flex items-center gap-2 leading-5">
        <LobeDial degrees={(crank - lane.peak) / 2} {rests} />
        <span>{valve}: {rests ? "heel down" : "lobe presses"}</span>
      </p>
    {/if}
    <div class="mt-1 flex gap-1">
      {#each [5, 30, 90] as by (by)}
        <button
          type="button"
          class="border-rule bg-sheet min-h-11 min-w-11 border px-2"
          aria-label="Turn on by {by} degrees"
          onclick={() => void rig.do("turn", by)}>{by}°</button
        >
      {/each}
    </div>
  </div>
</div>
