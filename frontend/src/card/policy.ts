/** How a card decides: what each rule is called, and what it is chosen from. */
import type { Policy } from "../api/client";
import kinds from "../api/kinds.json";
import { type Items, named } from "../kit/items";

/** What a card leans to: what each habit is called, and what it is chosen from. */
export const HABITS: Record<keyof Policy, { label: string; items: Items<string> }> = {
  ...kinds.policy,
  trust: {
    label: "Thickness by",
    items: [
      { value: "measured", label: "micrometer" },
      { value: "marked", label: "marking" },
    ],
  },
  reuse: {
    label: "Pieces used again",
    items: [
      { value: "yes", label: "out of the engine and the drawer" },
      { value: "no", label: "only new ones" },
    ],
  },
};

/** What a card holds to in one habit. */
export function heldTo(card: Policy, habit: keyof Policy): string {
  return habit === "reuse" ? (card.reuse ? "yes" : "no") : card[habit];
}

/** The same in words. */
export function leaning(card: Policy, habit: keyof Policy): string {
  const held = heldTo(card, habit);
  return named(HABITS[habit].items).find((one) => one.value === held)?.label ?? held;
}
