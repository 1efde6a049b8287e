/** What rests as the crank stands, by the table that the core is held to. */
import { describe, expect, it } from "vitest";
import cases from "../../../tests/cases/at-rest.json";
import type { Lane } from "../api/client";
import { atRest } from "./crank";

describe.each(cases)("a $layout", ({ lanes, at }) => {
  it("has at rest what the table says, wherever in the cycle and round it", () => {
    for (const [crank, resting] of at as [number, string[]][])
      for (const turned of [crank, crank + 720, crank - 720])
        expect([...atRest(lanes as Lane[], turned)].sort()).toEqual([...resting].sort());
  });
});
