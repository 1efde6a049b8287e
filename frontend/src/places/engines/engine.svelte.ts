/** The engine being edited: started from a layout or fetched, drawn at once, saved. */
import {
  type Draft,
  type Drawing,
  type Schemas,
  type Turning,
  answer,
  api,
} from "../../api/client";
import { Attempt } from "../../state/attempt.svelte";
import { route } from "../../state/route.svelte";
import { shopState } from "../../state/shop.svelte";
import type { EngineDocument, FamilyDocument, SpecDocument } from "./document";

const PAUSE_MS = 150;

/** The angles that are met: of a V, or between the cranks of a twin. */
export const ANGLES: Partial<Record<Schemas["Layout"], readonly number[]>> = {
  "parallel-twin": [270, 180, 360],
  "v-twin": [90, 75, 60],
};

/** Numbers are typed with a point or a comma; what is no number stays out of the file. */
export function number(text: string): number | undefined {
  const value = Number(text.replace(",", "."));
  return text.trim() === "" || Number.isNaN(value) ? undefined : value;
}

export class EngineState extends Attempt {
  label = $state("");
  note = $state("");
  file = $state<EngineDocument | null>(null);
  drawing = $state.raw<Drawing | null>(null);
  turning = $state.raw<Turning | null>(null);
  saved = $state(false);
  /** What a new engine starts from. */
  start = $state<Schemas["StartIn"]>({
    layout: "inline-four",
    valves: 4,
    camshafts: 2,
    follower: "bucket-under",
    angle: null,
    reversed_head: false,
    crank_along: false,
  });
  private revision = 0;

  constructor(readonly id: number | null) {
    super();
  }

  /** The angle that counts: the one picked where the layout has it, else its usual one. */
  get angle(): number | null {
    const offered = ANGLES[this.start.layout];
    if (!offered) return null;
    const picked = this.start.angle;
    return picked !== null && offered.includes(picked) ? picked : (offered[0] ?? null);
  }

  /** Begin anew with something of the layout changed. */
  async begin(change: Partial<Schemas["StartIn"]> = {}): Promise<void> {
    this.start = { ...this.start, ...change };
    const body = { ...this.start, angle: this.angle };
    await this.at(async () => {
      this.take(await answer(api.POST("/api/engines/start", { body })));
    });
  }

  async load(): Promise<void> {
    const engine_id = this.id;
    if (engine_id === null) return this.begin();
    await this.at(async () => {
      const params = { path: { engine_id } };
      const engine = await answer(api.GET("/api/engines/{engine_id}", { params }));
      ({ label: this.label, note: this.note, revision: this.revision } = engine);
      this.take(engine);
    });
  }

  private take(next: Pick<Draft, "document" | "drawing" | "turning">): void {
    ({ drawing: this.drawing, turning: this.turning } = next);
    this.file = JSON.parse(next.document) as EngineDocument;
  }

  private timer: ReturnType<typeof setTimeout> | undefined;

  /** Have the server draw what is being edited; it refuses what cannot be. */
  redraw(): void {
    this.saved = false;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      const document = JSON.stringify(this.file);
      void this.at(async () => {
        const drawn = await answer(api.POST("/api/engines/draft", { body: { document } }));
        ({ drawing: this.drawing, turning: this.turning } = drawn);
      });
    }, PAUSE_MS);
  }

  async save(): Promise<void> {
    if (!this.file) return;
    const { label, note, revision } = this;
    const document = JSON.stringify(this.file, null, 1);
    const engine_id = this.id;
    await this.at(async () => {
      if (engine_id === null) {
        const body = { label, note, document };
        shopState.shop = await answer(api.POST("/api/engines", { body }));
        route.go("/engines");
        return;
      }
      const params = { path: { engine_id } };
      const body = { revision, label, note, document };
      const engine = await answer(api.PUT("/api/engines/{engine_id}", { params, body }));
      this.revision = engine.revision;
      this.saved = true;
    });
  }

  /** What a field of numbers does when it is typed in: what is no number stays out of the file. */
  reads(take: (value: number) => void) {
    return (event: { currentTarget: HTMLInputElement }): void => {
      const value = number(event.currentTarget.value);
      if (value === undefined) return;
      take(value);
      this.redraw();
    };
  }

  // what is edited ------------------------------------------------------------------------

  setSpec(spec: SpecDocument, key: keyof SpecDocument, text: string): void {
    const value = number(text);
    if (value === undefined && (key === "min" || key === "max")) return;
    // what is undefined is left out of the file
    if (key === "min" || key === "max") spec[key] = value ?? spec[key];
    else spec[key] = value;
    this.redraw();
  }

  /** Give a valve its own spec, starting from its side's, or take it back. */
  ownSpec(id: string): void {
    const valve = this.file?.engine.valves.find((one) => one.id === id);
    if (!valve || !this.file) return;
    valve.spec = valve.spec ? undefined : { ...this.file.engine.spec[valve.side] };
    this.redraw();
  }

  /** Rename a valve; its key stays, and its shim, its history and open cards go by that. */
  rename(from: string, to: string): void {
    const valve = this.file?.engine.valves.find((one) => one.id === from);
    if (!valve || !to.trim()) return;
    valve.key ??= valve.id;
    valve.id = to.trim();
    if (valve.key === valve.id) delete valve.key;
    this.redraw();
  }

  renameCamshaft(from: string, to: string): void {
    const engine = this.file?.engine;
    const shaft = engine?.camshafts.find((one) => one.id === from);
    if (!engine || !shaft || !to.trim()) return;
    shaft.id = to.trim();
    for (const valve of engine.valves) if (valve.camshaft === from) valve.camshaft = shaft.id;
    this.redraw();
  }

  addClosers(): void {
    if (!this.file) return;
    const { intake, exhaust } = this.file.engine.spec;
    this.file.engine.spec.closer = { intake: { ...intake }, exhaust: { ...exhaust } };
    this.redraw();
  }

  addCloserFamily(): void {
    const engine = this.file?.engine;
    if (!engine) return;
    engine.closer_family = JSON.parse(JSON.stringify(engine.family)) as FamilyDocument;
    this.redraw();
  }

  addMark(): void {
    const crank = this.file?.engine.crank;
    if (!crank) return;
    const marks = crank.marks ?? [];
    crank.marks = [...marks, { name: `M${marks.length + 1}`, degrees: 0 }];
    this.redraw();
  }
}
