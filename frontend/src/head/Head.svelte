<script lang="ts">
  /** The head itself: bores, buckets, camshafts with their lobes. Drawn in pixels. */
  import type { Valve } from "../api/client";
  import type { Arranged } from "./arrange";

  let {
    arranged,
    valves,
    inHand = null,
    lit = null,
  }: {
    arranged: Arranged;
    valves: ReadonlyMap<string, Valve>;
    inHand?: string | null;
    lit?: ReadonlySet<string> | null;
  } = $props();

  /** The lobe over a valve lies across its camshaft; at rest it points away from the bucket. */
  const lobes = $derived(
    arranged.valves.map(({ valve, at }) => ({ valve, x: at.x, y: at.y, r: at.r })),
  );
  const upright = $derived(arranged.turn % 2 === 1);
</script>

<g>
  {#each arranged.bores as bore (bore.cylinder)}
    <circle
      cx={bore.at.x}
      cy={bore.at.y}
      r={bore.at.r}
      class="fill-sheet stroke-ink"
      stroke-width="1.6"
    />
    <circle
      cx={bore.at.x}
      cy={bore.at.y}
      r={bore.at.r - 5}
      class="stroke-line fill-transparent"
      stroke-dasharray="1 3"
      stroke-width="3.5"
    />
  {/each}
  {#each arranged.camshafts as shaft (shaft.id)}
    <path
      d="M{shaft.from.x} {shaft.from.y}L{shaft.to.x} {shaft.to.y}"
      class="stroke-rule"
      stroke-width={Math.max(6, arranged.scale * 0.075)}
      stroke-linecap="butt"
    />
    <path
      d="M{shaft.from.x} {shaft.from.y}L{shaft.to.x} {shaft.to.y}"
      class="stroke-paper"
      stroke-width={Math.max(3.5, arranged.scale * 0.075 - 2.6)}
    />
  {/each}
  {#each lobes as lobe (lobe.valve)}
    {@const held = lobe.valve === inHand}
    {@const away = lit !== null && !lit.has(lobe.valve)}
    {@const state = valves.get(lobe.valve)}
    {@const wide = lobe.r * 0.34}
    <circle
      cx={lobe.x}
      cy={lobe.y}
      r={lobe.r}
      class={held
        ? "fill-now stroke-now"
        : away
          ? "fill-paper stroke-rule"
          : lit
            ? "fill-wash stroke-now"
            : "fill-sheet stroke-ink"}
      stroke-width="1.5"
    />
    <rect
      x={lobe.x - (upright ? lobe.r * 0.94 : wide)}
      y={lobe.y - (upright ? wide : lobe.r * 0.94)}
      width={(upright ? lobe.r * 0.94 : wide) * 2}
      height={(upright ? wide : lobe.r * 0.94) * 2}
      class={held
        ? "fill-on-now stroke-now"
        : lit
          ? away
            ? "fill-rule stroke-rule"
            : "fill-paper stroke-now"
          : state?.found
            ? "fill-ink stroke-ink"
            : "fill-paper stroke-rule"}
      stroke-width="1.2"
    />
  {/each}
  {#each arranged.bores as bore (bore.cylinder)}
    <text
      x={bore.figure.x}
      y={bore.figure.y}
      dy="0.35em"
      text-anchor="middle"
      class="figures fill-ink"
      style:font-size="{Math.max(13, Math.min(26, arranged.scale * 0.15))}px">{bore.cylinder}</text
    >
  {/each}
</g>
