/** One open card on the screen: what it says, which valve is in hand, what is being typed. */
import {
  type Asked,
  type Card,
  type Condition,
  type Drawing,
  type Part,
  Refusal,
  type School,
  type Stage,
  type Valve,
  type Words,
  answer,
  api,
  newKey,
} from "../api/client";
import type { Arranged, Heading } from "../head/arrange";
import { neighbour } from "../head/arrange";
import { atRest } from "../head/crank";
import { preferences } from "../kit/preferences.svelte";
import { Outbox, type Waiting } from "./outbox.svelte";

/** Something that could not be saved because the card had moved on. */
export interface Clash {
  valve: string;
  text: string;
  sentence: string;
  again: () => Promise<boolean>;
}

interface Sent {
  data?: Card;
  error?: unknown;
  response: Response;
}

export type Send = (version: number, key: string) => Promise<Sent>;

const RETRY_MS = 2000;
const PAUSE_MS = 70;

export class CardState {
  card = $state.raw<Card | null>(null);
  /** The head, which never changes on a card: kept, so that nothing is laid out anew. */
  drawing = $state.raw<Drawing | null>(null);
  missing = $state<Refusal | null>(null);
  stage = $state<Stage>("feel");
  inHand = $state<string | null>(null);
  arranged = $state.raw<Arranged | null>(null);
  refusal = $state.raw<Refusal | null>(null);
  clash = $state.raw<Clash | null>(null);
  said = $state("");
  understood = $state.raw<Words | null>(null);
  /** The crank as the turning picture shows it, in degrees of the cycle. */
  crank = $state(0);
  /** Whether an emptied field strikes the written line out: after Backspace brought it back. */
  striking = $state(false);
  /** What the piece being typed is fit for. */
  condition = $state<Condition>("sound");
  /** Whether what is typed is one more reading of the same gap. */
  repeating = $state(false);
  readonly outbox: Outbox;
  readonly path: { params: { path: { card_id: number } } };

  constructor(readonly id: number) {
    this.outbox = new Outbox(id);
    this.path = { params: { path: { card_id: id } } };
  }

  // made anew with each card and never changed in between
  valves: ReadonlyMap<string, Valve> = $derived(
    // eslint-disable-next-line svelte/prefer-svelte-reactivity
    new Map(this.card?.valves.map((valve) => [valve.valve, valve])),
  );
  valve = $derived(this.inHand ? (this.valves.get(this.inHand) ?? null) : null);
  todo = $derived(this.card?.todo.find((item) => item.stage === this.stage) ?? null);
  signed = $derived(this.card?.signed_at != null);
  /** Valves that this stage asks for: all for a gap, the ones to open for the rest. */
  asked = $derived(
    (this.card?.valves ?? []).filter((valve) =>
      this.stage === "feel"
        ? true
        : this.stage === "prove" || this.stage === "fit"
          ? valve.touched
          : valve.need === "open" || (this.todo?.waiting.includes(valve.valve) ?? false),
    ),
  );
  /** What is asked about the reading in hand, while nothing new is being typed. */
  questions = $derived(
    this.stage === "feel" && !this.draft && !this.signed ? (this.valve?.questions ?? []) : [],
  );
  /** How far each proof of this round came out from what was expected. */
  residuals: ReadonlyMap<string, { nm: number; fine: boolean }> = $derived(
    // eslint-disable-next-line svelte/prefer-svelte-reactivity
    new Map(
      (this.card?.rounds.at(-1)?.lines ?? []).flatMap((line) =>
        line.residual
          ? [[line.valve, { nm: line.residual.nm, fine: line.within_doubt !== false }] as const]
          : [],
      ),
    ),
  );
  /** At this angle these valves can be measured. */
  lit = $derived(atRest(this.card?.turning.lanes ?? [], this.crank));

  async load(): Promise<void> {
    try {
      this.card = await answer(api.GET("/api/cards/{card_id}", this.path));
      this.drawing ??= this.card.drawing;
      this.missing = null;
      void this.flush();
    } catch (error) {
      if (!this.card) this.missing = error as Refusal;
      if (this.outbox.waiting.length) this.retry();
    }
  }

