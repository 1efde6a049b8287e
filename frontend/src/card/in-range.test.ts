import { describe, expect, it } from "vitest";
import { inRange } from "./in-range";

describe("what is said of all valves", () => {
  const found = (verdict: "in" | "unsettled" | "tight" | null) => ({ verdict });
  it.each([
    [[found("in"), found("in")], "Every valve is in range."],
    [[found("in"), found(null)], "1 of 2 in range, 1 not measured."],
    [[found("in"), found("unsettled")], "1 of 2 in range, 1 not clear yet."],
    [[{ verdict: "tight", proof_verdict: "in" } as const], "Every valve is in range."],
    [[{ verdict: "in", proof_verdict: "tight" } as const], "0 of 1 in range, 1 too tight."],
    [[], "0 of 0 in range."],
  ])("says of those that were measured alone: %j", (valves, says) => {
    expect(inRange(valves)).toBe(says);
  });
});
