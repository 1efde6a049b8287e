/** What is being typed for the valve in hand: kept, read back, written down, corrected. */
import { act } from "../api/acts";
import {
  type Condition,
  type Stage,
  type Unit,
  type Valve,
  type Words,
  answer,
  api,
  newKey,
} from "../api/client";
import { preferences } from "../state/preferences.svelte";
import { Column, type Line } from "./column.svelte";
import type { Job } from "./job.svelte";
import type { Waiting } from "./outbox.svelte";
import { kindOf } from "./registry";

const PAUSE_MS = 70;

export class Entry {
  understood = $state.raw<Words | null>(null);
  /** Whether an emptied field strikes the written line out: after Backspace brought it back. */
  striking = $state(false);
  /** What the piece being typed is fit for. */
  condition = $state<Condition>("sound");
  /** Why what was found is corrected, once pieces are out. */
  reason = $state("");
  /** Whether what is typed is one more reading of the same gap. */
  repeating = $state(false);
  /** The valve that was written last. */
  wroteLast = $state("");
  /** A reading is on its way; what is typed meanwhile is meant for the next valve. */
  sending = $state(false);
  private held: string[] = [];
  /** A column that was pasted, until it is said whether it is written. */
  readonly column: Column;

  constructor(private readonly job: Job) {
    this.column = new Column(job);
  }

  draftOf(valve: string): string {
    return this.job.outbox.drafts[`${this.job.stage} ${valve}`] ?? "";
  }

  get draft(): string {
    return this.job.inHand ? this.draftOf(this.job.inHand) : "";
  }

  set draft(text: string) {
    if (!this.job.inHand) return;
    this.job.outbox.draft(this.job.stage, this.job.inHand, text, preferences.unit);
    this.job.queue.refusal = null;
  }

  /** Begin with something typed in a unit of its own, as a blade is marked. */
  begin(text: string, unit: Unit): void {
    if (!this.job.inHand) return;
    this.job.outbox.forget(this.job.stage, this.job.inHand);
    this.job.outbox.draft(this.job.stage, this.job.inHand, text, unit);
    this.job.queue.refusal = null;
  }

  /** The unit of what is typed: the one it was begun in, or was written in where it is corrected. */
  get unit(): Unit {
    const at = `${this.job.stage} ${this.job.inHand}`;
    return (this.draft && this.job.outbox.units[at]) || preferences.unit;
  }

  /** What was typed for the line that stands in this stage. */
  get written(): string {
    const valve = this.job.valve;
    return valve ? (kindOf(this.job.stage).written?.(valve) ?? "") : "";
  }

  /** Another valve or stage is in hand now. */
  leave(): void {
    this.understood = null;
    this.striking = false;
    this.repeating = false;
    this.column.drop();
  }

  /** A reading of a valve on its way, with what stands there now. */
  private waiting(valve: string, text: string, unit: Unit, stage = this.job.stage): Waiting {
    const stood = this.job.valves.get(valve);
    const seen = (stood && kindOf(stage).written?.(stood)) ?? "";
    return { key: newKey(), stage, valve, text, unit, repeats: false, seen };
  }

  /** Write down what is typed for the valve in hand; then the next. */
  async write(): Promise<boolean> {
    const { job } = this;
    const valve = job.inHand;
    if (!valve || job.signed) return false;
    const text = this.draft.trim();
    if (!text && !this.striking) {
      if (job.slipsOf(job.valve).length) await this.keep();
      return false;
    }
    const [stage, picks] = [job.stage, job.picks];
    const entry: Waiting = {
      ...this.waiting(valve, text, this.unit),
      repeats: this.repeating,
      reason: kindOf(stage).purpose === "found" ? this.reason.trim() : "",
      condition: kindOf(stage).shims ? this.condition : undefined,
    };
    this.hush();
    this.sending = true;
    this.wroteLast = valve;
    const outcome = await job.sending.carry(entry);
    this.sending = false;
    const moved = job.picks !== picks || job.stage !== stage;
    // what was typed after another valve was picked is meant for that one
    if (outcome === "refused") {
      if (!moved) this.setAside(valve);
      void this.release();
      return false;
    }
    job.outbox.draft(stage, valve, "", preferences.unit);
    this.striking = false;
    this.repeating = false;
    this.condition = "sound";
    this.reason = "";
    // whoever has picked a valve meanwhile, this one or another, stays where they are; a question
    // waits in its list, and what is typed next is the next valve's
    const stays = !moved && !job.goOn(valve);
    const now = job.valves.get(valve);
    // with nowhere to go on to, what is typed ahead is not written over what is asked about
    void this.release(!(stays && now && kindOf(stage).asks?.(now)));
    return true;
  }