  /** Go to a stage and take its first waiting valve in hand. */
  enter(stage: Stage): void {
    this.stage = stage;
    this.refusal = null;
    this.understood = null;
    this.repeating = false;
    // where a sum is asked for, a valve whose shim is read comes first
    const waits = this.waitingHere();
    const waiting =
      waits.find((valve) => stage !== "choose" || this.valves.get(valve)?.worked) ?? waits[0];
    const first = this.asked[0]?.valve ?? this.card?.valves[0]?.valve ?? null;
    this.inHand = waiting ?? first;
    const stop = this.card?.turning.stops[0];
    if (stage === "turn" && stop) this.crank = stop.degrees;
  }

  /** Valves that this stage waits for and that are not on their way already. */
  private waitingHere(): string[] {
    // what is fitted comes in an order of its own
    if (this.stage === "fit")
      return (this.card?.fit ?? []).filter((step) => !step.fitted).map((step) => step.valve);
    const todo = this.card?.todo.find((item) => item.stage === this.stage);
    return (todo?.waiting ?? []).filter((valve) => !this.outbox.of(this.stage, valve));
  }

  draftOf(valve: string): string {
    return this.outbox.drafts[`${this.stage} ${valve}`] ?? "";
  }

  get draft(): string {
    return this.inHand ? this.draftOf(this.inHand) : "";
  }

  set draft(text: string) {
    if (!this.inHand) return;
    this.outbox.draft(this.stage, this.inHand, text);
    this.refusal = null;
  }

  /** What was typed for the line that stands in this stage. */
  written(valve: Valve | null): string {
    if (!valve) return "";
    if (this.stage === "feel") return valve.found?.typed ?? "";
    if (this.stage === "prove") return valve.proof?.typed ?? "";
    return this.stage === "read" ? (valve.piece?.typed ?? "") : "";
  }

  /** Counts every pick, so that picking the valve in hand brings the field back too. */
  picks = $state(0);

  pick(valve: string): void {
    this.inHand = valve;
    this.picks += 1;
    this.refusal = null;
    this.understood = null;
    this.striking = false;
    this.repeating = false;
  }

  move(heading: Heading): void {
    if (!this.arranged || !this.inHand) return;
    const next = neighbour(this.arranged, this.inHand, heading);
    if (next) this.pick(next);
  }

  /** Take the next waiting valve after this one in hand, round the order; else stay. */
  private goOn(from: string): void {
    const waiting = this.waitingHere();
    const order = this.asked.map((valve) => valve.valve);
    const at = order.indexOf(from);
    const next = [...order.slice(at + 1), ...order.slice(0, Math.max(at, 0))].find((valve) =>
      waiting.includes(valve),
    );
    if (next) this.pick(next);
  }

  /** Write down what is typed for the valve in hand; then the next, unless something is asked. */
  async write(): Promise<boolean> {
    const valve = this.inHand;
    if (!valve || this.signed) return false;
    const text = this.draft.trim();
    if (!text && !this.striking) {
      if (this.questions.length) await this.keep();
      return false;
    }
    const [stage, picks] = [this.stage, this.picks];
    const entry: Waiting = {
      key: newKey(),
      stage,
      valve,
      text,
      unit: preferences.unit,
      repeats: this.repeating,
      condition: stage === "read" ? this.condition : undefined,
    };
    this.hush();
    this.outbox.add(entry);
    this.sending = true;
    const outcome = await this.post(entry);
    this.sending = false;
    const moved = this.picks !== picks || this.stage !== stage;
    // what was typed after another valve was picked is meant for that one
    if (outcome === "refused") {
      if (!moved) this.held = [];
      void this.release();
      return false;
    }
    this.outbox.draft(stage, valve, "");
    this.striking = false;
    this.repeating = false;
    this.condition = "sound";
    const now = this.valves.get(valve);
    const asks =
      outcome === "saved" &&
      (stage === "feel"
        ? now?.questions.length
        : stage === "read" && now?.piece?.disagrees && !now.piece.answered);
    // whoever has picked a valve meanwhile, this one or another, stays where they are
    if (!moved && asks) this.held = [];
    else if (!moved) this.goOn(valve);
    void this.release();
    return true;
  }

  /** A reading is on its way; what is typed meanwhile is meant for the next valve. */
  sending = $state(false);
  private held: string[] = [];

  /** Hold what is typed while a reading is on its way; whether it is held. */
  hold(key: string): boolean {
    if (this.sending) this.held.push(key);
    return this.sending;
  }

  /** Write what is typed, or hold that until the reading before is through. */
  submit(): void {
    if (!this.hold("Enter")) void this.write();
  }

