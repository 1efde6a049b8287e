/** The sheet of the card on the screen: looked at, added to, checked against a PDF. */
import { Refusal, type Sheet, answer, api, newKey } from "../../api/client";
import { Attempt } from "../../state/attempt.svelte";
import type { Job } from "../../card/job.svelte";

export class SheetState extends Attempt {
  sheet = $state.raw<Sheet | null>(null);
  private readonly params;

  constructor(private readonly job: Job) {
    super();
    this.params = { path: { card_id: job.id } };
  }

  async load(): Promise<void> {
    await this.at(async () => {
      this.sheet = await answer(api.GET("/api/cards/{card_id}/sheet", { params: this.params }));
    });
  }

  private amendKey = newKey();

  /** Write a dated line on the signed card; the refusal, or null where it was written. */
  async amend(written_by: string, text: string): Promise<Refusal | null> {
    try {
      const body = { key: this.amendKey, written_by, text };
      this.job.queue.card = await answer(
        api.POST("/api/cards/{card_id}/amendments", { params: this.params, body }),
      );
      this.amendKey = newKey();
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