  /**
   * Write several lines, one a valve. All of them stand in their fields until they are on their
   * way; the first that is refused comes into hand, and those after it stay where they are.
   */
  async writeAll(lines: readonly Line[]): Promise<void> {
    const { job } = this;
    const { stage } = job;
    const { unit } = preferences;
    for (const { valve, text } of lines) job.outbox.draft(stage, valve, text, unit);
    this.sending = true;
    for (const { valve, text } of lines) {
      const entry = this.waiting(valve, text, unit, stage);
      if ((await job.sending.carry(entry)) === "refused") {
        this.sending = false;
        job.pick(valve);
        await this.write();
        return;
      }
      job.outbox.draft(stage, valve, "", unit);
      this.wroteLast = valve;
    }
    this.sending = false;
    if (job.stage === stage) job.goOn(this.wroteLast);
    void this.release(false);
  }

  /**
   * Keep what was typed ahead of a reading that was refused: it was meant for the valves after
   * it, and stands there, to be entered when their turn comes.
   */
  private setAside(valve: string): void {
    const { job } = this;
    const ahead = this.held.join("").replaceAll("Backspace", "\b").split("Enter");
    this.held = [];
    for (const [nth, next] of job.following(valve).entries()) {
      let text = ahead[nth] ?? "";
      while (text.includes("\b")) text = text.replace(/[^\b]?\b/, "");
      if (text && !this.draftOf(next)) job.outbox.draft(job.stage, next, text, preferences.unit);
    }
  }

  /** Hold what is typed while a reading is on its way; whether it is held. */
  hold(key: string): boolean {
    if (this.sending) this.held.push(key);
    return this.sending;
  }

  /** Write what is typed, or hold that until the reading before is through. */
  submit(): void {
    if (!this.hold("Enter")) void this.write();
  }

  /**
   * Type what was held into the valve now in hand, until a reading is on its way again; where it
   * is not to be written, it stays in the field.
   */
  private async release(writes = true): Promise<void> {
    for (let key = this.held.shift(); key !== undefined; key = this.held.shift()) {
      if (key === "Backspace") this.draft = this.draft.slice(0, -1);
      else if (key !== "Enter") this.draft += key;
      else if (writes) {
        // what is left is held on: writing this one releases it
        await this.write();
        return;
      }
    }
  }

  stop(): void {
    this.hush();
  }

  /** Bring what was written back into the field, to correct it. */
  correct(): boolean {
    const { job } = this;
    if (!this.written || this.draft || !job.inHand) return false;
    const unit = (job.valve && kindOf(job.stage).unit?.(job.valve)) ?? preferences.unit;
    job.outbox.draft(job.stage, job.inHand, this.written, unit);
    job.queue.refusal = null;
    this.striking = true;
    return true;
  }

  /** Answer what is asked about a valve: it is so. */
  async keep(valve: string | null = this.job.inHand): Promise<void> {
    const { job } = this;
    const asked = valve ? (job.valves.get(valve) ?? null) : null;
    if (!asked) return;
    const { purpose = "found" } = kindOf(job.stage);
    const slips = job.slipsOf(asked).map((question) => question.slip);
    await job.actAndGoOn(asked.valve, act("keep", { valve: asked.valve, purpose, slips }));
  }

  /** What `y` takes: the likely right value of the first valve that is asked about. */
  get likely(): Valve | null {
    return this.job.asked.find((one) => this.suggestion(one)) ?? null;
  }

  private suggestion(valve: Valve): string {
    return this.job.slipsOf(valve).find((one) => one.suggestion)?.suggestion ?? "";
  }

  /** Take the likely right value of a valve in place of what was typed for it. */
  async accept(valve: Valve | null): Promise<void> {
    const { job } = this;
    const text = valve ? this.suggestion(valve) : "";
    if (!valve || !text) return;
    const { stage } = job;
    // it is offered in the unit that the reading was written in
    const unit = kindOf(stage).unit?.(valve) ?? preferences.unit;
    const entry = this.waiting(valve.valve, text, unit);
    this.wroteLast = valve.valve;
    await job.sending.carry(entry);
    if (job.stage === stage && job.inHand === valve.valve && !this.draft) job.goOn(valve.valve);
  }

  private asking: AbortController | null = null;
  private pause: ReturnType<typeof setTimeout> | undefined;

  /** Have the server read back what is being typed, at the next short pause. */
  understand(): void {
    this.hush();
    this.pause = setTimeout(() => void this.readBack(), PAUSE_MS);
  }

  private hush(): void {
    clearTimeout(this.pause);
    this.asking?.abort();
  }

  private async readBack(): Promise<void> {
    const { job } = this;
    const [valve, text, stage] = [job.inHand, this.draft.trim(), job.stage as Stage];
    const kind = kindOf(stage);
    if (!valve || !text || !kind.written) {
      this.understood = null;
      return;
    }
    const asking = (this.asking = new AbortController());
    try {
      const words = await answer(
        api.POST("/api/cards/{card_id}/understand", {
          params: { path: { card_id: job.id } },
          body: {
            kind: kind.shims ? "piece" : "gap",
            valve,
            text,
            unit: this.unit,
            purpose: kind.purpose ?? "found",
          },
          signal: asking.signal,
        }),
      );
      if (asking === this.asking && job.inHand === valve) this.understood = words;
    } catch {
      if (asking === this.asking) this.understood = null;
    }
  }
}
