/**
 * What is done on a card, on its way to the server: each act is kept in this browser before it is
 * sent, in order, and waits there while the server is away. One that clashes with what somebody
 * else did to the same thing is shown and asked about; the others go on.
 */
import { type Act, type ActKind, act } from "../api/acts";
import { type Card, newKey } from "../api/client";
import kinds from "../api/kinds.json";
import { HERE } from "../state/people.svelte";
import { preferences } from "../state/preferences.svelte";
import type { Job } from "./job.svelte";
import type { Waiting } from "./outbox.svelte";
import { waits } from "./queue.svelte";
import { kindOf } from "./registry";

const RETRY_MS = 2000;
const MOST_TIMES = 20;
const KINDS: Partial<Record<string, { waits: boolean; words: string }>> = kinds.acts;

type Outcome = "saved" | "waits" | "clashes" | "refused";

type Said = Record<string, unknown>;
type Stands = (card: Card, said: Said) => unknown;

const onCard =
  (...names: (keyof Card)[]): Stands =>
  (card) =>
    names.map((name) => card[name]);

/** What stands where an act of a kind writes: another standing there since is a clash. */
const STANDS: Partial<Record<ActKind, Stands>> = {
  note: (card, said) => card.notes[said.stage as string],
  "engine-note": (card, said) => card.machine.notes[said.stage as string],
  conditions: onCard("conditions"),
  symptoms: onCard("symptoms"),
  "side-checks": onCard("checks"),
  bill: onCard("bill"),
  tray: onCard("tray"),
  tools: (card) => card.machine.tools,
  parts: (card) => card.machine.parts,
  machine: ({ machine: { owner, plate, counter, interval } }) => [owner, plate, counter, interval],
  correct: onCard("reason", "distance", "hours", "opened_by"),
  zero: onCard("zero"),
  "turn-by-hand": onCard("hand_turns"),
  choose: (card, said) => card.valves.find((one) => one.valve === said.valve)?.chosen,
};

/** What an act is called while it waits. */
export function called(one: Waiting): string {
  if (!one.act) return `${one.valve} ${one.text}`;
  const said = one.act.says as Said;
  const words = KINDS[one.act.kind]?.words ?? "something";
  const text = typeof said.text === "string" ? `: ${said.text}` : "";
  const filled = words.replace(/\{(\w+)\}/g, (_, name: string) => `${said[name] as string}`);
  return filled + (text.length > 40 ? `${text.slice(0, 40)}…` : text);
}

/** The act that an entry stands for. */
function actOf(entry: Waiting): Act {
  if (entry.act) return entry.act;
  const { valve, text, unit, repeats, reason = "", condition = "sound" } = entry;
  const kind = kindOf(entry.stage);
  return kind.shims
    ? act("shim", { valve, text, condition })
    : act("gap", { valve, purpose: kind.purpose ?? "found", text, unit, repeats, reason });
}

export class Sending {
  /** Told when an act is through or refused for good, by its key. */
  // eslint-disable-next-line svelte/prefer-svelte-reactivity -- nothing shows it
  private readonly told = new Map<string, (done: boolean) => void>();
  /** Makes an act anew of the card as it stands when its turn comes, by its key. */
  // eslint-disable-next-line svelte/prefer-svelte-reactivity -- nothing shows it
  private readonly made = new Map<string, { make: () => Act; through: () => void }>();

  /** On their way just now, by their keys. */
  // eslint-disable-next-line svelte/prefer-svelte-reactivity -- nothing shows it
  private readonly under = new Set<string>();

  constructor(private readonly job: Job) {}

  /** Whether an act of a kind may wait for the server. */
  static mayWait(kind: ActKind): boolean {
    return KINDS[kind]?.waits ?? false;
  }

  /**
   * Carry out one act, now or when the server answers; whether it was done in the end. With
   * `made` it is made anew of the card as it stands when its turn comes.
   */
  act(one: Act, valve = "", made?: { make: () => Act; through: () => void }): Promise<boolean> {
    const { job } = this;
    const entry: Waiting = {
      key: newKey(),
      stage: job.stage,
      valve,
      text: "",
      unit: preferences.unit,
      repeats: false,
      act: one,
      seen: this.stands(one),
    };
    const done = new Promise<boolean>((tell) => this.told.set(entry.key, tell));
    if (made) this.made.set(entry.key, made);
    void this.carry(entry);
    return done;
  }

  /** Keep an entry and send it at the same time, behind those that wait already. */
  async carry(entry: Waiting): Promise<Outcome> {
    const before = this.next();
    void this.job.outbox.add(entry);
    if (!before) return this.post(entry);
    void this.flush();
    return "waits";
  }

  /** The first that waits, is not on its way, and that nothing is asked about. */
  private next(tried: readonly string[] = []): Waiting | undefined {
    return this.job.outbox.waiting.find(
      ({ key }) => !this.under.has(key) && !tried.includes(key) && !this.job.queue.asksAbout(key),
    );
  }

