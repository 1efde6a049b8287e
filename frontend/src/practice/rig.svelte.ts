/** A lesson's engine on the screen: what it shows, what it last answered, and acts on it. */
import { type Schemas, answer, api } from "../api/client";
import { Attempt } from "../state/attempt.svelte";

export type Told = Schemas["ToldOut"];
type Act = Schemas["ActIn"]["act"];

export class RigState extends Attempt {
  rig = $state.raw<Schemas["RigOut"] | null>(null);
  told = $state.raw<Told | null>(null);
  busy = $state(false);
  /** How far the crank is being turned just now, before it is let go. */
  turning = $state(0);
  private readonly params;

  constructor(readonly card: number) {
    super();
    this.params = { path: { card_id: card } };
  }

  /** Where the crank stands, in degrees of the cycle. */
  get crank(): number {
    return ((this.rig?.crank ?? 0) + this.turning) % 720;
  }

  async load(): Promise<void> {
    await this.at(async () => {
      this.rig = await answer(api.GET("/api/practice/{card_id}", { params: this.params }));
    });
  }

  /** Do one act; what it answers stands in `told`. */
  async do(act: Act, ...what: (string | number | boolean | null)[]): Promise<Told | null> {
    if (this.busy) return null;
    this.busy = true;
    const done = await this.at(async () => {
      const body = { act, what };
      const params = this.params;
      this.told = await answer(api.POST("/api/practice/{card_id}/acts", { params, body }));
      this.rig = this.told.rig;
    });
    if (!done) this.told = null;
    this.busy = false;
    return done ? this.told : null;
  }

  /** Let the crank go where it was turned to. */
  async letGo(): Promise<void> {
    const by = Math.round(this.turning);
    if (by > 0) await this.do("turn", Math.min(by, 360));
    this.turning = 0;
  }
}
