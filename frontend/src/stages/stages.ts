/** The stages of a card, in the order of work. */
import type { Card, Stage } from "../api/client";

export const STAGES: readonly { stage: Stage; name: string; does: string }[] = [
  { stage: "ready", name: "Ready", does: "Cold and safe" },
  { stage: "turn", name: "Turn", does: "Where to measure" },
  { stage: "feel", name: "Feel", does: "Gaps as found" },
  { stage: "read", name: "Read", does: "Shims that came out" },
  { stage: "choose", name: "Choose", does: "Shims to fit" },
  { stage: "fit", name: "Fit", does: "Shims in, caps down" },
  { stage: "prove", name: "Prove", does: "Measure again" },
  { stage: "sign", name: "Sign", does: "The sheet" },
];

export function isStage(name: string): name is Stage {
  return STAGES.some((one) => one.stage === name);
}

/** How many valves a stage asks for, and how many of them are done. */
export function progress(card: Card, stage: Stage): { asked: number; done: number } {
  const todo = card.todo.find((item) => item.stage === stage);
  if (stage === "ready" && todo)
    return { asked: card.safety.length, done: card.safety.length - todo.waiting.length };
  if (!todo?.applies || stage === "sign" || stage === "turn") return { asked: 0, done: 0 };
  const opened = card.valves.filter(
    (valve) => valve.need === "open" || todo.waiting.includes(valve.valve),
  ).length;
  const touched = card.valves.filter((valve) => valve.touched).length;
  const asked =
    stage === "feel" ? card.valves.length : stage === "prove" || stage === "fit" ? touched : opened;
  return { asked, done: asked - todo.waiting.length };
}
