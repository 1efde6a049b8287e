/** The places of Plimb by their addresses, each with its script, fetched when first opened. */
import type { Component } from "svelte";
import type { Stage } from "../api/client";
import { isStage } from "../card/registry";
import { PRACTISING } from "../state/route.svelte";

type Loads<Props extends Record<string, unknown>> = () => Promise<{ default: Component<Props> }>;
type Anything = Record<string, unknown>;

export interface Place {
  name:
    | "bench"
    | "card"
    | "engine"
    | "years"
    | "history"
    | "handbook"
    | "practice"
    | "other"
    | "nowhere";
  /** Another key is another page, built anew. */
  key: string;
  load: Loads<Anything> | null;
  given: Anything;
  card?: number;
  stage?: Stage | null;
}

/** Return a place whose page takes what is given to it; what it takes is checked here. */
function place<Props extends Anything>(
  name: Place["name"],
  key: string,
  load: Loads<Props>,
  given: Props,
): Place {
  return { name, key, load: load as unknown as Loads<Anything>, given };
}

const lessons = () => import("../practice/Home.svelte");
const truth = () => import("../practice/Truth.svelte");
const card = () => import("../stages/StageFrame.svelte");
const editor = () => import("./engines/Editor.svelte");
const years = () => import("./years/Page.svelte");
const history = () => import("./history/Page.svelte");
const handbook = () => import("./handbook/Page.svelte");
const plain: Record<string, Loads<Record<string, never>>> = {
  engines: () => import("./engines/Page.svelte"),
  due: () => import("./due/Page.svelte"),
  sum: () => import("./quick/Page.svelte"),
  drawer: () => import("./drawer/Page.svelte"),
  together: () => import("./together/Page.svelte"),
  shop: () => import("./shop/Page.svelte"),
};

const NUMBER = /^\d+$/;
const NOWHERE: Place = { name: "nowhere", key: "", load: null, given: {} };

/** Return which place an address is. */
export function placeAt(path: string): Place {
  const [, first = "", second = "", third = ""] = path.split("/");
  const id = NUMBER.test(second) ? Number(second) : null;
  if (first === "" && PRACTISING) return place("practice", first, lessons, {});
  if (first === "") return { name: "bench", key: "", load: null, given: {} };
  if (PRACTISING && first === "truth" && id !== null) return place("practice", path, truth, { id });
  if (first === "cards" && id !== null && (third === "" || isStage(third))) {
    const stage = isStage(third) ? third : null;
    return { ...place("card", `card/${id}`, card, { id, stage }), card: id, stage };
  }
  if (first === "engines" && id !== null && third === "years")
    return place("years", path, years, { id });
  if (first === "engines" && (second === "new" || id !== null))
    return place("engine", path, editor, { id });
  if (first === "history" && /^(card|engine|piece|shop)$/.test(second) && NUMBER.test(third))
    return place("history", path, history, { kind: second, number: Number(third) });
  if (first === "handbook" && third === "")
    return place("handbook", first, handbook, { name: second || "index" });
  const load = second === "" || first !== "engines" ? plain[first] : undefined;
  return load ? place("other", first, load, {}) : NOWHERE;
}

/** Fetch every place's script while nothing else is to be done, so that it opens at once. */
export function fetchAhead(): void {
  const rest = () =>
    Promise.allSettled([card, editor, years, history, ...Object.values(plain)].map((one) => one()));
  setTimeout(() => void rest(), 1500);
}
