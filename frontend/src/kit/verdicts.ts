/** The word that stands beside each verdict's shape. */
import type { Verdict } from "../api/client";
import kinds from "../api/kinds.json";

export const VERDICT_WORDS: Record<Verdict, string> = kinds.verdicts;

export const VERDICT_COLOURS: Record<Verdict, string> = {
  in: "text-ink",
  tight: "text-tight",
  loose: "text-loose",
  unsettled: "text-now",
  none: "text-tight",
};
