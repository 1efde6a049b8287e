/** The record's own copies, as the server lists them. */
import { type Refusal, type Schemas, answer, api } from "../../api/client";

type Copies = Schemas["CopiesOut"];
export type Copy = Copies["copies"][number];

const HOUR = 3_600_000;

export class CopiesState {
  copies = $state<Copy[]>([]);
  loaded = $state(false);
  said = $state("");
  busy = $state(false);
  readonly now: () => number;

  constructor(now: () => number = Date.now) {
    this.now = now;
  }

  load(): Promise<void> {
    return this.#take(api.GET("/api/copies"), "");
  }

  make(): Promise<void> {
    return this.#take(api.POST("/api/copies"), "Made, and looked at: it is whole.");
  }

  /** How old a copy is, in a few words. */
  age(one: Copy): string {
    const hours = Math.max(0, (this.now() - Date.parse(one.made_at)) / HOUR);
    if (hours < 1) return "less than an hour old";
    if (hours < 48) return `${Math.round(hours)} h old`;
    return `${Math.round(hours / 24)} days old`;
  }

  /** Whether the last copy is older than it would be if one were made each day. */
  get isOld(): boolean {
    const last = this.copies[0];
    return !!last && this.now() - Date.parse(last.made_at) > 48 * HOUR;
  }

  /** What a copy is called: its day and hour, or the upgrade that it was made before. */
  called(one: Copy): string {
    const moment = one.made_at.slice(0, 16).replace("T", " ");
    return one.name.startsWith("before-") ? `${moment}, before an upgrade` : moment;
  }

  size(one: Copy): string {
    return one.size < 1e6 ? `${Math.ceil(one.size / 1e3)} kB` : `${(one.size / 1e6).toFixed(1)} MB`;
  }

  async #take(call: Parameters<typeof answer<Copies>>[0], said: string): Promise<void> {
    this.busy = true;
    try {
      const found = await answer(call);
      this.copies = found.copies;
      this.loaded = true;
      this.said = said;
    } catch (error) {
      this.said = (error as Refusal).sentence;
    } finally {
      this.busy = false;
    }
  }
}

export const copiesState = new CopiesState();
