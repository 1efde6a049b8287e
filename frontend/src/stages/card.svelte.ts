/** One open card on the screen: what it says, which valve is in hand, what is being typed. */
import { tick } from "svelte";
import {
  type Card,
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
import { preferences } from "../kit/preferences.svelte";

/** Something that could not be saved because the card had moved on. */
export interface Clash {
  valve: string;
  text: string;
  sentence: string;
  again: () => Promise<boolean>;
}

type Sent = { data?: Card; error?: unknown; response: Response };

export class CardState {
  card = $state.raw<Card | null>(null);
  missing = $state<Refusal | null>(null);
  stage = $state<Stage>("feel");
  inHand = $state<string | null>(null);
  arranged = $state.raw<Arranged | null>(null);
  busy = $state(false);
  refusal = $state.raw<Refusal | null>(null);
  clash = $state.raw<Clash | null>(null);
  said = $state("");
  understood = $state.raw<Words | null>(null);
  /** What is typed and not yet written down, by stage and valve: moving away keeps it. */
  private drafts = $state<Record<string, string>>({});

  constructor(readonly id: number) {}

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
      this.stage === "feel" ? true : this.stage === "prove" ? valve.touched : valve.need === "open",
    ),
  );

  async load(): Promise<void> {
    try {
      this.card = await answer(
        api.GET("/api/cards/{card_id}", { params: { path: { card_id: this.id } } }),
      );
      this.missing = null;
    } catch (error) {
      this.missing = error as Refusal;
    }
  }

  /** Go to a stage and take its first waiting valve in hand. */
  enter(stage: Stage): void {
    this.stage = stage;
    this.refusal = null;
    this.understood = null;
    const waiting = this.card?.todo.find((item) => item.stage === stage)?.waiting[0];
    const first = this.asked[0]?.valve ?? this.card?.valves[0]?.valve ?? null;
    this.inHand = waiting ?? first;
  }

  private draftKey(valve: string): string {
    return `${this.stage} ${valve}`;
  }

  draftOf(valve: string): string {
    return this.drafts[this.draftKey(valve)] ?? "";
  }

  get draft(): string {
    return this.inHand ? this.draftOf(this.inHand) : "";
  }

  set draft(text: string) {
    if (!this.inHand) return;
    this.drafts[this.draftKey(this.inHand)] = text;
    this.refusal = null;
  }

  /** What was typed for the line that stands in this stage. */
  written(valve: Valve | null): string {
    if (!valve) return "";
    if (this.stage === "feel") return valve.found?.typed ?? "";
    if (this.stage === "prove") return valve.proof?.typed ?? "";
    return this.stage === "read" ? (valve.piece?.typed ?? "") : "";
  }

  pick(valve: string): void {
    this.inHand = valve;
    this.refusal = null;
    this.understood = null;
  }

  move(heading: Heading): void {
    if (!this.arranged || !this.inHand) return;
    const next = neighbour(this.arranged, this.inHand, heading);
    if (next) this.pick(next);
  }

  /** Take the next waiting valve after this one in hand, round the order; else stay. */
  private goOn(from: string): void {
    const waiting = this.todo?.waiting ?? [];
    const order = this.asked.map((valve) => valve.valve);
    const at = order.indexOf(from);
    const next = [...order.slice(at + 1), ...order.slice(0, Math.max(at, 0))].find((valve) =>
      waiting.includes(valve),
    );
    if (next) this.pick(next);
  }

  /** Write down what is typed for the valve in hand, then take the next. */
  async write(): Promise<boolean> {
    const valve = this.inHand;
    if (!valve || this.signed) return false;
    const text = this.draft;
    if (!text.trim() && !this.striking) return false;
    const stage = this.stage;
    const draftKey = this.draftKey(valve);
    const send = (version: number, key: string): Promise<Sent> =>
      stage === "read"
        ? api.POST("/api/cards/{card_id}/pieces", {
            params: { path: { card_id: this.id } },
            body: { version, key, valve, text },
          })
        : api.POST("/api/cards/{card_id}/gaps", {
            params: { path: { card_id: this.id } },
            body: {
              version,
              key,
              valve,
              purpose: stage === "prove" ? "proof" : "found",
              text,
              unit: preferences.unit,
            },
          });
    const done = await this.change(valve, text, send, () => {
      this.pick(valve);
      return this.write();
    });
    if (done) {
      this.drafts[draftKey] = "";
      this.striking = false;
      if (this.stage === stage && this.inHand === valve) this.goOn(valve);
    }
    return done;
  }

  /** Whether an emptied field strikes the written line out: after Backspace brought it back. */
  striking = $state(false);

  /** Bring what was written back into the field, to correct it. */
  correct(): boolean {
    const written = this.written(this.valve);
    if (!written || this.draft) return false;
    this.draft = written;
    this.striking = true;
    return true;
  }

  async choose(valve: string, thickness_nm: number | null): Promise<boolean> {
    const done = await this.change(valve, "", (version, key) =>
      api.POST("/api/cards/{card_id}/choices", {
        params: { path: { card_id: this.id } },
        body: { version, key, valve, thickness_nm },
      }),
    );
    return done;
  }

  /** Choose and take the next valve that waits for a choice. */
  async chooseAndGoOn(valve: string, thickness_nm: number): Promise<void> {
    if (await this.choose(valve, thickness_nm)) this.goOn(valve);
  }

  async lean(school: School): Promise<void> {
    await this.change("", "", (version, key) =>
      api.PUT("/api/cards/{card_id}/school", {
        params: { path: { card_id: this.id } },
        body: { version, key, ...school },
      }),
    );
  }

  async sign(signed_by: string, remarks: string, next_check_km: number | null): Promise<boolean> {
    return this.change("", "", (version, key) =>
      api.POST("/api/cards/{card_id}/signature", {
        params: { path: { card_id: this.id } },
        body: { version, key, signed_by, remarks, next_check_km },
      }),
    );
  }

  private queue: Promise<unknown> = Promise.resolve();

  /** Send one act; acts wait for one another so that each sees the newest version. */
  private change(
    valve: string,
    text: string,
    send: (version: number, key: string) => Promise<Sent>,
    again: () => Promise<boolean> = () => this.change(valve, text, send),
  ): Promise<boolean> {
    const key = newKey();
    const run = async (): Promise<boolean> => {
      if (!this.card) return false;
      this.busy = true;
      try {
        this.card = await answer(send(this.card.version, key));
        this.refusal = null;
        this.clash = null;
        this.understood = null;
        const now = this.valves.get(valve);
        this.said = now ? `${valve}: ${now.reason}` : "Saved.";
        return true;
      } catch (error) {
        const refusal = error as Refusal;
        if (refusal.code === "conflict") {
          await this.load();
          this.clash = {
            valve,
            text,
            sentence: refusal.sentence,
            again,
          };
        } else {
          this.refusal = refusal;
          if (refusal.code === "card_signed") await this.load();
        }
        return false;
      } finally {
        this.busy = false;
        await tick();
      }
    };
    const result = this.queue.then(run);
    this.queue = result.catch(() => undefined);
    return result;
  }

  private asking: AbortController | null = null;

  /** Have the server read back what is being typed. */
  async understand(): Promise<void> {
    this.asking?.abort();
    const [valve, text] = [this.inHand, this.draft.trim()];
    if (!valve || !text || this.stage === "choose" || this.stage === "sign") {
      this.understood = null;
      return;
    }
    const asking = (this.asking = new AbortController());
    try {
      const words = await answer(
        api.POST("/api/cards/{card_id}/understand", {
          params: { path: { card_id: this.id } },
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
}
