/**
 * What was written down and the server has not taken yet. It is kept in this browser before
 * it is sent, so a reload, a stopped server or a lost network loses nothing; each entry keeps
 * the key it was first sent with, so nothing is done twice.
 */
import type { Condition, Stage, Unit } from "../api/client";

export interface Waiting {
  key: string;
  stage: Stage;
  valve: string;
  text: string;
  unit: Unit;
  repeats: boolean;
  reason?: string;
  condition?: Condition | undefined;
}

function read<T>(name: string, empty: T): T {
  try {
    return (JSON.parse(localStorage.getItem(name) ?? "null") as T | null) ?? empty;
  } catch {
    return empty;
  }
}

function write(name: string, value: unknown): void {
  try {
    localStorage.setItem(name, JSON.stringify(value));
  } catch {
    // a browser that keeps nothing still works until it is closed
  }
}

export class Outbox {
  waiting = $state.raw<readonly Waiting[]>([]);
  /** Typed and not entered, by stage and valve. */
  drafts = $state<Record<string, string>>({});
  /** The unit each draft was begun in. */
  units = $state<Record<string, Unit>>({});

  constructor(private readonly card: number) {
    this.waiting = read<Waiting[]>(this.name("outbox"), []);
    this.drafts = read<Record<string, string>>(this.name("drafts"), {});
    this.units = read<Record<string, Unit>>(this.name("units"), {});
  }

  private name(what: string): string {
    return `plimb.card.${this.card}.${what}`;
  }

  /** Keep an entry; a later one for the same valve and stage waits behind it. */
  add(entry: Waiting): void {
    this.set([...this.waiting, entry]);
  }

  remove(key: string): void {
    this.set(this.waiting.filter((entry) => entry.key !== key));
  }

  of(stage: Stage, valve: string): Waiting | null {
    return this.waiting.findLast((entry) => entry.stage === stage && entry.valve === valve) ?? null;
  }

  /** Keep what is typed; it stays in the unit it was begun in, whatever is shown meanwhile. */
  draft(stage: Stage, valve: string, text: string, unit: Unit): void {
    const at = `${stage} ${valve}`;
    if (!this.drafts[at]) this.units[at] = unit;
    this.drafts[at] = text;
    write(this.name("drafts"), this.drafts);
    write(this.name("units"), this.units);
  }

  /** A text of a stage that is kept in this browser while it is typed. */
  field(stage: Stage, what: string, saved: () => string = () => ""): { value: string } {
    const kept = (): string | undefined => this.drafts[`${stage} ${what}`];
    const keep = (text: string): void => this.draft(stage, what, text, "mm");
    return {
      get value() {
        return kept() ?? saved();
      },
      set value(text: string) {
        keep(text);
      },
    };
  }

  /** What was typed there is saved: nothing is kept of it. */
  forget(stage: Stage, what: string): void {
    const at = `${stage} ${what}`;
    this.drafts = Object.fromEntries(Object.entries(this.drafts).filter(([one]) => one !== at));
    write(this.name("drafts"), this.drafts);
  }

  private set(entries: readonly Waiting[]): void {
    this.waiting = entries;
    write(this.name("outbox"), entries);
  }
}
