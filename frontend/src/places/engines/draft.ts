/** A new engine that is not saved yet: kept in this browser through reload and leaving. */
import type { Schemas } from "../../api/client";
import { PRACTISING } from "../../state/route.svelte";
import type { EngineDocument } from "./document";

/** What stands in the fields of a spec, as typed, which stands even where it cannot be read. */
export interface TypedSpec {
  text?: string;
  room?: string;
  set?: string;
}

export interface EngineDraft {
  label: string;
  note: string;
  start: Schemas["StartIn"];
  file: EngineDocument;
  specs: Record<string, TypedSpec>;
  sizes: string;
}

const KEPT = PRACTISING ? "plimb.engine.practice" : "plimb.engine";

export function keptDraft(): EngineDraft | null {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? "null") as EngineDraft | null;
  } catch {
    return null;
  }
}

export function keepDraft(draft: EngineDraft | null): void {
  try {
    if (draft) localStorage.setItem(KEPT, JSON.stringify(draft));
    else localStorage.removeItem(KEPT);
  } catch {
    // a browser that keeps nothing still works until it is closed
  }
}
