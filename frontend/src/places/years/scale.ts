/** Where things lie in the drawing of one valve over the years: all valves share both scales. */
import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import type { Schemas } from "../../api/client";
import { grouped } from "../../kit/numbers";

export type Years = Schemas["YearsOut"];
export type ValveYears = Schemas["ValveYearsOut"];

type Dot = ValveYears["dots"][number] & { breaks?: boolean };

export const WIDE = 300;
export const HIGH = 132;
const LEFT = 6;
const TOP = 8;
const FOOT = 20;

/** The span of stack that the drawings share, in nm: what all but the odd valves need. */
export function spanOf(years: Years): number {
  const needs = years.valves.filter((one) => !one.odd).map((one) => needOf(years, one));
  return Math.max(60_000, ...(needs.length ? needs : years.valves.map((v) => needOf(years, v))));
}

function needOf(years: Years, one: ValveYears): number {
  const [low, high] = ends(years, one);
  return high - low;
}

/** How many times as much a valve needs as the others share: it is drawn so much smaller. */
export function smaller(years: Years, one: ValveYears, span: number): number {
  return Math.max(1, Math.ceil(needOf(years, one) / span - 0.05));
}

function ends(years: Years, one: ValveYears): [number, number] {
  const bands = one.odd ? one.bands : one.bands.slice(-2);
  const last = one.dots.at(-1);
  const comes =
    last && one.rate
      ? (last.low.nm + last.high.nm) / 2 - (one.rate.best.nm * (years.ends - last.at)) / 1000
      : NaN;
  const all = [
    comes,
    ...one.dots.flatMap((dot) => [dot.low.nm, dot.high.nm]),
    ...bands.flatMap((band) => [band.low?.nm ?? NaN, band.high?.nm ?? NaN]),
  ].filter((nm) => !Number.isNaN(nm));
  return all.length ? [Math.min(...all), Math.max(...all)] : [0, 0];
}

export interface Drawn {
  x: (at: number) => number;
  ticks: { at: number; x: number; says: string }[];
  path: string;
  dots: { x: number; low: number; high: number; y: number; left: boolean }[];
  bands: { x: number; wide: number; y: number | null; foot: number | null; piece: string }[];
  changes: { x: number; says: string }[];
  fan: string;
  likely: string;
}

/** Lay out one valve's drawing. */
export function draw(years: Years, one: ValveYears, span: number): Drawn {
  const x = scaleLinear()
    .domain([years.begins, Math.max(years.ends, years.begins + 1)])
    .range([LEFT, WIDE - LEFT]);
  const [low, high] = ends(years, one);
  span *= smaller(years, one, span);
  const middle = (low + high) / 2;
  const y = scaleLinear()
    .domain([middle - span / 2, middle + span / 2])
    .range([HIGH - FOOT, TOP]);
  const best = (dot: (typeof one.dots)[number]): number => (dot.low.nm + dot.high.nm) / 2;
  const last = one.dots.at(-1);
  const known = one.bands.some((band) => band.piece !== null);
  const far = years.ends;
  const after = (rate: number, at: number): number =>
    last ? best(last) - (rate * (at - last.at)) / 1000 : 0;
  const reach = last && one.rate ? [last.at, far] : [];
  const cone = area<number>()
    .x((at) => x(at))
    .y0((at) => y(after(one.rate?.high.nm ?? 0, at)))
    .y1((at) => y(after(one.rate?.low.nm ?? 0, at)));
  const straight = line<number>()
    .x((at) => x(at))
    .y((at) => y(after(one.rate?.best.nm ?? 0, at)));
  const through = line<Dot>()
    .defined((dot) => !dot.breaks)
    .x((dot) => x(dot.at))
    .y((dot) => y(best(dot)));
  return {
    x: (at) => x(at),
    ticks: x.ticks(4).map((at) => ({ at, x: x(at), says: grouped(at) })),
    path: through(withBreaks(one, years.lives, known)) ?? "",
    dots: one.dots.map((dot) => ({
      x: x(dot.at),
      low: y(dot.low.nm),
      high: y(dot.high.nm),
      y: y(best(dot)),
      left: dot.as_left,
    })),
    bands: one.bands.map((band) => ({
      x: x(band.begins),
      wide: x(band.ends ?? far) - x(band.begins),
      y: band.high ? y(band.high.nm) : null,
      foot: band.low ? y(band.low.nm) : null,
      piece: band.piece?.mm ?? "",
    })),
    changes: one.bands
      .slice(1)
      .map((band) => ({ x: x(band.begins), says: band.piece ? `to ${band.piece.mm}` : "changed" })),
    fan: reach.length ? (cone(reach) ?? "") : "",
    likely: reach.length ? (straight(reach) ?? "") : "",
  };
}

/** The dots with a break wherever a new life began, or gaps alone were told of another piece. */
function withBreaks(one: ValveYears, lives: readonly number[], known: boolean): Dot[] {
  const found: Dot[] = [];
  for (const dot of one.dots) {
    const before = found.at(-1);
    const anew = before && lives.some((life) => before.at < life && life <= dot.at);
    if (before && (anew || (!known && dot.as_left))) found.push({ ...dot, breaks: true });
    found.push(dot);
  }
  return found;
}
