/** The engine file as the editor holds it; docs/formats/engine.md says what each part means. */

export interface SpecDocument {
  min?: number;
  max?: number;
  nominal?: number;
  plus_minus?: number;
  /** How far off is still right by the shop's own word, where one figure is printed alone. */
  room?: number;
  set_min?: number;
  set_max?: number;
  aim?: number;
}

export interface FamilyDocument {
  diameter?: number;
  runs: { from?: number; to?: number; step?: number }[];
  price?: number;
}

export interface MarkDocument {
  name: string;
  degrees?: number;
  cue?: string;
  count?: string;
  /** What is measured there, by the maker's own table. */
  valves?: string[];
}

export interface EngineDocument {
  unit?: "mm" | "in";
  shim_unit?: "mm" | "in";
  engine: {
    name: string;
    source?: string;
    owner?: string;
    plate?: string;
    vehicle?: string;
    counter?: string | null;
    interval?: number | null;
    caps?: string;
    tensioner?: string;
    page?: string;
    follower: string;
    crank: {
      rotation?: "clockwise" | "anticlockwise" | null;
      cylinders: { number: number; fires_at?: number | null }[];
      marks?: MarkDocument[];
    };
    camshafts: { id: string }[];
    family: FamilyDocument;
    closer_family?: FamilyDocument;
    valves: {
      id: string;
      cylinder: number;
      /** Stays when the valve is renamed; its first name where none is given. */
      key?: string;
      side: "intake" | "exhaust";
      camshaft: string;
      action?: "open" | "close";
      spec?: SpecDocument;
    }[];
    spec: {
      intake: SpecDocument;
      exhaust: SpecDocument;
      closer?: { intake: SpecDocument; exhaust: SpecDocument };
    };
    events?: {
      intake: { opens_btdc?: number; closes_abdc?: number };
      exhaust: { opens_bbdc?: number; closes_atdc?: number };
    };
  };
}

/** The same with every part that the editor shows: a file may leave out what nobody knows. */
export function whole(file: EngineDocument): EngineDocument {
  const engine = file.engine as Partial<EngineDocument["engine"]>;
  engine.name ??= "";
  engine.spec = {
    ...engine.spec,
    intake: engine.spec?.intake ?? {},
    exhaust: engine.spec?.exhaust ?? {},
  };
  if (engine.spec.closer)
    engine.spec.closer = {
      intake: engine.spec.closer.intake ?? {},
      exhaust: engine.spec.closer.exhaust ?? {},
    };
  for (const family of [(engine.family ??= { runs: [] }), engine.closer_family])
    if (family) family.runs ??= [];
  engine.crank ??= { cylinders: [] };
  engine.crank.cylinders ??= [];
  engine.camshafts ??= [];
  engine.valves ??= [];
  if (engine.events) {
    engine.events.intake ??= {};
    engine.events.exhaust ??= {};
  }
  return file;
}

/** What was typed stays when the layout, the followers or the camshafts are changed. */
export function keepTyped(before: EngineDocument, after: EngineDocument, firing: boolean): void {
  const { unit, shim_unit, engine } = before;
  Object.assign(after, { unit, shim_unit });
  const { name, source, page, spec, family, closer_family, events } = engine;
  Object.assign(after.engine, { source, page, spec, family, closer_family, events });
  if (!name.startsWith("New ")) after.engine.name = name;
  after.engine.crank.rotation = engine.crank.rotation;
  if (firing) {
    const fires = new Map(engine.crank.cylinders.map((one) => [one.number, one.fires_at]));
    for (const one of after.engine.crank.cylinders) one.fires_at = fires.get(one.number) ?? null;
  }
  const there = new Set(after.engine.valves.map((valve) => valve.id));
  after.engine.crank.marks = engine.crank.marks?.map((mark) => ({
    ...mark,
    valves: mark.valves?.filter((id) => there.has(id)),
  }));
  const { vehicle, owner, plate, counter, interval, caps, tensioner } = engine;
  Object.assign(after.engine, { vehicle, owner, plate, counter, interval, caps, tensioner });
  const own = new Map(engine.valves.map((valve) => [valve.id, valve.spec]));
  for (const valve of after.engine.valves) valve.spec = own.get(valve.id);
}
