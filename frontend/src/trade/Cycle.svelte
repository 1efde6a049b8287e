<script lang="ts">
  /**
   * The whole cycle of 720°: a lane a cylinder's side with its lift hump, the stops, the
   * pistons, and the crank, turned by dragging or by keys. Drawn like the edge of a rule.
   */
  import type { Turning } from "../api/client";

  let {
    turning,
    crank,
    lit,
    onturn,
  }: {
    turning: Turning;
    crank: number;
    lit: ReadonlySet<string>;
    onturn: (degrees: number) => void;
  } = $props();

  const LEFT = 64;
  const RIGHT = 14;
  let width = $state(800);
  let height = $state(300);
  /** Where there is little height the pistons make room for the lanes. */
  const tall = $derived(height > 210);
  const HEAD = $derived(tall ? 84 : 36);
  const span = $derived(width - LEFT - RIGHT);
  interface Row {
    label: string;
    from: number;
    to: number;
    rests: boolean;
  }
  const room = $derived(height - HEAD - 26);
  /** A lane a valve; where that leaves no height, twins share one. */
  const rows = $derived.by((): Row[] => {
    const each = turning.lanes.flatMap((one) =>
      one.valves.map((valve) => ({
        label: valve,
        from: one.lift_from,
        to: one.lift_to,
        rests: lit.has(valve),
      })),
    );
    if (room / Math.max(1, each.length) >= 12) return each;
    return turning.lanes.map((one) => ({
      label: `${one.cylinder} ${one.side === "intake" ? "IN" : "EX"}`,
      from: one.lift_from,
      to: one.lift_to,
      rests: one.valves.every((valve) => lit.has(valve)),
    }));
  });
  const lane = $derived(room / Math.max(1, rows.length));
  const x = (degrees: number): number => LEFT + (degrees / 720) * span;
  const wrap = (degrees: number): number => ((degrees % 720) + 720) % 720;
  const fires = $derived([
    ...new Map(turning.lanes.map((one) => [one.cylinder, one.fires_at])).entries(),
  ]);

  /** A hump from where the lobe starts to lift to where it lets go, drawn at every turn. */
  function hump(from: number, to: number, y: number): string {
    const rise = lane * 0.78;
    const base = y + lane * 0.92;
    return [-720, 0, 720]
      .map((shift) => {
        const [a, b] = [x(from + shift), x(to + shift)];
        const q = (b - a) / 4;
        return `M${a} ${base}C${a + q * 0.9} ${base} ${a + q * 1.1} ${base - rise} ${a + 2 * q} ${base - rise}S${b - q * 0.9} ${base} ${b} ${base}`;
      })
      .join("");
  }

  function follow(event: PointerEvent): void {
    const box = (event.currentTarget as SVGElement).getBoundingClientRect();
    onturn(wrap(Math.round(((event.clientX - box.left - LEFT) / span) * 720)));
  }
  function press(event: KeyboardEvent): void {
    const by = { ArrowLeft: -1, ArrowRight: 1, PageUp: 90, PageDown: -90 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onturn(wrap(crank + by * (event.shiftKey ? 10 : by === 90 || by === -90 ? 1 : 2)));
  }
</script>

<div class="h-full w-full" bind:clientWidth={width} bind:clientHeight={height}>
  <svg
    {width}
    {height}
    class="block touch-none select-none"
    role="slider"
    tabindex="0"
    aria-label="Crank, degrees of the cycle"
    aria-valuemin="0"
    aria-valuemax="719"
    aria-valuenow={crank}
    aria-valuetext="{crank}°, {lit.size} valves at rest"
    data-cycle
    onkeydown={press}
    onpointerdown={(event) => {
      (event.currentTarget as SVGElement).setPointerCapture(event.pointerId);
      follow(event);
    }}
    onpointermove={(event) => {
      if (event.buttons) follow(event);
    }}
  >
    <!-- the pistons, where they are at this angle -->
    {#if tall}
      {#each fires as [cylinder, at], n (cylinder)}
        {@const up = (1 + Math.cos(((crank - at) * Math.PI) / 180)) / 2}
        {@const px = LEFT + 18 + n * Math.min(58, span / fires.length)}
        <path d="M{px - 11} 4V48M{px + 11} 4V48" stroke="var(--rule)" />
        <rect
          x={px - 9}
          y={6 + (1 - up) * 24}
          width="18"
          height="15"
          class="fill-sheet stroke-ink"
        />
        <path d="M{px} {21 + (1 - up) * 24}V48" class="stroke-ink" stroke-width="2" />
        <text
          x={px}
          y={17.5 + (1 - up) * 24}
          text-anchor="middle"
          class="figures fill-ink text-tiny">{cylinder}</text
        >
      {/each}
    {/if}
    {#each rows as one, n (one.label)}
      {@const y = HEAD + n * lane}
      <path d="M{LEFT} {y + lane * 0.92}H{width - RIGHT}" class="stroke-line" />
      <clipPath id="lane-{n}"><rect x={LEFT} y={y - 2} width={span} height={lane + 2} /></clipPath>
      <path
        d={hump(one.from, one.to, y)}
        clip-path="url(#lane-{n})"
        class={one.rests ? "fill-line stroke-rule" : "fill-rule stroke-ink"}
        stroke-width="1"
      />
      <text
        x={LEFT - 8}
        y={y + lane * 0.5}
        dy="0.35em"
        text-anchor="end"
        class="figures {one.rests ? 'fill-ink font-bold' : 'fill-soft'}"
        style:font-size="{Math.max(11, Math.min(15, lane * 0.7))}px">{one.label}</text
      >
    {/each}
    {#each turning.stops as stop, n (n)}
      {#if stop.degrees !== null}
        <path
          d="M{x(stop.degrees)} {HEAD - 6}V{height - 24}"
          class="stroke-ink"
          stroke-dasharray="5 3"
        />
        <text x={x(stop.degrees) + 4} y={HEAD - 2} class="fill-ink text-mark font-bold"
          >{stop.mark ?? `stop ${n + 1}`}</text
        >
      {/if}
    {/each}
    <!-- the rule: every 10 degrees, longer every 90 -->
    {#each Array.from({ length: 73 }, (_, n) => n * 10) as degrees (degrees)}
      <path
        d="M{x(degrees)} {height - 24}v{degrees % 90 === 0 ? 9 : 4}"
        class="stroke-rule"
        stroke-width="1"
      />
      {#if degrees % 180 === 0}
        <text
          x={x(degrees)}
          y={height - 3}
          text-anchor={degrees === 720 ? "end" : "middle"}
          class="figures fill-soft text-tiny">{degrees}°</text
        >
      {/if}
    {/each}
    <path d="M{x(crank)} {HEAD - 8}V{height - 16}" class="stroke-now" stroke-width="2.5" />
    <path d="M{x(crank)} {HEAD - 4}l-6 -8h12z" class="fill-now" />
    <rect x={x(crank) - 22} y={HEAD - 31} width="44" height="19" class="fill-now" />
    <text x={x(crank)} y={HEAD - 17} text-anchor="middle" class="figures fill-on-now text-note"
      >{crank}°</text
    >
  </svg>
</div>
