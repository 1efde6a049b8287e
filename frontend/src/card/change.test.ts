import { describe, expect, it } from "vitest";
import { changeWords } from "./change";

const mm = (nm: number) => ({
  nm,
  mm: (nm / 1e6).toFixed(2).replace("-", "−"),
  thou: "",
  inch: "",
});

describe("by how much a piece must change", () => {
  it.each([
    [-110_000, -60_000, "0.06 to 0.11 thinner"],
    [60_000, 110_000, "0.06 to 0.11 thicker"],
    [-20_000, 30_000, "no more than 0.02 thinner or 0.03 thicker"],
  ])("says which way", (thin, thick, said) => {
    expect(changeWords({ thin: mm(thin), thick: mm(thick) }, (one) => one.mm)).toBe(said);
  });
});
