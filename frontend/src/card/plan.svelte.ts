/** The whole-engine plan of the card on the screen, and what is decided around it. */
import { act } from "../api/acts";
import {
  type Plan,
  type PlanMove,
  type Quote,
  type Rival,
  Refusal,
  type Option,
  answer,
  api,
  newKey,
} from "../api/client";
import { untrack } from "svelte";
import { SvelteMap } from "svelte/reactivity";
import { Attempt } from "../state/attempt.svelte";
import type { Job } from "./job.svelte";

export class PlanState extends Attempt {
  plan = $state.raw<Plan | null>(null);
  quotes = $state.raw<readonly Quote[] | null>(null);
  busy = $state(false);
  /** What the parts counter refused, or why it does not answer. */
  counterSays = $state<string | null>(null);

  private readonly params: { params: { path: { card_id: number } } };

  constructor(readonly job: Job) {
    super();
    this.params = { params: { path: { card_id: job.id } } };
  }

  moves: ReadonlyMap<string, PlanMove> = $derived(
    // eslint-disable-next-line svelte/prefer-svelte-reactivity
    new Map(this.plan?.moves.map((move) => [move.valve, move])),
  );
  /** The plan belongs to the card as it is now. */
  get fresh(): boolean {
    return this.plan !== null && this.plan.version === this.job.card?.version;
  }

  /** The plan follows the card: whatever is written down, it is made anew. */
  follow(): void {
    if (this.job.card && !this.fresh) untrack(() => void this.load());
  }

  async load(): Promise<void> {
    await this.at(async () => {
      const found = await answer(api.GET("/api/cards/{card_id}/plan", this.params));
      // answers may overtake one another
      if (!this.plan || found.version >= this.plan.version) this.plan = found;
    });
  }

  /** Why a valve gets no other piece, by the question that was asked. */
  readonly rivals = new SvelteMap<string, readonly Rival[]>();

  question(valve: string): string {
    return `${this.plan?.version ?? ""} ${this.plan?.variant ?? ""} ${valve}`;
  }

  /** Ask it once; where no answer comes nothing is said, and it is asked again the next time. */
  async askRivals(valve: string, question: string): Promise<void> {
    if (!this.plan || this.rivals.has(question)) return;
    try {
      const path = { card_id: this.job.id, valve };
      const said = await answer(
        api.GET("/api/cards/{card_id}/plan/{valve}/rivals", { params: { path } }),
      );
      this.rivals.set(question, said.rivals);
    } catch {
      // the plan itself says where the server does not answer
    }
  }

  /** Decide by hand on a piece for a valve, then take the next valve. */
  take(valve: string, option: Option): Promise<void> {
    const { source, from_valve } = option;
    const choice = { valve, thickness_nm: option.thickness.nm, source, from_valve };
    return this.job.actAndGoOn(valve, act("choose", choice));
  }

  takeBack(valve: string): Promise<boolean> {
    const nothing = { valve, thickness_nm: null, source: null, from_valve: null };
    return this.job.act(act("choose", nothing), valve);
  }

  takeAll(): Promise<boolean> {
    return this.job.act(act("take-plan", {}));
  }

  forbid(valve: string, thickness_nm: number, forbidden: boolean): Promise<boolean> {
    return this.job.act(act("rule-out", { valve, thickness_nm, forbidden }), valve);
  }

  go(variant: string): Promise<boolean> {
    return this.job.act(act("variant", { variant }));
  }

  private async atCounter(work: () => Promise<void>): Promise<void> {
    this.busy = true;
    this.counterSays = null;
    try {
      await work();
    } catch (error) {
      this.counterSays = (error as Refusal).sentence;
    } finally {
      this.busy = false;
    }
  }

  /** Ask the counter what it has; nothing is ordered. */
  ask(): Promise<void> {
    return this.atCounter(async () => {
      const said = await answer(api.POST("/api/cards/{card_id}/quotes", this.params));
      this.quotes = said.lines;
    });
  }

  /** The name of the order, kept until it is through, so that it is placed once. */
  private orderKey = newKey();

  order(): Promise<void> {
    return this.atCounter(async () => {
      this.plan = await answer(
        api.POST("/api/cards/{card_id}/orders", {
          ...this.params,
          body: { key: this.orderKey },
        }),
      );
      this.orderKey = newKey();
      this.quotes = null;
    });
  }

  receive(line_id: number): Promise<void> {
    return this.atCounter(async () => {
      this.plan = await answer(
        api.POST("/api/cards/{card_id}/received/{line_id}", {
          params: { path: { card_id: this.job.id, line_id } },
        }),
      );
    });
  }
}

/** Where a piece comes from, in a word or two. */
export function sourceWords(move: {
  source: PlanMove["source"];
  from_valve: string | null;
}): string {
  return {
    same: "keep",
    engine: `from ${move.from_valve ?? ""}`,
    drawer: "drawer",
    counter: "buy",
  }[move.source];
}
