/** The word that stands beside each verdict's shape. */
import type { Verdict } from "../api/client";

export const VERDICT_WORDS: Record<Verdict, string> = {
  in: "in spec",
  tight: "tight",
  loose: "loose",
  unsettled: "not settled",
  none: "no gap",
};

export const VERDICT_COLOURS: Record<Verdict, string> = {
  in: "text-ink",
  tight: "text-tight",
  loose: "text-loose",
  unsettled: "text-now",
  none: "text-tight",
};
