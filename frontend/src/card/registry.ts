/** The stages of a card, in the order of work: a row each with what the screen does there. */
import type { Card, Plan, Stage, Unit, Valve } from "../api/client";

/** A piece that goes from valve to valve, or comes in from outside. */
export interface Travel {
  valve: string;
  from_valve: string | null;
  source: string;
}

export interface StageKind {
  stage: Stage;
  name: string;
  /** What is done there, for whoever sees the names for the first time. */
  means: string;
  /** What was typed for a valve's line here; a stage with one has a field to type in. */
  written?: (valve: Valve) => string;
  /** The unit that line was written in. */
  unit?: (valve: Valve) => Unit | undefined;
  /** What is typed is a shim; else a gap for this purpose. */
  shims?: boolean;
  purpose?: "found" | "proof";
  /** Whether something is asked about what is written there. */
  asks?: (valve: Valve) => boolean;
  /** Slips of readings, as they are asked about here. */
  slips?: (valve: Valve) => Valve["questions"];
  /** The gaps as found are judged here. */
  judgesFound?: boolean;
  /** Which of the waiting valves comes first, where one is better than another. */
  first?: (valve: Valve | undefined) => boolean;
  /** What waits, in an order of the stage's own. */
  waiting?: (card: Card) => string[];
  /** The crank is turned here; no valve is in hand. */
  turns?: boolean;
  /** What is expected is not shown before it is proved, so that nobody reads what they expect. */
  hides?: boolean;
  /** The proof is judged here, not the gap as found. */
  judgesProof?: boolean;
  /** What a valve came out off by stands on its plate. */
  showsOff?: boolean;
  /** The pieces' ways, drawn as arcs. */
  travels?: (card: Card, plan: Plan | null) => readonly Travel[];
  /** What the plan gives stands on the plates. */
  plans?: boolean;
  /** How far proofs came out is drawn on the head. */
  residuals?: boolean;
  /** The page takes the whole width, without the head. */
  whole?: boolean;
}

export const STAGES: readonly StageKind[] = [
  { stage: "ready", name: "Ready", means: "cold", whole: true },
  { stage: "turn", name: "Turn", means: "to each position", turns: true },
  {
    stage: "feel",
    name: "Feel",
    means: "the gaps",
    written: (valve) => valve.found?.typed ?? "",
    unit: (valve) => valve.found?.unit,
    purpose: "found",
    asks: (valve) => valve.questions.length > 0,
    slips: (valve) => valve.questions,
    judgesFound: true,
  },
  {
    stage: "read",
    name: "Read",
    means: "the shims",
    written: (valve) => valve.piece?.typed ?? "",
    shims: true,
    asks: (valve) => valve.piece !== null && valve.piece.disagrees && !valve.piece.answered,
  },
  // where a sum is asked for, a valve whose shim is read comes first
  {
    stage: "choose",
    name: "Choose",
    means: "shims",
    first: (valve) => valve?.worked != null,
    plans: true,
    travels: (_card, plan) => plan?.moves.filter((move) => move.changes) ?? [],
  },
  {
    stage: "fit",
    name: "Fit",
    means: "and tighten",
    // what is fitted comes in an order of its own
    waiting: (card) => card.fit.filter((step) => !step.fitted).map((step) => step.valve),
    hides: true,
    travels: (card) => card.fit.filter((step) => !step.fitted),
  },
  {
    stage: "prove",
    name: "Prove",
    means: "anew",
    written: (valve) => valve.proof?.typed ?? "",
    unit: (valve) => valve.proof?.unit,
    purpose: "proof",
    asks: (valve) => valve.proof_questions.length > 0,
    slips: (valve) => valve.proof_questions,
    hides: true,
    judgesProof: true,
    showsOff: true,
    residuals: true,
  },
  {
    stage: "sign",
    name: "Sign",
    means: "the sheet",
    judgesProof: true,
    showsOff: true,
    whole: true,
  },
];

const BY_NAME = new Map(STAGES.map((kind) => [kind.stage, kind]));

/** Return the row of a stage. */
export function kindOf(stage: Stage): StageKind {
  const kind = BY_NAME.get(stage);
  if (!kind) throw new Error(`there is no stage ${stage}`);
  return kind;
}

export function isStage(name: string): name is Stage {
  return STAGES.some((one) => one.stage === name);
}

/** The stages that this card has, in the order of its kind of job. */
export function stagesOf(card: Card): StageKind[] {
  return card.todo.map((item) => kindOf(item.stage));
}

/** Whether anything is taken apart on this card: a check only reads no shims. */
export function takesApart(card: Card): boolean {
  return card.todo.some((item) => item.stage === "read");
}

/** How many a stage asks for, and how many of them are done. */
export function progress(card: Card, stage: Stage): { asked: number; done: number } {
  const todo = card.todo.find((item) => item.stage === stage);
  if (!todo?.applies) return { asked: 0, done: 0 };
  return { asked: todo.asks.length, done: todo.asks.length - todo.waiting.length };
}
