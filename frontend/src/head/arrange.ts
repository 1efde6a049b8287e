/**
 * Lay the head out in a space of so many pixels: banks one behind the other, the plates
 * of each bank in rows beside it, everything turned to where the technician stands.
 * This is drawing only; what lies where comes from the server.
 */
import type { Drawing } from "../api/client";

/** Quarter turns clockwise. 0: front up for a crank across the machine, front left along it. */
export type Turn = 0 | 1 | 2 | 3;

interface Point {
  x: number;
  y: number;
}
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}
export interface Disc {
  x: number;
  y: number;
  r: number;
}
export interface Bore {
  cylinder: number;
  at: Disc;
  /** Where the cylinder's figure stands, clear of the valves. */
  figure: Point;
}
export interface Arranged {
  width: number;
  height: number;
  turn: Turn;
  /** The side of the drawing that the machine's front is on. */
  front: "up" | "right" | "down" | "left";
  scale: number;
  bores: Bore[];
  camshafts: { id: string; from: { x: number; y: number }; to: { x: number; y: number } }[];
  valves: { valve: string; at: Disc; plate: Box; leader: { x: number; y: number } }[];
}

const GAP = 6;
const PLATE_ALONG_MAX = 168;
const MARGIN = 8;
/** Room for the word that says where the front is. */
const FRONT = 20;
/** What a finger needs. */
export const TOUCH = 44;

interface Needs {
  pitches: number;
  abreast: number;
  rows: number;
  /** Plates one behind the other on a side: two where a valve has two shims. */
  deep: number;
}

function needs(drawing: Drawing): Needs {
  const abreast = Math.max(
    ...drawing.banks.flatMap((bank) =>
      bank.bores.flatMap((bore) =>
        [-1, 1].map(
          (side) =>
            bank.valves.filter(
              (v) => v.plate === side && v.rank === 0 && Math.abs(v.u - bore.u) < 0.5,
            ).length,
        ),
      ),
    ),
  );
  return {
    pitches: Math.max(...drawing.banks.map((bank) => bank.length)),
    abreast,
    rows: drawing.banks.length,
    deep: 1 + Math.max(...drawing.banks.flatMap((bank) => bank.valves.map((v) => v.rank))),
  };
}

/** So narrow that what is below the drawing decides its height, which changes with the stage. */
const PHONE = 640;

/**
 * Return the turn that leaves the plates the most room. On a phone it goes by the width alone:
 * a head that turns when the panel below it grows is lost sight of.
 */
export function bestTurn(drawing: Drawing, width: number, height: number): Turn {
  const need = needs(drawing);
  const across = (width - 2 * MARGIN) / need.pitches / need.abreast;
  return across >= 88 && (width < PHONE || width >= height * 0.8) ? 0 : 1;
}

function facing(drawing: Drawing, turn: Turn): Arranged["front"] {
  const round: Arranged["front"][] = ["up", "right", "down", "left"];
  return round[(turn + (drawing.crank === "along" ? 3 : 0)) % 4] ?? "up";
}

/** What everything measures in a space of so many pixels, before it is turned. */
interface Measures {
  need: Needs;
  upright: boolean;
  pitch: number;
  plate: { along: number; across: number };
  strip: number;
  bankDepth: number;
  scale: number;
  canvas: { width: number; height: number };
  start: { along: number; across: number };
}

function measures(drawing: Drawing, width: number, height: number, turn: Turn): Measures {
  const need = needs(drawing);
  const upright = turn % 2 === 1;
  const margin =
    drawing.crank === "along" ? { along: FRONT, across: MARGIN } : { along: MARGIN, across: FRONT };
  const alongRoom = Math.max(
    (upright ? height : width) - 2 * margin.along,
    need.pitches * need.abreast * (TOUCH + GAP),
  );
  const acrossRoom = (upright ? width : height) - 2 * margin.across;
  const pitch = Math.min(alongRoom / need.pitches, 300);
  const perBank = acrossRoom / need.rows;
  const stripWanted = Math.min(pitch, perBank * (upright ? 0.34 : 0.42), 230);
  const plate = {
    along: Math.min(pitch / need.abreast - GAP, upright ? 124 : PLATE_ALONG_MAX),
    across: Math.min(
      Math.max((perBank - stripWanted) / 2 / need.deep - GAP, upright ? 56 : TOUCH),
      upright ? 150 : 132,
    ),
  };
  const plates = 2 * need.deep * (plate.across + GAP);
  const strip = Math.min(pitch, Math.max(perBank - plates, 46), 230);
  const bankDepth = strip + plates;
  const size = { along: need.pitches * pitch, across: bankDepth * need.rows };
  const wanted = { along: size.along + 2 * margin.along, across: size.across + 2 * margin.across };
  const canvas = {
    width: Math.max(width, upright ? wanted.across : wanted.along),
    height: Math.max(height, upright ? wanted.along : wanted.across),
  };
  const start = {
    along: ((upright ? canvas.height : canvas.width) - size.along) / 2,
    across: ((upright ? canvas.width : canvas.height) - size.across) / 2,
  };
  const scale = Math.min(pitch, strip) * 0.96;
  return { need, upright, pitch, plate, strip, bankDepth, scale, canvas, start };
}

