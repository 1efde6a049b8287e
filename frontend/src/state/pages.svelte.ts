/** A list that comes page by page: what is asked for may change before an answer is there. */
import { Attempt } from "./attempt.svelte";

const PAUSE_MS = 120;

export class Pages<Line> {
  lines = $state.raw<readonly Line[]>([]);
  count = $state<number | null>(null);
  readonly attempt = new Attempt();
  private asked = 0;

  /** @param fetch a page of lines from the so-manieth on, and how many there are in all. */
  constructor(
    private readonly fetch: (skip: number) => Promise<{ count: number; lines: readonly Line[] }>,
  ) {}

  get more(): boolean {
    return this.count !== null && this.lines.length < this.count;
  }

  /** Fetch the first page, or the next one behind what is there. */
  async look(skip = 0): Promise<void> {
    const mine = ++this.asked;
    await this.attempt.at(async () => {
      const page = await this.fetch(skip);
      if (mine !== this.asked) return; // something else is looked for by now
      this.lines = skip ? [...this.lines, ...page.lines] : page.lines;
      this.count = page.count;
    });
  }

  /** Fetch every page behind what is there, as for a print. */
  async all(): Promise<void> {
    while (this.more && !this.attempt.refusal) await this.look(this.lines.length);
  }

  /** Fetch the first page at the next short pause; call what is returned to leave it be. */
  soon(typed: boolean): () => void {
    const pause = setTimeout(() => void this.look(), typed ? PAUSE_MS : 0);
    return () => clearTimeout(pause);
  }
}
