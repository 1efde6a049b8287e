/** Options of a ladder, told apart and stepped through. */
import type { Option } from "../../api/client";

export function optionKey(option: Option): string {
  return `${option.source} ${option.from_valve ?? ""} ${option.thickness.nm}`;
}

/** The option that many steps thicker (or thinner, below nothing), staying on the ladder. */
export function stepped(options: readonly Option[], at: Option | null, by: number): Option | null {
  const place = at ? options.findIndex((one) => optionKey(one) === optionKey(at)) : -1;
  return options[Math.min(options.length - 1, Math.max(0, place + by))] ?? null;
}
