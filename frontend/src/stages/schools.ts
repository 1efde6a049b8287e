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
