/** The schools of the trade, as the shop chooses between them. */
import type { Policy } from "../api/client";
import { type Items, named } from "../kit/items";

/** What a card leans to: what each habit is called, and what it is chosen from. */
export const HABITS: Record<keyof Policy, { label: string; items: Items<string> }> = {
  aim: {
    label: "Aim at",
    items: [
      {
        value: "loose",
        label: "loose end",
        note: "gaps close with use: longest to the next change",
      },
      { value: "middle", label: "middle", note: "equal room both ways" },
      { value: "tight", label: "tight end", note: "some finger followers: quieter" },
      { value: "maker", label: "maker’s aim", note: "where the manual gives one, else the middle" },
      { value: "least", label: "least change", note: "nearest to what is in" },
    ],
  },
  rounding: {
    label: "Round to",
    items: [
      { value: "nearest", label: "nearest size" },
      { value: "thinner", label: "always thinner" },
      { value: "thicker", label: "always thicker" },
      { value: "chance", label: "best chance" },
    ],
  },
  act: {
    label: "Set which valves",
    items: [
      { value: "out", label: "only what is out" },
      { value: "near", label: "near the tight edge too" },
      { value: "all", label: "all under a cam that is out" },
    ],
  },
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
