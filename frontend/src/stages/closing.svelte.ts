/** What closes the engine on the screen: fitting, tightening, turning, rounds, amendments. */
import { type Card, Refusal, type Schemas, answer, api, newKey } from "../api/client";
import type { CardState } from "./card.svelte";

export type BoltsBody = Omit<Schemas["BoltsIn"], "version" | "key">;

export class Closing {
  constructor(readonly job: CardState) {}

  fit(valve: string, fitted: boolean, measured: string): Promise<boolean> {
    return this.job.act(valve, (version, key) =>
      api.PUT("/api/cards/{card_id}/fitted", {
        ...this.job.path,
        body: { version, key, valve, fitted, measured },
      }),
    );
  }

  turns(turns: number): Promise<boolean> {
    return this.job.act("", (version, key) =>
      api.PUT("/api/cards/{card_id}/turns", { ...this.job.path, body: { version, key, turns } }),
    );
  }

  lay(bolts: BoltsBody): Promise<boolean> {
    return this.job.act("", (version, key) =>
      api.PUT("/api/cards/{card_id}/bolts", {
        ...this.job.path,
        body: { version, key, ...bolts },
      }),
    );
  }

  turned(name: string, turned: number): Promise<boolean> {
    return this.job.act("", (version, key) =>
      api.PUT("/api/cards/{card_id}/turned", {
        ...this.job.path,
        body: { version, key, name, turned },
      }),
    );
  }

  again(reason: string): Promise<boolean> {
    return this.job.act("", (version, key) =>
      api.POST("/api/cards/{card_id}/rounds", {
        ...this.job.path,
        body: { version, key, reason },
      }),
    );
  }

  private amendKey = newKey();

  /** Write a dated line on the signed card; the refusal, or null where it was written. */
  async amend(written_by: string, text: string): Promise<Refusal | null> {
    try {
      const card: Card = await answer(
        api.POST("/api/cards/{card_id}/amendments", {
          ...this.job.path,
          body: { key: this.amendKey, written_by, text },
        }),
      );
      this.amendKey = newKey();
      this.job.card = card;
      return null;
    } catch (error) {
      return error as Refusal;
    }
  }

  /** Whether a PDF is a sheet of this card as it stands, in words. */
  async check(file: File): Promise<string> {
    try {
      const sent = await fetch(`/api/cards/${this.job.id}/check-pdf`, {
        method: "POST",
        headers: { "Content-Type": "application/pdf" },
        body: file,
      });
      const said = (await sent.json()) as { says?: string; sentence?: string };
      return said.says ?? said.sentence ?? "That file cannot be checked.";
    } catch {
      return "The server does not answer. Try again in a moment.";
    }
  }
}
