/** One open card on the screen: what it says, which valve is in hand, and the way through it. */
import { type Act, act } from "../api/acts";
import {
  type Card,
  type Drawing,
  type Length,
  type Refusal,
  type Stage,
  type Valve,
} from "../api/client";
import type { Arranged, Heading } from "../head/arrange";
import { neighbour } from "../head/arrange";
import { atRest } from "../head/crank";
import { HERE } from "../state/people.svelte";
import { BACK } from "../api/events";
import { preferences } from "../state/preferences.svelte";
import { Entry } from "./entry.svelte";
import { Outbox } from "./outbox.svelte";
import { PlanState } from "./plan.svelte";
import { Queue } from "./queue.svelte";
import { kindOf } from "./registry";
import { Sending } from "./sending.svelte";
import { Ways } from "./ways.svelte";

export class Job {
  /** The head, which never changes on a card: kept, so that nothing is laid out anew. */
  drawing = $state.raw<Drawing | null>(null);
  missing = $state<Refusal | null>(null);
  stage = $state<Stage>("feel");
  inHand = $state<string | null>(null);
  arranged = $state.raw<Arranged | null>(null);
  /** The crank as the turning picture shows it, in degrees of the cycle. */
  crank = $state(0);
  /** The stop that is turned to; none while the picture is turned through. */
  private stopAt = $state<number | null>(null);
  /** Counts every pick, so that picking the valve in hand brings the field back too. */
  picks = $state(0);
  readonly outbox: Outbox;
  readonly queue: Queue;
  readonly sending: Sending;
  readonly entry: Entry;
  readonly plan: PlanState;
  readonly ways = new Ways();

  constructor(readonly id: number) {
    this.outbox = new Outbox(id);
    this.queue = new Queue(id, () => (this.entry.understood = null));
    this.sending = new Sending(this);
    this.entry = new Entry(this);
    this.plan = new PlanState(this);
    addEventListener(HERE, this.again);
    addEventListener(BACK, this.again);
  }

  private readonly again = (): void => {
    this.queue.refusal = null;
    void this.load();
  };

  get card(): Card | null {
    return this.queue.card;
  }

  get refusal(): Refusal | null {
    return this.queue.refusal;
  }

  /**
   * The valves that something is asked about in this stage: the one in hand, the one written
   * last, then the others in measuring order.
   */
  get asked(): readonly Valve[] {
    const { asks } = kindOf(this.stage);
    if (!asks || this.signed) return [];
    const found = (this.card?.valves ?? []).filter(asks);
    const rank = (one: Valve): number =>
      one.valve === this.inHand ? 0 : one.valve === this.entry.wroteLast ? 1 : 2;
    return found.sort((one, other) => rank(one) - rank(other));
  }

  /** What is asked about a valve's reading in this stage. */
  slipsOf(valve: Valve | null): Valve["questions"] {
    return (valve && !this.signed && kindOf(this.stage).slips?.(valve)) || [];
  }

  // made anew with each card and never changed in between
  valves: ReadonlyMap<string, Valve> = $derived(
    // eslint-disable-next-line svelte/prefer-svelte-reactivity
    new Map(this.card?.valves.map((valve) => [valve.valve, valve])),
  );
  valve = $derived(this.inHand ? (this.valves.get(this.inHand) ?? null) : null);
  todo = $derived(this.card?.todo.find((item) => item.stage === this.stage) ?? null);
  signed = $derived(this.card?.signed_at != null);
  stopHere = $derived(
    this.stopAt === null ? null : (this.card?.turning.stops[this.stopAt] ?? null),
  );
  /** Here these valves can be measured: by the maker's word, else by the angle. */
  lit = $derived(
    this.stopHere?.margin === null
      ? // eslint-disable-next-line svelte/prefer-svelte-reactivity
        new Set(this.stopHere.valves)
      : atRest(this.card?.turning.lanes ?? [], this.crank),
  );

  /** A blade of the card's set as it is marked, in the unit that gaps are read in. */
  marked(nominal: Length): string {
    const blade = this.card?.blade_set?.blades.find((one) => one.nominal.nm === nominal.nm);
    return preferences.read(blade ? { mm: blade.marked.mm, thou: blade.nominal.thou } : nominal);
  }

