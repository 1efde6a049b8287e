/**
 * Acts on one card, one after another, so that each sees the newest version; what the server
 * refused, and what clashed with somebody else's change, is kept to be shown.
 */
import { type Act, send } from "../api/acts";
import { type Card, Refusal, answer, api, newKey } from "../api/client";
import { keepCard } from "../state/reach.svelte";

/** Something that waits because somebody else has written there meanwhile. */
export interface Clash {
  key: string;
  valve: string;
  text: string;
  sentence: string;
  again: () => Promise<boolean>;
  /** Where both are readings of the same gap: keep them both. */
  both?: () => Promise<boolean>;
  /** Let mine go. */
  drop: () => void;
}

/** Whether what was refused with that code only waits for the server: it is sent again. */
export function waits(code: string | null): boolean {
  return code === "away" || code === "record_gone";
}

/** What an act is about: for whom it is said, and what to do as the card becomes new. */
export interface About {
  valve?: string;
  through?: () => void;
  /** Only whether it was done before is asked: it is not done now. */
  asks?: boolean;
}

/** No card is at it: an act is refused, unless it was done before with its key. */
const NO_VERSION = 0;

export class Queue {
  card = $state.raw<Card | null>(null);
  refusal = $state.raw<Refusal | null>(null);
  /** What is asked about, the first first; each stays until it is answered. */
  private clashes = $state.raw<readonly Clash[]>([]);
  /** What was done last, for a screen reader. */
  said = $state("");
  private last: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly id: number,
    /** Called when an act is through and the card is new. */
    private readonly done: () => void = () => undefined,
  ) {}

  /** Fetch the card. */
  async load(): Promise<Card> {
    const params = { path: { card_id: this.id } };
    const found = await answer(api.GET("/api/cards/{card_id}", { params }));
    // what the browser kept may be older than what is on the screen
    if (!this.card || found.version >= this.card.version) this.card = found;
    return this.card;
  }

  /** What clashes and was not answered yet, the first of them. */
  get clash(): Clash | null {
    return this.clashes[0] ?? null;
  }

  ask(clash: Clash): void {
    if (!this.asksAbout(clash.key)) this.clashes = [...this.clashes, clash];
  }

  asksAbout(key: string): boolean {
    return this.clashes.some((one) => one.key === key);
  }

  forget(key: string): void {
    this.clashes = this.clashes.filter((one) => one.key !== key);
  }

  /** Carry out one act that only the server can do now; whether it was done. */
  async act(one: Act, valve = ""): Promise<boolean> {
    const code = await this.send(() => one, newKey(), { valve });
    if (code === "conflict")
      this.refusal = new Refusal(code, "Somebody else has changed this card. Look again.", null);
    return code === null;
  }

  /** Send one act when those before it are through; null, or the code it was refused with. */
  send(make: () => Act, key: string, about: About): Promise<string | null> {
    const result = this.last.then(() => this.run(make, key, about));
    this.last = result.catch(() => undefined);
    return result;
  }

  private async run(make: () => Act, key: string, about: About): Promise<string | null> {
    if (!this.card) return "away";
    try {
      const version = about.asks ? NO_VERSION : this.card.version;
      this.card = await answer(send(this.id, make(), version, key));
      about.through?.();
      keepCard(this.card);
      this.refusal = null;
      const now = this.card.valves.find((one) => one.valve === about.valve);
      this.said = now ? `${now.valve}: ${now.reason}` : "Saved.";
      this.done();
      return null;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      if (error.code === "conflict" || error.code === "card_signed") await this.reload();
      if (error.code !== "conflict") this.refusal = error;
      return error.code;
    }
  }

  private async reload(): Promise<void> {
    try {
      await this.load();
    } catch {
      // the card stays as it was last seen
    }
  }
}
