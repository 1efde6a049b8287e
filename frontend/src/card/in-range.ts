/** How many valves are in range, said of just those that were measured and judged. */
import type { Verdict } from "../api/client";

interface Judged {
  verdict: Verdict | null;
  proof_verdict?: Verdict | null;
}

/** Return in a sentence how many are in range, as proved or else as found, and what of the rest. */
export function inRange(valves: readonly Judged[]): string {
  const verdicts = valves.map((one) => one.proof_verdict ?? one.verdict);
  const count = (wanted: Verdict | null): number => verdicts.filter((one) => one === wanted).length;
  const fine = count("in");
  if (fine && fine === valves.length) return "Every valve is in range.";
  const rest = [
    { many: count(null), says: "not measured" },
    { many: count("unsettled"), says: "not clear yet" },
    { many: count("none"), says: "without a gap" },
    { many: count("tight"), says: "too tight" },
    { many: count("loose"), says: "too wide" },
  ].filter((one) => one.many);
  return `${[`${fine} of ${valves.length} in range`, ...rest.map((one) => `${one.many} ${one.says}`)].join(", ")}.`;
}
