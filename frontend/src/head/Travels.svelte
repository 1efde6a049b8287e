<script lang="ts">
  /** The pieces' ways: from valve to valve as an arc, in from outside as a short arrow. */
  import type { Arranged, Disc } from "./arrange";

  let {
    arranged,
    travels,
    inHand,
  }: {
    arranged: Arranged;
    travels: readonly { valve: string; from_valve: string | null; source: string }[];
    inHand: string | null;
  } = $props();

  const at = (valve: string | null): Disc | undefined =>
    arranged.valves.find((one) => one.valve === valve)?.at;

  /** An arc from one valve's edge to the other's, bowed to the left of its way. */
  function arc(from: Disc, to: Disc): string {
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    const far = Math.hypot(dx, dy) || 1;
    const bow = Math.min(46, 14 + far * 0.16);
    const middle = {
      x: (from.x + to.x) / 2 + (dy / far) * bow,
      y: (from.y + to.y) / 2 - (dx / far) * bow,
    };
    const edge = (disc: Disc, by: number): string => {
      const [ex, ey] = [middle.x - disc.x, middle.y - disc.y];
      const reach = Math.hypot(ex, ey) || 1;
      return `${disc.x + (ex / reach) * by} ${disc.y + (ey / reach) * by}`;
    };
    return `M${edge(from, from.r * 0.6)}Q${middle.x} ${middle.y} ${edge(to, to.r + 5)}`;
  }
  function inward(valve: string): string {
    const one = arranged.valves.find((other) => other.valve === valve);
    if (!one) return "";
    const [dx, dy] = [one.leader.x - one.at.x, one.leader.y - one.at.y];
    const far = Math.hypot(dx, dy) || 1;
    const near = one.at.r + 5;
    const start = Math.max(near + 10, Math.min(far, near + 24));
    return `M${one.at.x + (dx / far) * start} ${one.at.y + (dy / far) * start}L${
      one.at.x + (dx / far) * near
    } ${one.at.y + (dy / far) * near}`;
  }
</script>

<defs>
  <marker
    id="travel-head"
    viewBox="0 0 10 10"
    refX="7"
    refY="5"
    markerWidth="5.500"
    markerHeight="5.500"
    orient="auto-start-reverse"
  >
    <path d="M0 0L10 5L0 10z" fill="var(--now)" />
  </marker>
</defs>
{#each travels as travel (travel.valve)}
  {@const from = at(travel.from_valve)}
  {@const to = at(travel.valve)}
  {#if to}
    <path
      d={from ? arc(from, to) : inward(travel.valve)}
      fill="none"
      class="stroke-now"
      stroke-width={travel.valve === inHand ? 4 : 2.6}
      stroke-dasharray={travel.source === "counter" ? "5 3" : ""}
      marker-end="url(#travel-head)"
    />
  {/if}
{/each}
