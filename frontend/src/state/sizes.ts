/** Sizes of shims as they are typed and tapped, and the families of the drawer that have some. */
import { type Family, type Unit, answer, api } from "../api/client";

/** Runs to tap: the same ends, by one step or another. */
export const steps = (ends: string, by: readonly string[]): string[] =>
  by.map((step) => `${ends}/${step}`);

/** What a run that is tapped is called. */
export const by = (run: string): string => `by ${run.split("/")[1] ?? ""}`;

/** A thickness in a unit. */
export const sizeIn = (unit: Unit, one: { mm: string; inch: string }): string =>
  unit === "mm" ? one.mm : one.inch;

/** The sizes of a family as they would be typed. */
export function runsOf(family: Family, unit: Unit): string {
  const size = (one: { mm: string; inch: string }): string => sizeIn(unit, one);
  return family.runs.map((run) => `${size(run.low)}-${size(run.high)}/${size(run.step)}`).join(" ");
}

/** The families of the drawer whose sizes are known; none without the drawer. */
export async function familiesWithSizes(): Promise<readonly Family[]> {
  try {
    const { families } = await answer(api.GET("/api/drawer"));
    return families.filter((one) => one.runs.length);
  } catch {
    return []; // the sizes are tapped or typed
  }
}
