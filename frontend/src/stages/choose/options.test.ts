/** Options are told apart by where a piece comes from, and stepped through without falling off. */
import { describe, expect, it } from "vitest";
import type { Option } from "../../api/client";
import { sourceWords } from "../../card/plan.svelte";
import { optionKey, stepped } from "./options";

const length = (nm: number): Option["thickness"] => ({
  nm,
  mm: String(nm / 1e6),
  thou: "",
  inch: "",
});
const option = (
  nm: number,
  source: Option["source"] = "counter",
  from_valve: string | null = null,
): Option => ({
  thickness: length(nm),
  source,
  from_valve,
  count: 1,
  gap: length(150_000),
  in_spec: true,
  stands: "in range",
  goes_to: null,
  forbidden: false,
});

describe("options", () => {
  const ladder = [
    option(2_400_000),
    option(2_450_000, "drawer"),
    option(2_450_000, "engine", "1 IN L"),
  ];

  it("tells pieces of one thickness apart by their source", () => {
    expect(new Set(ladder.map(optionKey)).size).toBe(3);
  });
  it("steps up and down and stays on the ladder", () => {
    expect(stepped(ladder, ladder[0]!, 1)).toBe(ladder[1]);
    expect(stepped(ladder, ladder[2]!, 1)).toBe(ladder[2]);
    expect(stepped(ladder, ladder[0]!, -1)).toBe(ladder[0]);
  });
  it("begins at the thinnest where nothing is looked at, and is nothing where there is none", () => {
    expect(stepped(ladder, null, 1)).toBe(ladder[0]);
    expect(stepped([], null, 1)).toBeNull();
  });
  it("says in a word or two where a piece comes from", () => {
    expect(ladder.map(sourceWords)).toEqual(["buy", "drawer", "from 1 IN L"]);
    expect(sourceWords(option(1, "same"))).toBe("keep");
  });
});
