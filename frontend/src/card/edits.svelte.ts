/**
 * Changes to one list or table of the card, shown at once and sent one after the other. Each is
 * made of what stands when those before it are through, so none writes over another, however
 * slow the server is; one that was not taken yet is kept and sent again.
 */
import type { Act } from "../api/acts";
import type { Job } from "./job.svelte";

type Change<Value> = (value: Value) => Value;

export class Edits<Value> {
  private pending = $state.raw<readonly Change<Value>[]>([]);

  constructor(
    private readonly job: Job,
    /** What the server has. */
    private readonly kept: () => Value,
  ) {}

  /** What the server has, with all that is on its way to it. */
  get value(): Value {
    return this.pending.reduce((value, change) => change(value), this.kept());
  }

  /**
   * Change it, by the act that makes it what it is then; whether the server took it. What it
   * refuses for good is left out again.
   */
  edit(change: Change<Value>, made: (value: Value) => Act): Promise<boolean> {
    this.pending = [...this.pending, change];
    const through = (): void => {
      this.pending = this.pending.filter((one) => one !== change);
    };
    const make = (): Act => made(change(this.kept()));
    const done = this.job.sending.act(made(this.value), "", { make, through });
    return done.finally(through);
  }
}
