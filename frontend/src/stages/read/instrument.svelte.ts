/** Readings that a connected instrument sends: asked for again and again while in Read. */
import { answer, api } from "../../api/client";

const EVERY_MS = 350;

export class Instrument {
  connected = $state(false);
  private seen = -1;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private running = false;

  /** @param heard what to do with a reading, as the instrument shows it: `2.897`. */
  constructor(private readonly heard: (reading: string) => void) {}

  start(): void {
    this.running = true;
    void this.listen();
  }

  stop(): void {
    this.running = false;
    if (this.timer) clearTimeout(this.timer);
  }

  private async listen(): Promise<void> {
    let wait = EVERY_MS;
    try {
      const said = await answer(
        api.GET("/api/instrument/readings/{seen}", {
          params: { path: { seen: Math.max(0, this.seen) } },
        }),
      );
      this.connected = said.connected;
      // what was sent before this screen opened is not for it
      if (this.seen >= 0) for (const line of said.lines) this.heard(line.replace(/\s*mm$/, ""));
      this.seen = said.count;
      if (!said.connected) wait = 10_000;
    } catch {
      wait = 3000;
    }
    if (this.running) this.timer = setTimeout(() => void this.listen(), wait);
  }

  /** Close the simulated instrument on the piece of a valve. */
  async press(card_id: number, valve: string): Promise<void> {
    await answer(api.POST("/api/instrument/press", { body: { card_id, valve } }));
  }
}
