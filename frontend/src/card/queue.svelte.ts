/**
 * Acts on one card, one after another, so that each sees the newest version; what the server
 * refused, and what clashed with somebody else's change, is kept to be shown.
 */
import { type Act, send } from "../api/acts";
import { type Card, Refusal, answer, api, newKey } from "../api/client";
import { keepCard } from "../state/reach.svelte";

/** Something that could not be saved because the card had moved on. */
export interface Clash {
  valve: string;
  text: string;
  sentence: string;
  again: () => Promise<boolean>;
  /** Where both are readings of the same gap: keep them both. */
  both?: () => Promise<boolean>;
  /** Let mine go. */
  drop?: () => void;
}

/** Whether what was refused with that code only waits for the server: it is sent again. */
export function waits(code: string | null): boolean {
  return code === "away" || code === "record_gone";
}

/** What an act is about: for whom it is said, and how to try it again after a clash. */
export interface About {
  valve?: string;
  text?: string;
  again: () => Promise<boolean>;
  /** Called as the card becomes new. */
  through?: () => void;
  /** It is made anew of the newer card and sent again: nobody is asked about a clash. */
  merges?: boolean;
}

export class Queue {
  card = $state.raw<Card | null>(null);
  refusal = $state.raw<Refusal | null>(null);
  clash = $state.raw<Clash | null>(null);
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

  /** Carry out one act; whether it was done. */
  async act(one: Act, valve = ""): Promise<boolean> {
    const again = (): Promise<boolean> => this.act(one, valve);
    return (await this.send(() => one, newKey(), { valve, again })) === null;
  }

  /**
   * Send an act that is made of the card as it stands when those before it are through; null, or
   * the code it was refused with. Where the card had moved on it may just be sent again.
   */
  merge(make: () => Act, through?: () => void): Promise<string | null> {
    const again = async (): Promise<boolean> => (await this.merge(make, through)) === null;
    return this.send(make, newKey(), { again, merges: true, ...(through ? { through } : {}) });
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
      this.card = await answer(send(this.id, make(), this.card.version, key));
      about.through?.();
      keepCard(this.card);
      this.refusal = null;
      this.clash = null;
      const now = this.card.valves.find((one) => one.valve === about.valve);
      this.said = now ? `${now.valve}: ${now.reason}` : "Saved.";
      this.done();
      return null;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      if (error.code === "conflict") {
        await this.reload();
        if (about.merges) return error.code;
        const { valve = "", text = "", again } = about;
        this.clash = { valve, text, sentence: error.sentence, again };
      } else {
        this.refusal = error;
        if (error.code === "card_signed") await this.reload();
      }
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
