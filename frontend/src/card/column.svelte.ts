/** A column pasted into the reading field: asked about once, then written valve after valve. */
import type { Job } from "./job.svelte";

export type Line = Readonly<{ valve: string; text: string }>;

/** Return the rows of a pasted text; the cells of a row go together, a heading falls away. */
export function rowsOf(pasted: string): string[] {
  const rows = pasted.split(/\r?\n/).map((row) => row.replaceAll("\t", " ").trim());
  if (rows.length > 1 && !/\d/.test(rows[0] ?? "")) rows.shift();
  while (rows.length && !rows.at(-1)) rows.pop();
  return rows;
}

export class Column {
  /** What would be written, a line a valve; empty rows leave their valve out. */
  lines = $state.raw<readonly Line[]>([]);
  /** How many rows there are more than valves. */
  over = $state(0);

  constructor(private readonly job: Job) {}

  /** Ask about a pasted text that has several rows; whether it has. */
  offer(pasted: string): boolean {
    const { job } = this;
    const rows = rowsOf(pasted);
    if (rows.length < 2 || !job.inHand) return false;
    const valves = [job.inHand, ...job.following(job.inHand)];
    this.lines = valves
      .map((valve, nth) => ({ valve, text: rows[nth] ?? "" }))
      .filter((line) => line.text);
    this.over = Math.max(0, rows.length - valves.length);
    return true;
  }

  drop(): void {
    this.lines = [];
    this.over = 0;
  }

  /** Write them all. */
  async write(): Promise<void> {
    const { lines } = this;
    this.drop();
    await this.job.entry.writeAll(lines);
  }
}
