/**
 * Lay the head out in a space of so many pixels: banks one behind the other, the plates
 * of each bank in rows beside it, everything turned to where the technician stands.
 * This is drawing only; what lies where comes from the server.
 */
import type { Drawing } from "../api/client";

/** Quarter turns clockwise. 0: front up for a crank across the machine, front left along it. */
export type Turn = 0 | 1 | 2 | 3;

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
export interface Arranged {
  width: number;
  height: number;
  turn: Turn;
  /** The side of the drawing that the machine's front is on. */
  front: "up" | "right" | "down" | "left";
  scale: number;
  bores: { cylinder: number; at: Disc }[];
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

/** Return the turn that leaves the plates the most room. */
export function bestTurn(drawing: Drawing, width: number, height: number): Turn {
  const need = needs(drawing);
  const across = (width - 2 * MARGIN) / need.pitches / need.abreast;
  return across >= 88 && width >= height * 0.8 ? 0 : 1;
}

function facing(drawing: Drawing, turn: Turn): Arranged["front"] {
  const round: Arranged["front"][] = ["up", "right", "down", "left"];
  return round[(turn + (drawing.crank === "along" ? 3 : 0)) % 4] ?? "up";
}

/** Return where everything goes. Plates keep at least the touch size; the height may grow. */
export function arrange(drawing: Drawing, width: number, height: number, turn: Turn): Arranged {
  const need = needs(drawing);
  const upright = turn % 2 === 1;
  const endwise = drawing.crank === "along";
  const [alongMargin, acrossMargin] = endwise ? [FRONT, MARGIN] : [MARGIN, FRONT];
  const alongRoom = Math.max(
    (upright ? height : width) - 2 * alongMargin,
    need.pitches * need.abreast * (TOUCH + GAP),
  );
  const acrossRoom = (upright ? width : height) - 2 * acrossMargin;
  const pitch = Math.min(alongRoom / need.pitches, 300);
  const plateAlong = Math.min(pitch / need.abreast - GAP, upright ? 124 : PLATE_ALONG_MAX);
  const perBank = acrossRoom / need.rows;
  const stripWanted = Math.min(pitch, perBank * (upright ? 0.34 : 0.42), 230);
  const plateAcross = Math.min(
    Math.max((perBank - stripWanted) / 2 / need.deep - GAP, upright ? 56 : TOUCH),
    upright ? 150 : 132,
  );
  const strip = Math.min(pitch, Math.max(perBank - 2 * need.deep * (plateAcross + GAP), 46), 230);
  const bankDepth = strip + 2 * need.deep * (plateAcross + GAP);
  const scale = Math.min(pitch, strip) * 0.96;

  const alongSize = need.pitches * pitch;
  const acrossSize = bankDepth * need.rows;
  const wanted = { along: alongSize + 2 * alongMargin, across: acrossSize + 2 * acrossMargin };
  const canvas = {
    width: Math.max(width, upright ? wanted.across : wanted.along),
    height: Math.max(height, upright ? wanted.along : wanted.across),
  };
  const alongStart = ((upright ? canvas.height : canvas.width) - alongSize) / 2;
  const acrossStart = ((upright ? canvas.width : canvas.height) - acrossSize) / 2;

  /** Turn a point of (along, across), both from the drawing's own corner, to the screen. */
  const place = (along: number, across: number): { x: number; y: number } => {
    if (turn === 0) return { x: along, y: across };
    if (turn === 1) return { x: canvas.width - across, y: along };
    if (turn === 2) return { x: canvas.width - along, y: canvas.height - across };
    return { x: across, y: canvas.height - along };
  };

  const arranged: Arranged = {
    ...canvas,
    turn,
    front: facing(drawing, turn),
    scale,
    bores: [],
    camshafts: [],
    valves: [],
  };
  drawing.banks.forEach((bank, index) => {
    const shift = ((need.pitches - bank.length) * pitch) / 2;
    const centre = acrossStart + index * bankDepth + bankDepth / 2;
    const along = (u: number): number => {
      const cylinder = Math.min(Math.floor(u), bank.length - 1) + 0.5;
      return alongStart + shift + cylinder * pitch + (u - cylinder) * scale;
    };
    for (const bore of bank.bores) {
      const at = place(along(bore.u), centre);
      arranged.bores.push({
        cylinder: bore.cylinder,
        at: { ...at, r: drawing.bore_radius * scale },
      });
    }
    for (const bar of bank.camshafts) {
      const across = centre + bar.v * scale;
      arranged.camshafts.push({
        id: bar.camshaft,
        from: place(along(bar.start), across),
        to: place(along(bar.end), across),
      });
    }
    for (const spot of bank.valves) {
      const cylinder = Math.floor(spot.u);
      const twins = bank.valves
        .filter(
          (v) => v.plate === spot.plate && v.rank === spot.rank && Math.floor(v.u) === cylinder,
        )
        .sort((a, b) => a.u - b.u);
      const nth = twins.findIndex((v) => v.valve === spot.valve);
      const slot = nth - (twins.length - 1) / 2;
      const plateCentre = place(
        alongStart + shift + (cylinder + 0.5) * pitch + slot * (plateAlong + GAP),
        centre + spot.plate * (strip / 2 + (GAP + plateAcross) * (spot.rank + 1) - plateAcross / 2),
      );
      const leader = place(
        alongStart + shift + (cylinder + 0.5) * pitch + slot * (plateAlong + GAP),
        centre + spot.plate * (strip / 2 + GAP),
      );
      const size = upright
        ? { width: plateAcross, height: plateAlong }
        : { width: plateAlong, height: plateAcross };
      arranged.valves.push({
        valve: spot.valve,
        at: { ...place(along(spot.u), centre + spot.v * scale), r: spot.radius * scale },
        plate: { x: plateCentre.x - size.width / 2, y: plateCentre.y - size.height / 2, ...size },
        leader,
      });
    }
  });
  return arranged;
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
