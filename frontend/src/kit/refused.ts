/** What a form was refused for: told by the form to the fields inside it. */
import { createContext } from "svelte";

export interface Refused {
  readonly field: string | null;
  /** What could be typed instead. */
  readonly offers: readonly string[];
}

const NOTHING: Refused = { field: null, offers: [] };
const [get, set] = createContext<() => Refused>();

export const tellFields = set;

/** What the form around was refused for; nothing outside of a form. */
export function refusedOf(): () => Refused {
  try {
    return get();
  } catch {
    return () => NOTHING;
  }
}
