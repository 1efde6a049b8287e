/** Something asked of the server: done, or refused with what to say about it. */
import type { Refusal } from "../api/client";

export class Attempt {
  refusal = $state.raw<Refusal | null>(null);

  /** Do it; whether it was done. */
  async at(work: () => Promise<unknown>): Promise<boolean> {
    try {
      await work();
      this.refusal = null;
    } catch (error) {
      this.refusal = error as Refusal;
    }
    return this.refusal === null;
  }
}
