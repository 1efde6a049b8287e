/** Rungs are told apart by where a piece comes from, and stepped through without falling off. */
import { describe, expect, it } from "vitest";
import type { Rung } from "../../api/client";
import { sourceWords } from "./plan.svelte";
import { rungKey, stepped } from "./rungs";

const length = (nm: number): Rung["thickness"] => ({ nm, mm: String(nm / 1e6), thou: "" });
const rung = (
  nm: number,
  source: Rung["source"] = "counter",
  from_valve: string | null = null,
): Rung => ({
  thickness: length(nm),
  source,
  from_valve,
  count: 1,
  gap: length(150_000),
  in_spec: true,
  chance: 1,
  goes_to: null,
  forbidden: false,
});

describe("rungs", () => {
  const ladder = [rung(2_400_000), rung(2_450_000, "drawer"), rung(2_450_000, "engine", "1 IN L")];

  it("tells pieces of one thickness apart by their source", () => {
    expect(new Set(ladder.map(rungKey)).size).toBe(3);
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
    expect(sourceWords(rung(1, "same"))).toBe("keep");
  });
});