/** Return where everything goes. Plates keep at least the touch size; the height may grow. */
export function arrange(drawing: Drawing, width: number, height: number, turn: Turn): Arranged {
  const has = measures(drawing, width, height, turn);
  const { canvas, scale } = has;

  /** Turn a point of (along, across), both from the drawing's own corner, to the screen. */
  const place = (along: number, across: number): Point => {
    if (turn === 0) return { x: along, y: across };
    if (turn === 1) return { x: canvas.width - across, y: along };
    if (turn === 2) return { x: canvas.width - along, y: canvas.height - across };
    return { x: across, y: canvas.height - along };
  };

  const banks = drawing.banks.map((bank, index) => {
    const from = has.start.along + ((has.need.pitches - bank.length) * has.pitch) / 2;
    const centre = has.start.across + index * has.bankDepth + has.bankDepth / 2;
    const at = (u: number, v = 0): Point => {
      const cylinder = Math.min(Math.floor(u), bank.length - 1) + 0.5;
      return place(from + cylinder * has.pitch + (u - cylinder) * scale, centre + v * scale);
    };
    const spots = bank.valves.map((spot) => ({
      spot,
      disc: { ...at(spot.u, spot.v), r: spot.radius * scale },
    }));
    const discs = spots.map((one) => one.disc);
    return {
      bores: bank.bores.map((bore) => {
        const circle = { ...at(bore.u), r: drawing.bore_radius * scale };
        return { cylinder: bore.cylinder, at: circle, figure: freest(circle, discs) };
      }),
      camshafts: bank.camshafts.map((bar) => ({
        id: bar.camshaft,
        from: at(bar.start, bar.v),
        to: at(bar.end, bar.v),
      })),
      valves: spots.map(({ spot, disc }) => ({
        valve: spot.valve,
        at: disc,
        ...plateOf(bank, spot, has, (along, across) => place(from + along, centre + across)),
      })),
    };
  });
  return {
    ...canvas,
    turn,
    front: facing(drawing, turn),
    scale,
    bores: banks.flatMap((bank) => bank.bores),
    camshafts: banks.flatMap((bank) => bank.camshafts),
    valves: banks.flatMap((bank) => bank.valves),
  };
}

/** Of a bore's middle and the four sides of it, the place farthest from any valve. */
export function freest(bore: Disc, valves: readonly Disc[]): Point {
  const { x, y } = bore;
  const side = bore.r * 0.68;
  const room = (at: Point): number =>
    Math.min(...valves.map((valve) => Math.hypot(at.x - valve.x, at.y - valve.y) - valve.r));
  const middle = { x, y };
  if (!valves.length || room(middle) > bore.r * 0.1) return middle;
  const sides = [
    { x: x - side, y },
    { x: x + side, y },
    { x, y: y - side },
    { x, y: y + side },
  ];
  return sides.reduce((best, at) => (room(at) > room(best) + 0.5 ? at : best), middle);
}

/** Return a valve's plate, beside its twins' on its side of the bank, and its leader's end. */
function plateOf(
  bank: Drawing["banks"][number],
  spot: Drawing["banks"][number]["valves"][number],
  { pitch, plate, strip, upright }: Measures,
  place: (along: number, across: number) => Point,
): { plate: Box; leader: Point } {
  const cylinder = Math.floor(spot.u);
  const twins = bank.valves
    .filter((v) => v.plate === spot.plate && v.rank === spot.rank && Math.floor(v.u) === cylinder)
    .sort((a, b) => a.u - b.u);
  const nth = twins.findIndex((v) => v.valve === spot.valve);
  const slot = nth - (twins.length - 1) / 2;
  const along = (cylinder + 0.5) * pitch + slot * (plate.along + GAP);
  const out = strip / 2 + (GAP + plate.across) * (spot.rank + 1) - plate.across / 2;
  const centre = place(along, spot.plate * out);
  const size = upright
    ? { width: plate.across, height: plate.along }
    : { width: plate.along, height: plate.across };
  return {
    plate: { x: centre.x - size.width / 2, y: centre.y - size.height / 2, ...size },
    leader: place(along, spot.plate * (strip / 2 + GAP)),
  };
}

export type Heading = "up" | "right" | "down" | "left";

/** Return the valve whose plate lies nearest in that direction, or null at the edge. */
export function neighbour(arranged: Arranged, from: string, heading: Heading): string | null {
  const start = arranged.valves.find((one) => one.valve === from);
  if (!start) return null;
  const centre = (box: Box) => ({ x: box.x + box.width / 2, y: box.y + box.height / 2 });
  const origin = centre(start.plate);
  const [dx, dy] = { up: [0, -1], right: [1, 0], down: [0, 1], left: [-1, 0] }[heading] as [
    number,
    number,
  ];
  let best: { valve: string; cost: number } | null = null;
  for (const one of arranged.valves) {
    const to = centre(one.plate);
    const ahead = (to.x - origin.x) * dx + (to.y - origin.y) * dy;
    if (one.valve === from || ahead < 4) continue;
    const aside = Math.abs((to.x - origin.x) * dy) + Math.abs((to.y - origin.y) * dx);
    const cost = ahead + aside * 2.2;
    if (!best || cost < best.cost) best = { valve: one.valve, cost };
  }
  return best?.valve ?? null;
}