  private stands(one: Act): string {
    const { card } = this.job;
    const reads = STANDS[one.kind];
    return card && reads ? JSON.stringify(reads(card, one.says as Said) ?? null) : "";
  }

  /** Send one entry; it stays kept while the server is away. */
  private async post(entry: Waiting, asks = false): Promise<Outcome> {
    this.under.add(entry.key);
    const outcome = await this.sent(entry, asks);
    this.under.delete(entry.key);
    return outcome;
  }

  private async sent(entry: Waiting, asks = false, times = 1): Promise<Outcome> {
    const { job } = this;
    const made = this.made.get(entry.key);
    const send = (): Act => made?.make() ?? actOf(entry);
    const before = job.card?.version ?? 0;
    const code = await job.queue.send(send, entry.key, { valve: entry.valve, asks, ...made });
    if (waits(code)) {
      job.queue.refusal = null; // it is kept: the banner says so
      this.retry();
    }
    if (code === "who") addEventListener(HERE, () => this.retry(), { once: true });
    // what nobody has put a name to waits until somebody does
    if (waits(code) || code === "who") return "waits";
    if (code === "conflict") {
      // what was not written there meanwhile is made of the newer card, or has not to see it
      if ((made || !this.meanwhile(entry)) && times < MOST_TIMES && !job.stopped)
        return this.sent(entry, false, times + 1);
      this.clashes(entry);
      return "clashes";
    }
    if (code === null) this.through(entry, before);
    this.settle(entry.key, code === null);
    return code === null ? "saved" : "refused";
  }

  /** What waits behind an act on the same thing has seen what that one wrote. */
  private through(entry: Waiting, before: number): void {
    const { card } = this.job;
    if (card?.version !== before + 1 && card?.last_act?.key !== entry.key) return;
    const same = this.about(entry);
    for (const one of this.job.outbox.waiting)
      if (one.key !== entry.key && this.about(one) === same)
        void this.job.outbox.change({ ...one, seen: this.standing(one) });
  }

  private about(entry: Waiting): string {
    const said = actOf(entry).says as Said;
    return [entry.act?.kind ?? entry.stage, said.valve, said.stage, said.item].join("|");
  }

  private settle(key: string, done: boolean): void {
    void this.job.outbox.remove(key);
    this.job.queue.forget(key);
    this.told.get(key)?.(done);
    this.told.delete(key);
    this.made.delete(key);
  }

  /** What stands now where an entry is to be written. */
  private standing(entry: Waiting): string {
    if (entry.act) return this.stands(entry.act);
    const valve = this.job.valves.get(entry.valve);
    return (valve && kindOf(entry.stage).written?.(valve)) ?? "";
  }

  /** What somebody else has written there since an entry was; nothing where nobody has. */
  private meanwhile(entry: Waiting): string {
    const stands = this.standing(entry);
    if (entry.seen === undefined || stands === entry.seen || stands === entry.text) return "";
    return stands;
  }

  /** Show an entry that clashes with what was written meanwhile; it waits until that is said. */
  private clashes(entry: Waiting): void {
    const { job } = this;
    const again = async (changed: Waiting): Promise<boolean> => {
      job.queue.forget(entry.key);
      const now = { ...changed, seen: this.standing(changed) };
      await job.outbox.change(now);
      return (await this.post(now)) === "saved";
    };
    const gap = !entry.act && !kindOf(entry.stage).shims;
    const stands = entry.act ? "" : this.standing(entry);
    const what = entry.act ? called(entry) : entry.valve;
    job.queue.ask({
      key: entry.key,
      valve: entry.valve,
      text: entry.act ? "" : entry.text,
      sentence: `${what[0]?.toUpperCase()}${what.slice(1)} was written meanwhile${stands ? `, as ${stands}` : ""}.`,
      again: () => again(entry),
      ...(gap ? { both: () => again({ ...entry, repeats: true }) } : {}),
      drop: () => this.settle(entry.key, false),
    });
  }

  private timer: ReturnType<typeof setTimeout> | null = null;

  /** Ask again after a while, for as long as something waits. */
  retry(): void {
    this.timer ??= setTimeout(() => {
      this.timer = null;
      void this.job.load();
    }, RETRY_MS);
  }

  stop(): void {
    if (this.timer) clearTimeout(this.timer);
  }

  private flushing = false;

  /** Send what still waits, in the order it was written; what is asked about waits on. */
  async flush(): Promise<void> {
    if (this.flushing) return;
    this.flushing = true;
    const tried: string[] = [];
    for (let entry = this.next(); entry; entry = this.next(tried)) {
      tried.push(entry.key);
      const stale = !this.made.has(entry.key) && this.meanwhile(entry) !== "";
      // it may be this very act that was written: sent by a page that is gone before it heard so
      const outcome = await this.post(entry, stale);
      if (outcome === "waits") break;
      if (outcome === "refused" && !entry.act)
        this.job.outbox.draft(entry.stage, entry.valve, entry.text, entry.unit);
    }
    this.flushing = false;
  }
}
