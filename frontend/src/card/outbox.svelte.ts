/**
 * What was written down and the server has not taken yet. It is kept in this browser before
 * it is sent, so a reload, a stopped server or a lost network loses nothing; each entry keeps
 * the key it was first sent with, so nothing is done twice.
 */
import type { Act } from "../api/acts";
import type { Condition, Stage, Unit } from "../api/client";
import { bringIn, change, drop, keep, kept, whenKept } from "./kept";

export interface Waiting {
  key: string;
  stage: Stage;
  valve: string;
  text: string;
  unit: Unit;
  repeats: boolean;
  reason?: string;
  condition?: Condition | undefined;
  /** What stood there when it was written: another standing by then is a clash. */
  seen?: string;
  /** What is to be done, where it is no reading. */
  act?: Act;
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

  /** Settled once what was kept before is here. */
  readonly ready: Promise<void>;
  private readonly deaf: () => void;

  constructor(private readonly card: number) {
    this.ready = this.bringOver().then(() => this.fetch());
    this.deaf = whenKept((of) => {
      if (of === card) void this.fetch();
    });
    this.drafts = read<Record<string, string>>(this.name("drafts"), {});
    this.units = read<Record<string, Unit>>(this.name("units"), {});
  }

  private name(what: string): string {
    return `plimb.card.${this.card}.${what}`;
  }

  /** Entries on their way in or out of the store, which a look into it would miss. */
  // eslint-disable-next-line svelte/prefer-svelte-reactivity -- nothing shows it
  private readonly under = new Map<string, "in" | "out">();

  /** Keep an entry; a later one for the same valve and stage waits behind it. */
  async add(entry: Waiting): Promise<void> {
    this.waiting = [...this.waiting, entry];
    await this.through(entry.key, "in", keep(this.card, $state.snapshot(entry)));
  }

  /** Keep an entry otherwise than it was, in its place. */
  async change(entry: Waiting): Promise<void> {
    this.waiting = this.waiting.map((one) => (one.key === entry.key ? entry : one));
    await change(this.card, $state.snapshot(entry));
  }

  async remove(key: string): Promise<void> {
    this.waiting = this.waiting.filter((entry) => entry.key !== key);
    await this.through(key, "out", drop(this.card, key));
  }

  stop(): void {
    this.deaf();
  }

  private changes = 0;

  private async through(key: string, way: "in" | "out", done: Promise<void>): Promise<void> {
    this.under.set(key, way);
    this.changes += 1;
    await done;
    this.under.delete(key);
    this.changes += 1;
  }

  /** Look what is kept, by this tab and by others. */
  private async fetch(): Promise<void> {
    let there, before;
    do {
      before = this.changes;
      there = await kept(this.card);
    } while (before !== this.changes); // what changed meanwhile is looked at again
    if (!there) return;
    const coming = this.waiting.filter(
      (one) => this.under.get(one.key) === "in" && !there.some((other) => other.key === one.key),
    );
    this.waiting = [...there.filter((one) => this.under.get(one.key) !== "out"), ...coming];
  }

  /** Bring over what an earlier page kept in another place. */
  private async bringOver(): Promise<void> {
    const before = read<Waiting[]>(this.name("outbox"), []);
    for (const entry of before) await keep(this.card, entry);
    await bringIn(this.card);
    if (before.length) localStorage.removeItem(this.name("outbox"));
  }

  of(stage: Stage, valve: string): Waiting | null {
    return (
      this.waiting.findLast(
        (entry) => !entry.act && entry.stage === stage && entry.valve === valve,
      ) ?? null
    );
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
}