  /** Type what was held into the valve now in hand, until a reading is on its way again. */
  private async release(): Promise<void> {
    for (let key = this.held.shift(); key !== undefined; key = this.held.shift()) {
      if (key === "Backspace") this.draft = this.draft.slice(0, -1);
      else if (key !== "Enter") this.draft += key;
      else {
        // what is left is held on: writing this one releases it
        await this.write();
        return;
      }
    }
  }

  private sendEntry(entry: Waiting): Send {
    const { valve, text, unit, repeats } = entry;
    return (version, key) =>
      entry.stage === "read"
        ? api.POST("/api/cards/{card_id}/pieces", {
            ...this.path,
            body: { version, key, valve, text, condition: entry.condition ?? "sound" },
          })
        : api.POST("/api/cards/{card_id}/gaps", {
            ...this.path,
            body: {
              version,
              key,
              valve,
              purpose: entry.stage === "prove" ? "proof" : "found",
              text,
              unit,
              repeats,
            },
          });
  }

  /** Send one kept entry; it stays kept while the server is away. */
  private async post(entry: Waiting): Promise<"saved" | "waits" | "refused"> {
    const code = await this.change(
      entry.valve,
      entry.text,
      this.sendEntry(entry),
      entry.key,
      () => {
        this.pick(entry.valve);
        this.outbox.draft(entry.stage, entry.valve, entry.text);
        return this.write();
      },
    );
    if (code === "away") {
      this.retry();
      return "waits";
    }
    this.outbox.remove(entry.key);
    return code === null ? "saved" : "refused";
  }

  private timer: ReturnType<typeof setTimeout> | null = null;

  /** Ask again after a while, for as long as something waits. */
  private retry(): void {
    this.timer ??= setTimeout(() => {
      this.timer = null;
      void this.load();
    }, RETRY_MS);
  }

  private flushing = false;

  /** Send what still waits, in the order it was written. */
  private async flush(): Promise<void> {
    if (this.flushing) return;
    this.flushing = true;
    for (const entry of this.outbox.waiting) {
      const outcome = await this.post(entry);
      if (outcome === "waits") break;
      if (outcome === "refused") this.outbox.draft(entry.stage, entry.valve, entry.text);
    }
    this.flushing = false;
  }

  stop(): void {
    if (this.timer) clearTimeout(this.timer);
  }

  /** Bring what was written back into the field, to correct it. */
  correct(): boolean {
    const written = this.written(this.valve);
    if (!written || this.draft) return false;
    this.draft = written;
    this.striking = true;
    return true;
  }

  /** Answer what is asked: it is so. */
  async keep(): Promise<void> {
    const valve = this.inHand;
    if (!valve) return;
    const slips = this.questions.map((question) => question.slip);
    await this.actAndGoOn(valve, (version, key) =>
      api.POST("/api/cards/{card_id}/kept", {
        ...this.path,
        body: { version, key, valve, purpose: "found", slips },
      }),
    );
  }

  /** Take the likely right value in place of what was typed. */
  async accept(): Promise<void> {
    const suggestion = this.questions.find((question) => question.suggestion)?.suggestion;
    if (!suggestion) return;
    this.draft = suggestion;
    await this.write();
  }

  /** Answer which thickness counts where marking and micrometer disagree; then the next valve. */
  trust(valve: string, trust: "measured" | "marked"): Promise<void> {
    return this.actAndGoOn(valve, (version, key) =>
      api.PUT("/api/cards/{card_id}/trust", {
        ...this.path,
        body: { version, key, valve, trust },
      }),
    );
  }

  /** Note the instrument and where its zero stands. */
  zero(instrument_id: number | null, zero: string): Promise<boolean> {
    return this.act("", (version, key) =>
      api.PUT("/api/cards/{card_id}/instrument", {
        ...this.path,
        body: { version, key, instrument_id, zero },
      }),
    );
  }

  lean(school: School): Promise<boolean> {
    return this.act("", (version, key) =>
      api.PUT("/api/cards/{card_id}/school", { ...this.path, body: { version, key, ...school } }),
    );
  }

  cold(
    rested_hours: string | null,
    temperature_c: string | null,
    reason: string,
  ): Promise<boolean> {
    return this.act("", (version, key) =>
      api.PUT("/api/cards/{card_id}/conditions", {
        ...this.path,
        body: { version, key, rested_hours, temperature_c, reason },
      }),
    );
  }

