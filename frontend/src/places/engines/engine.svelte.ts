/** The engine being edited: started from a layout or fetched, drawn at once, saved. */
import {
  type Draft,
  type Drawing,
  type Schemas,
  type Turning,
  answer,
  api,
} from "../../api/client";
import { type FromSum, opening } from "../../state/opening.svelte";
import { route } from "../../state/route.svelte";
import { shopState } from "../../state/shop.svelte";
import { type EngineDocument, type FamilyDocument, keepTyped, whole } from "./document";
import { type EngineDraft, keepDraft, keptDraft } from "./draft";
import { EngineReadings } from "./readings.svelte";

const PAUSE_MS = 150;

/** Layouts that fix by themselves when their cylinders fire. */
const FIXED: ReadonlySet<string> = new Set(["single", "l-twin"]);

/** What a run of sizes is made of, as it is said. */
export const RUN_ENDS = [
  { key: "from", says: "from" },
  { key: "to", says: "to" },
  { key: "step", says: "by" },
] as const;

/** The angles of the cam timing, as a manual names them. */
export const TIMING = [
  { says: "IN opens BTDC", side: "intake", key: "opens_btdc" },
  { says: "IN closes ABDC", side: "intake", key: "closes_abdc" },
  { says: "EX opens BBDC", side: "exhaust", key: "opens_bbdc" },
  { says: "EX closes ATDC", side: "exhaust", key: "closes_atdc" },
] as const;

export class EngineState extends EngineReadings {
  label = $state("");
  note = $state("");
  drawing = $state.raw<Drawing | null>(null);
  turning = $state.raw<Turning | null>(null);
  saved = $state(false);
  /** What kept it from being saved: a field that cannot be read as it stands. */
  unreadable = $state<string | null>(null);
  /** What a new engine starts from. */
  start = $state<Schemas["StartIn"]>({
    layout: "inline-four",
    valves: 4,
    camshafts: 2,
    follower: "bucket-under",
    angle: null,
    reversed_head: false,
    crank_along: false,
    firing: "",
  });
  /** Whether anything of a new engine was typed, or stands from before. */
  touched = $state(false);
  private revision = 0;

  constructor(readonly id: number | null) {
    super();
  }

  /** Whether the cylinders fire otherwise than in what stands there: nobody has said how. */
  private firesAnew = false;

  /** Begin anew with something of the layout changed; what is typed meanwhile stays. */
  async begin(change: Partial<Schemas["StartIn"]> = {}): Promise<void> {
    const firing = change.layout ? (FIXED.has(change.layout) ? null : "") : this.start.firing;
    this.firesAnew ||= change.layout !== undefined || change.firing !== undefined;
    this.start = { ...this.start, firing, ...change };
    const body = this.start;
    const stands = this.asking("start");
    const through = this.at(async () => {
      const begun = await answer(api.POST("/api/engines/start", { body }));
      if (!stands()) return; // the next answer has this change too
      const before = this.file;
      this.take(begun);
      if (before && this.file) keepTyped(before, this.file, !this.firesAnew);
      this.firesAnew = false;
      this.redraw();
    });
    this.pending = Promise.all([this.pending, through]);
    await through;
  }

  async load(): Promise<void> {
    const engine_id = this.id;
    if (engine_id === null) return this.goOn();
    await this.at(async () => {
      const params = { path: { engine_id } };
      const engine = await answer(api.GET("/api/engines/{engine_id}", { params }));
      ({ label: this.label, note: this.note, revision: this.revision } = engine);
      this.take(engine);
    });
  }

  /** Go on with what was typed of a new engine before, or begin. */
  private async goOn(): Promise<void> {
    const { sum } = opening;
    opening.sum = null;
    await this.unfinished();
    if (sum) this.fillIn(sum);
  }

  /** Fill in what a quick sum knows, where nothing stands yet. */
  private fillIn(sum: FromSum): void {
    const { file } = this;
    if (!file) return;
    const { intake } = file.engine.spec;
    const bare = this.isFirst(intake) && intake.min === undefined && intake.nominal === undefined;
    if (bare && sum.spec.trim()) {
      [file.unit, file.shim_unit] = [sum.unit, sum.shimUnit];
      const { spec: text, room } = sum;
      this.specs.Intake = { text, room };
      this.printed("Intake allowed gap", intake, text, room);
    }
    if (!file.engine.family.runs.length && sum.sizes.trim()) this.typeSizes(sum.sizes);
  }

  private async unfinished(): Promise<void> {
    const draft = keptDraft();
    if (!draft) return this.begin();
    ({ label: this.label, note: this.note, start: this.start, specs: this.specs } = draft);
    [this.sizes, this.file, this.touched] = [draft.sizes || null, whole(draft.file), true];
    const { intake, exhaust, closer } = this.file.engine.spec;
    const sides = {
      Intake: intake,
      Exhaust: exhaust,
      "Intake closer": closer?.intake,
      "Exhaust closer": closer?.exhaust,
    };
    for (const [name, spec] of Object.entries(sides)) {
      const typed = this.specs[name];
      // what cannot be read is said again
      if (spec && typed?.text)
        this.printed(`${name} allowed gap`, spec, typed.text, typed.room ?? "");
    }
    this.redraw();
  }

  /** Keep what is typed of a new engine, for when this page is left; read off all of it. */
  keep(): void {
    if (this.id !== null || !this.file) return;
    const draft: EngineDraft = {
      label: this.label,
      note: this.note,
      start: this.start,
      file: $state.snapshot(this.file) as EngineDocument,
      specs: $state.snapshot(this.specs),
      sizes: this.sizes ?? "",
    };
    const text = JSON.stringify(draft);
    this.first ??= text;
    if (text === this.first && !this.touched) return;
    this.touched = true;
    keepDraft(draft);
  }
  private first: string | null = null;

