<script lang="ts">
  /** The head from above with a plate for every valve, turned to where one stands. */
  import type { Snippet } from "svelte";
  import type { Drawing, Valve } from "../api/client";
  import { type Arranged, type Turn, arrange, bestTurn } from "./arrange";
  import Head from "./Head.svelte";
  import Residuals from "./Residuals.svelte";
  import Travels from "./Travels.svelte";

  let {
    drawing,
    valves,
    inHand,
    lit = null,
    travels = [],
    residuals = null,
    plate,
    onpick,
    arranged = $bindable(null),
  }: {
    drawing: Drawing;
    valves: ReadonlyMap<string, Valve>;
    inHand: string | null;
    /** The valves that can be measured as the crank stands; null where that is not the matter. */
    lit?: ReadonlySet<string> | null;
    /** Pieces that travel: from another valve, or from outside. */
    travels?: readonly { valve: string; from_valve: string | null; source: string }[];
    /** How far proofs came out from what was expected, while proving. */
    residuals?: ReadonlyMap<string, { nm: number; fine: boolean }> | null;
    plate: Snippet<[Valve, { width: number; height: number }]>;
    onpick: (valve: string) => void;
    arranged?: Arranged | null;
  } = $props();

  let width = $state(0);
  let height = $state(0);
  let turned = $state<Turn | null>(null);
  const turn = $derived(turned ?? bestTurn(drawing, width, height));
  const laid = $derived(width > 0 ? arrange(drawing, width, height, turn) : null);
  $effect(() => {
    arranged = laid;
  });

  export function turnOn(): void {
    turned = ((turn + 1) % 4) as Turn;
  }

  const fronts = {
    up: "top-0 left-1/2 -translate-x-1/2",
    down: "bottom-0 left-1/2 -translate-x-1/2",
    left: "left-0 top-1/2 -translate-y-1/2 [writing-mode:vertical-rl] rotate-180",
    right: "right-0 top-1/2 -translate-y-1/2 [writing-mode:vertical-rl]",
  };
  const heads = { up: "▲", down: "▼", left: "▶", right: "▶" };

  /** Bring the plate in hand into view where the drawing is taller than its place. */
  let scroller = $state<HTMLElement>();
  $effect(() => {
    const box = laid?.valves.find((one) => one.valve === inHand)?.plate;
    if (!scroller || !box || scroller.scrollHeight <= scroller.clientHeight + 2) return;
    const hidden =
      box.y < scroller.scrollTop + 6 ||
      box.y + box.height > scroller.scrollTop + scroller.clientHeight - 6;
    if (hidden) scroller.scrollTo({ top: box.y - scroller.clientHeight / 2 + box.height / 2 });
  });
</script>

<div class="relative h-full min-h-0">
  <div
    bind:this={scroller}
    bind:clientWidth={width}
    bind:clientHeight={height}
    class="h-full overflow-auto"
    role="group"
    aria-label="The head from above, front {laid?.front ?? 'up'}"
  >
    {#if laid}
      <div class="relative" style:width="{laid.width}px" style:height="{laid.height}px">
        <svg
          viewBox="0 0 {laid.width} {laid.height}"
          class="absolute inset-0"
          width={laid.width}
          height={laid.height}
          aria-hidden="true"
        >
          {#each laid.valves as one (one.valve)}
            <path
              d="M{one.leader.x} {one.leader.y}L{one.at.x} {one.at.y}"
              class={one.valve === inHand ? "stroke-now" : "stroke-rule"}
              stroke-width={one.valve === inHand ? 2.5 : 1}
            />
          {/each}
          <Head arranged={laid} {valves} {inHand} {lit} />
          {#if residuals}<Residuals arranged={laid} {residuals} />{/if}
          {#if travels.length}<Travels arranged={laid} {travels} {inHand} />{/if}
        </svg>
        <div
          class="text-soft pointer-events-none absolute flex items-center gap-1.5 text-mark {fronts[
            laid.front
          ]}"
          aria-hidden="true"
        >
          <span class="text-[9px]">{heads[laid.front]}</span>front
        </div>
        {#each laid.valves as one (one.valve)}
          {@const state = valves.get(one.valve)}
          {#if state}
            <button
              type="button"
              class="absolute border text-left {one.valve === inHand
                ? 'border-now bg-sheet z-10 outline-2 outline-now'
                : lit && !lit.has(one.valve)
                  ? 'border-line bg-paper text-soft'
                  : lit
                    ? 'border-ink bg-sheet border-2'
                    : 'border-rule bg-sheet hover:border-ink'}"
              style:left="{one.plate.x}px"
              style:top="{one.plate.y}px"
              style:width="{one.plate.width}px"
              style:height="{one.plate.height}px"
              aria-pressed={one.valve === inHand}
              data-valve={one.valve}
              tabindex={one.valve === inHand ? 0 : -1}
              onclick={() => onpick(one.valve)}
            >
              {@render plate(state, one.plate)}
            </button>
          {/if}
        {/each}
      </div>
    {/if}
  </div>
</div>
