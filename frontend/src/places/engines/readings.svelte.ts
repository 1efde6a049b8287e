/** What is typed of an engine, read by the server: what cannot be read is said at its field. */
import { type Refusal, type Schemas, answer, api } from "../../api/client";
import { SvelteMap, SvelteSet } from "svelte/reactivity";
import { Attempt } from "../../state/attempt.svelte";
import type { EngineDocument, SpecDocument } from "./document";
import type { TypedSpec } from "./draft";

const NO_SPEC: SpecDocument = {
  min: undefined,
  max: undefined,
  nominal: undefined,
  plus_minus: undefined,
  room: undefined,
};

/** Numbers are typed with a point or a comma; what is no number stays out of the file. */
export function number(text: string): number | undefined {
  const value = Number(text.replace(",", "."));
  return text.trim() === "" || Number.isNaN(value) ? undefined : value;
}

export abstract class EngineReadings extends Attempt {
  file = $state<EngineDocument | null>(null);
  /** Specs and sizes as typed, which stand even where they cannot be read. */
  specs = $state<Record<string, TypedSpec>>({});
  sizes = $state<string | null>(null);

  /** Have the server draw what is being edited. */
  abstract redraw(): void;

  /** Fields that cannot be read as they stand, by what they are called: nothing is saved then. */
  readonly faults = new SvelteMap<string, string>();
  /** What could be typed in such a field instead; a spec's may be meant for its room. */
  readonly offered = new SvelteMap<string, Pick<Refusal, "offers" | "field">>();
  /** Specs of one figure alone: their field for what is still right stays while it is typed in. */
  readonly oneFigure = new SvelteSet<string>();

  /** What a field of numbers does when it is typed in; one that may be empty is then unknown. */
  reads(called: string, take: (value: number | undefined) => void, optional = false) {
    return (event: { currentTarget: HTMLInputElement }): void => {
      const text = event.currentTarget.value;
      const value = number(text);
      if (value === undefined && !(optional && text.trim() === "")) {
        this.faults.set(
          called,
          text.trim() ? `“${text.trim()}” is not a number; write it like 0.15.` : "is empty.",
        );
        return;
      }
      this.faults.delete(called);
      take(value);
      this.redraw();
    };
  }

  /** How often each thing was asked: answers may overtake one another, and the last one stands. */
  private readonly latest: Record<string, number> = {};

  /** Ask something of the server; what is returned says whether nothing newer was asked since. */
  protected asking(what: string): () => boolean {
    const turn = (this.latest[what] ?? 0) + 1;
    this.latest[what] = turn;
    return () => this.latest[what] === turn;
  }

  /** Readings of what was typed that are still on their way: saving waits for them. */
  protected pending: Promise<unknown> = Promise.resolve();

  /**
   * Have the server read what was typed in a field; what it cannot read, or could read in two
   * ways, is said at the field. Saving waits for it.
   */
  private reading<Read>(
    called: string,
    ask: (() => Promise<Read>) | null,
    take: (read: Read) => void,
  ): void {
    const stands = this.asking(called);
    this.clear(called);
    const through = async (): Promise<void> => {
      try {
        const read = await ask?.();
        if (read && stands()) take(read);
      } catch (error) {
        if (!stands()) return;
        const refusal = error as Refusal;
        this.faults.set(called, refusal.sentence);
        this.offered.set(called, refusal);
        if (refusal.field === "room") this.oneFigure.add(called);
      }
      this.redraw();
    };
    this.pending = Promise.all([this.pending, through()]);
  }

  /** Nothing is wrong with a field any more. */
  private clear(called: string): void {
    this.faults.delete(called);
    this.offered.delete(called);
  }

  /** Read a spec as it is printed. */
  private readPrinted(
    called: string,
    text: string,
    room: string,
    take: (read: Schemas["PrintedOut"]) => void,
  ): void {
    const body = { text, room, unit: this.file?.unit ?? "mm" };
    const ask = () => answer(api.POST("/api/engines/spec", { body }));
    this.reading(called, text.trim() ? ask : null, take);
  }

  /** Enter a spec as it is printed. */
  printed(called: string, spec: SpecDocument, text: string, room: string): void {
    Object.assign(spec, NO_SPEC);
    if (!text.trim()) this.oneFigure.delete(called);
    this.readPrinted(called, text, room, ({ parts, typed }) => {
      const file = this.file;
      if (file && typed && typed !== (file.unit ?? "mm") && this.isFirst(spec)) {
        // the unit of a manual is that of its first spec
        file.shim_unit ??= file.unit ?? "mm";
        file.unit = typed;
        this.printed(called, spec, text, room);
        return;
      }
      Object.assign(spec, parts);
      if (spec.room === undefined) this.oneFigure.delete(called);
      else this.oneFigure.add(called);
    });
  }

  /** Whether no other spec is entered yet. */
  protected isFirst(spec: SpecDocument): boolean {
    if (!this.file) return false;
    const { spec: sides, valves } = this.file.engine;
    const all = [sides.intake, sides.exhaust, sides.closer?.intake, sides.closer?.exhaust];
    return [...all, ...valves.map((valve) => valve.spec)].every(
      (one) => !one || one === spec || (one.nominal === undefined && one.min === undefined),
    );
  }

  /** Enter the range to set to, as it is printed. */
  setRange(called: string, spec: SpecDocument, text: string): void {
    Object.assign(spec, { set_min: undefined, set_max: undefined });
    this.readPrinted(called, text, "", ({ low, high }) => {
      [spec.set_min, spec.set_max] = [low, high];
    });
  }

  /** Enter the sizes that are made, as they are typed: `1.20-3.50/0.05`. */
  typeSizes(text: string): void {
    const family = this.file?.engine.family;
    if (!family) return;
    this.sizes = text;
    family.runs = [];
    const unit = this.file?.shim_unit ?? this.file?.unit ?? "mm";
    const ask = () => answer(api.POST("/api/engines/sizes", { body: { text, unit } }));
    this.reading("Shim sizes", text.trim() ? ask : null, ({ runs }) => (family.runs = runs));
    if (!text.trim()) this.redraw();
  }

  /** Enter how often the clearances are checked, as the manual prints it. */
  interval(text: string): void {
    const engine = this.file?.engine;
    if (!engine) return;
    engine.interval = null;
    this.reading(
      "Interval",
      () => answer(api.POST("/api/engines/interval", { body: { text } })),
      ({ count }) => (engine.interval = count),
    );
  }
}