  /** Begin a new engine afresh: nothing of what was typed stays. */
  async afresh(): Promise<void> {
    keepDraft(null);
    [this.label, this.note, this.specs, this.sizes, this.file] = ["", "", {}, null, null];
    [this.first, this.touched] = [null, false];
    for (const kept of [this.faults, this.offered]) kept.clear();
    this.oneFigure.clear();
    await this.begin({ layout: "inline-four", valves: 4, camshafts: 2 });
  }

  private take(next: Pick<Draft, "document" | "drawing" | "turning">): void {
    ({ drawing: this.drawing, turning: this.turning } = next);
    this.file = whole(JSON.parse(next.document) as EngineDocument);
  }

  /** The engine file; a run or a mark that is not whole yet is not in it. */
  private text(): string {
    const file = JSON.parse(JSON.stringify(this.file)) as EngineDocument;
    for (const family of [file.engine.family, file.engine.closer_family])
      if (family)
        family.runs = family.runs.filter((run) => Object.keys(run).length === RUN_ENDS.length);
    const { crank } = file.engine;
    crank.marks = crank.marks?.filter((mark) => mark.name.trim() !== "");
    return JSON.stringify(file, null, 1);
  }

  private timer: ReturnType<typeof setTimeout> | undefined;

  /** Have the server draw what is being edited; it refuses what cannot be. */
  redraw(): void {
    this.saved = false;
    if (this.faults.size === 0) this.unreadable = null;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      if (!this.file) return; // nothing is being edited any more
      const document = this.text();
      const stands = this.asking("drawing");
      void this.at(async () => {
        const drawn = await answer(api.POST("/api/engines/draft", { body: { document } }));
        if (stands()) ({ drawing: this.drawing, turning: this.turning } = drawn);
      });
    }, PAUSE_MS);
  }

  async save(then: "bench" | "card" = "bench"): Promise<void> {
    if (!this.file || this.saving) return;
    this.saving = true;
    await this.pending;
    await this.send(then);
    this.saving = false;
  }
  /** While it is on its way nothing is saved twice. */
  private saving = false;

  private async send(then: "bench" | "card"): Promise<void> {
    const { label, note, revision } = this;
    const [fault] = this.faults;
    this.unreadable = fault ? `${fault[0]}: ${fault[1]}` : null;
    if (fault) return;
    const document = this.text();
    const engine_id = this.id;
    await this.at(async () => {
      if (engine_id === null) {
        const body = { label, note, document };
        shopState.shop = await answer(api.POST("/api/engines", { body }));
        keepDraft(null);
        opening.engine = await this.added();
        opening.asked = then === "card";
        route.go("/");
        return;
      }
      const params = { path: { engine_id } };
      const body = { revision, label, note, document };
      const engine = await answer(api.PUT("/api/engines/{engine_id}", { params, body }));
      this.revision = engine.revision;
      this.saved = true;
    });
  }

  /** Return which engine the one just saved is: the newest of its name. */
  private async added(): Promise<number | null> {
    const query = { like: this.label };
    const { engines } = await answer(api.GET("/api/engines", { params: { query } }));
    const named = engines.filter((one) => one.label === this.label.trim());
    return named.length ? Math.max(...named.map((one) => one.id)) : null;
  }

  // what is edited ------------------------------------------------------------------------

  /** Give a valve its own spec, starting from its side's, or take it back. */
  ownSpec(id: string): void {
    const valve = this.file?.engine.valves.find((one) => one.id === id);
    if (!valve || !this.file) return;
    valve.spec = valve.spec ? undefined : {};
    this.redraw();
  }

  /** Rename a valve; its key stays, and its shim, its history and open cards go by that. */
  rename(from: string, to: string): void {
    const valve = this.file?.engine.valves.find((one) => one.id === from);
    if (!valve || !to.trim()) return;
    valve.key ??= valve.id;
    for (const mark of this.file?.engine.crank.marks ?? [])
      mark.valves = mark.valves?.map((one) => (one === from ? to.trim() : one));
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
    this.file.engine.spec.closer = { intake: {}, exhaust: {} };
    this.redraw();
  }

  addCloserFamily(): void {
    const engine = this.file?.engine;
    if (!engine) return;
    engine.closer_family = { runs: [] };
    this.redraw();
  }

  addTiming(): void {
    if (this.file) this.file.engine.events = { intake: {}, exhaust: {} };
    for (const angle of TIMING) this.faults.set(angle.says, "is empty.");
  }

  addRun(family: FamilyDocument, name: string): void {
    this.sizes = null;
    const nth = family.runs.push({});
    for (const end of RUN_ENDS) this.faults.set(`${name} run ${nth} ${end.says}`, "is empty.");
  }

  dropRun(family: FamilyDocument, name: string, nth: number): void {
    this.sizes = null;
    family.runs.splice(nth, 1);
    // the runs behind it move up: what could not be read of them is asked again
    for (const called of [...this.faults.keys()])
      if (called.startsWith(`${name} run `)) this.faults.delete(called);
    family.runs.forEach((run, n) => {
      for (const { key, says } of RUN_ENDS)
        if (run[key] === undefined) this.faults.set(`${name} run ${n + 1} ${says}`, "is empty.");
    });
    this.redraw();
  }

  addMark(): void {
    const crank = this.file?.engine.crank;
    if (!crank) return;
    const marks = crank.marks ?? [];
    crank.marks = [...marks, { name: "" }];
    this.redraw();
  }

  dropMark(nth: number): void {
    this.file?.engine.crank.marks?.splice(nth, 1);
    for (const called of [...this.faults.keys()])
      if (/^Mark \d+ at$/.test(called)) this.faults.delete(called);
    this.redraw();
  }
}
