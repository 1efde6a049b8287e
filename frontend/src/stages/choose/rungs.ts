/** Rungs of a ladder, told apart and stepped through. */
import type { Rung } from "../../api/client";

export function rungKey(rung: Rung): string {
  return `${rung.source} ${rung.from_valve ?? ""} ${rung.thickness.nm}`;
}

/** The rung that many steps thicker (or thinner, below nothing), staying on the ladder. */
export function stepped(rungs: readonly Rung[], at: Rung | null, by: number): Rung | null {
  const place = at ? rungs.findIndex((one) => rungKey(one) === rungKey(at)) : -1;
  return rungs[Math.min(rungs.length - 1, Math.max(0, place + by))] ?? null;
}
