/** What is about to be opened: a card on the engine just saved, an engine from a quick sum. */
import type { Unit } from "../api/client";

/** What a quick sum knows of the engine that it becomes. */
export interface FromSum {
  spec: string;
  room: string;
  unit: Unit;
  shimUnit: Unit;
  sizes: string;
}

class Opening {
  sum: FromSum | null = null;
  /** The engine that was saved last on this screen. */
  engine = $state<number | null>(null);
  /** Whether the bench is to ask for the card as soon as it is there. */
  asked = $state(false);
}

export const opening = new Opening();
