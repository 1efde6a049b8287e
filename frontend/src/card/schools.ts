/** The schools of the trade, as the shop chooses between them. */

/** Where a changed valve should end. */
export const AIMS = [
  { value: "loose", label: "loose end", note: "gaps close with use: longest to the next change" },
  { value: "middle", label: "middle", note: "equal room both ways" },
  { value: "tight", label: "tight end", note: "some finger followers: quieter" },
  { value: "maker", label: "maker’s aim", note: "where the manual gives one, else the middle" },
  { value: "least", label: "least change", note: "nearest to what is in" },
] as const;
/** Which of the sizes in spec to take. */
export const ROUNDINGS = [
  { value: "nearest", label: "nearest size" },
  { value: "thinner", label: "always thinner" },
  { value: "thicker", label: "always thicker" },
  { value: "chance", label: "best chance" },
] as const;
/** Which valves are set. */
export const ACTS = [
  { value: "out", label: "only what is out" },
  { value: "near", label: "near the tight edge too" },
  { value: "all", label: "all under a cam that is out" },
] as const;
/** Which thickness a sum is made with, where nobody answered for a piece. */
export const TRUSTS = [
  { value: "measured", label: "micrometer" },
  { value: "marked", label: "marking" },
] as const;
/** Whether pieces out of the engine and the drawer may be used. */
export const REUSES = [
  { value: "yes", label: "out of the engine and the drawer" },
  { value: "no", label: "only new ones" },
] as const;
