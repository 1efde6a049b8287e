/** Which of its fields a form was refused for: told by the form to the fields inside it. */
import { createContext } from "svelte";

const [get, set] = createContext<() => string | null>();

export const tellFields = set;

/** The field that the form around was refused for; none outside of a form. */
export function refusedField(): () => string | null {
  try {
    return get();
  } catch {
    return () => null;
  }
}