  async load(): Promise<void> {
    try {
      const card = await this.queue.load();
      this.drawing ??= card.drawing;
      this.missing = null;
      await this.outbox.ready;
      void this.sending.flush();
    } catch (error) {
      if (!this.card) this.missing = error as Refusal;
      if (this.outbox.waiting.length) this.sending.retry();
    }
  }

  /** Whether the card is not on the screen any more. */
  stopped = false;

  stop(): void {
    this.stopped = true;
    removeEventListener(HERE, this.again);
    removeEventListener(BACK, this.again);
    this.outbox.stop();
    this.sending.stop();
    this.entry.stop();
  }

  /** Go to a stage and take its first waiting valve in hand. */
  enter(stage: Stage): void {
    this.stage = stage;
    this.queue.refusal = null;
    this.entry.leave();
    const kind = kindOf(stage);
    const waits = this.waitingHere();
    const eager = waits.find((valve) => kind.first?.(this.valves.get(valve)) ?? true);
    const first = this.todo?.asks.find((valve) => this.valves.has(valve));
    this.inHand = eager ?? waits[0] ?? first ?? this.card?.valves[0]?.valve ?? null;
    if (kind.turns) this.turnTo(0);
  }

  /** Turn to a stop; where nobody knows its angle the picture stays. */
  turnTo(nth: number): void {
    this.stopAt = nth;
    this.crank = Math.round(this.stopHere?.degrees ?? this.crank);
  }

  /** Turn the picture through. */
  turnThrough(degrees: number): void {
    this.crank = degrees;
    const stops = this.card?.turning.stops ?? [];
    const at = stops.findIndex(
      (one) => one.degrees !== null && Math.abs(one.degrees - degrees) < 1,
    );
    this.stopAt = at < 0 ? null : at;
  }

  /** Valves that this stage waits for and that are not on their way already. */
  private waitingHere(): string[] {
    if (!this.card) return [];
    const own = kindOf(this.stage).waiting?.(this.card);
    if (own) return own;
    return (this.todo?.waiting ?? []).filter((valve) => !this.outbox.of(this.stage, valve));
  }

  pick(valve: string): void {
    this.inHand = valve;
    this.picks += 1;
    this.queue.refusal = null;
    this.entry.leave();
  }

  move(heading: Heading): void {
    if (!this.arranged || !this.inHand) return;
    const next = neighbour(this.arranged, this.inHand, heading);
    if (next) this.pick(next);
  }

  /** The waiting valves after this one, round the order. */
  following(from: string): string[] {
    const waiting = this.waitingHere();
    const order = this.todo?.asks ?? [];
    const at = order.indexOf(from);
    return [...order.slice(at + 1), ...order.slice(0, Math.max(at, 0))].filter((valve) =>
      waiting.includes(valve),
    );
  }

  /** Take the next waiting valve after this one in hand; whether there is one. */
  goOn(from: string): boolean {
    const [next] = this.following(from);
    if (next) this.pick(next);
    return next !== undefined;
  }

  private takingBack = false;

  /** Take back what was done last, and take the valve in hand that it was about. */
  async takeBack(): Promise<void> {
    const last = this.card?.last_act;
    if (!last || this.takingBack || this.outbox.waiting.length) return;
    this.takingBack = true;
    try {
      if (!(await this.act(act("take-back", { which: last.version })))) return;
      this.queue.said = `Taken back: ${last.what}.`;
      if (last.valve && this.inHand !== last.valve) this.pick(last.valve);
    } finally {
      this.takingBack = false;
    }
  }

  /** Measure with a feeler set of the shop, or with none that is said. */
  measureWith(set: number | null): Promise<boolean> {
    const method = this.card?.turning.method === "lobe" ? "lobe" : "marks";
    return this.act(act("method", { method, blade_set_id: set }));
  }

  /** Carry out one act on the card, now or when the server answers; whether it was done. */
  act(one: Act, valve = ""): Promise<boolean> {
    return (Sending.mayWait(one.kind) ? this.sending : this.queue).act(one, valve);
  }

  /**
   * Carry out one act on a valve and take the next one that waits; whoever has picked a valve
   * meanwhile, this one or another, stays where they are.
   */
  async actAndGoOn(valve: string, one: Act): Promise<void> {
    const [stage, picks] = [this.stage, this.picks];
    const done = await this.act(one, valve);
    const stays = this.stage === stage && this.picks === picks;
    if (done && stays && this.inHand === valve) this.goOn(valve);
  }
}