  seeTo(item: string, done: boolean): Promise<boolean> {
    return this.act("", (version, key) =>
      api.PUT("/api/cards/{card_id}/safety", { ...this.path, body: { version, key, item, done } }),
    );
  }

  layOut(parts: Part[]): Promise<boolean> {
    return this.act("", (version, key) =>
      api.PUT("/api/cards/{card_id}/tray", { ...this.path, body: { version, key, parts } }),
    );
  }

  useMethod(method: "marks" | "lobe", blade_set_id: number | null): Promise<boolean> {
    return this.act("", (version, key) =>
      api.PUT("/api/cards/{card_id}/method", {
        ...this.path,
        body: { version, key, method, blade_set_id },
      }),
    );
  }

  sign(signed_by: string, remarks: string, next_check_km: number | null): Promise<boolean> {
    return this.act("", (version, key) =>
      api.POST("/api/cards/{card_id}/signature", {
        ...this.path,
        body: { version, key, signed_by, remarks, next_check_km },
      }),
    );
  }

  /** Carry out one act on the card; whether it was done. */
  async act(valve: string, send: Send): Promise<boolean> {
    return (await this.change(valve, "", send, newKey(), () => this.act(valve, send))) === null;
  }

  /**
   * Carry out one act on a valve and take the next one that waits; whoever has picked a valve
   * meanwhile, this one or another, stays where they are.
   */
  async actAndGoOn(valve: string, send: Send): Promise<void> {
    const [stage, picks] = [this.stage, this.picks];
    const done = await this.act(valve, send);
    if (done && this.stage === stage && this.picks === picks) this.goOn(valve);
  }

  private queue: Promise<unknown> = Promise.resolve();

  /**
   * Send one act and return null, or the code it was refused with. Acts wait for one another,
   * so that each sees the newest version.
   */
  private change(
    valve: string,
    text: string,
    send: Send,
    key: string,
    again: () => Promise<boolean>,
  ): Promise<string | null> {
    const run = async (): Promise<string | null> => {
      if (!this.card) return "away";
      try {
        this.card = await answer(send(this.card.version, key));
        this.refusal = null;
        this.clash = null;
        this.understood = null;
        const now = this.valves.get(valve);
        this.said = now ? `${valve}: ${now.reason}` : "Saved.";
        return null;
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        if (error.code === "conflict") {
          await this.reload();
          this.clash = { valve, text, sentence: error.sentence, again };
        } else {
          this.refusal = error;
          if (error.code === "card_signed") await this.reload();
        }
        return error.code;
      }
    };
    const result = this.queue.then(run);
    this.queue = result.catch(() => undefined);
    return result;
  }

  private async reload(): Promise<void> {
    try {
      this.card = await answer(api.GET("/api/cards/{card_id}", this.path));
    } catch {
      // the card stays as it was last seen
    }
  }

  private asking: AbortController | null = null;
  private pause: ReturnType<typeof setTimeout> | undefined;

  /** Have the server read back what is being typed, at the next short pause. */
  understand(): void {
    this.hush();
    this.pause = setTimeout(() => void this.readBack(), PAUSE_MS);
  }

  private hush(): void {
    clearTimeout(this.pause);
    this.asking?.abort();
  }

  private async readBack(): Promise<void> {
    const [valve, text] = [this.inHand, this.draft.trim()];
    if (!valve || !text || !["feel", "read", "prove"].includes(this.stage)) {
      this.understood = null;
      return;
    }
    const asking = (this.asking = new AbortController());
    try {
      const words = await answer(
        api.POST("/api/cards/{card_id}/understand", {
          ...this.path,
          body: {
            kind: this.stage === "read" ? "piece" : "gap",
            valve,
            text,
            unit: preferences.unit,
          },
          signal: asking.signal,
        }),
      );
      if (asking === this.asking && this.inHand === valve) this.understood = words;
    } catch {
      if (asking === this.asking) this.understood = null;
    }
  }

  /** Ask which blade to try next, from what trying has told so far. */
  async ask(goes_nm: number | null, refuses_nm: number | null, fine: boolean): Promise<Asked> {
    return answer(
      api.POST("/api/cards/{card_id}/next-blade", {
        ...this.path,
        body: { valve: this.inHand ?? "", goes_nm, refuses_nm, fine },
      }),
    );
  }
}
