/** The one client of the server, typed from the document that the server writes itself. */
import createClient from "openapi-fetch";
import { HEARD, MISSED, WHO } from "./events";
import { BASE } from "./base";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type Card = Schemas["CardOut"];
export type Valve = Schemas["ValveOut"];
export type Shop = Schemas["ShopOut"];
export type CardLine = Schemas["CardLineOut"];
export type EngineLine = Schemas["EngineLineOut"];
export type Drawing = Schemas["DrawingOut"];
export type Length = Schemas["LengthOut"];
export type Gap = Schemas["GapOut"];
export type Verdict = Schemas["Verdict"];
export type Stage = Schemas["Stage"];
export type Words = Schemas["WordsOut"];
export type Asked = Schemas["AskedOut"];
export type Part = Schemas["PartPart"];
export type Turning = Schemas["TurnOut"];
export type Lane = Schemas["LaneOut"];
export type BladeSet = Schemas["BladeSetOut"];
export type Draft = Schemas["DraftOut"];
export type EngineDetail = Schemas["EngineOut"];
export type Unit = Schemas["Unit"];
export type Policy = Pick<Schemas["PolicyIn"], "aim" | "rounding" | "act" | "trust" | "reuse">;
export type Plan = Schemas["PlanOut"];
export type PlanMove = Schemas["MoveOut"];
export type Option = Schemas["OptionOut"];
export type Rival = Schemas["RivalOut"];
export type Sheet = Schemas["SheetOut"];
export type Variant = Schemas["VariantOut"];
export type Quote = Schemas["QuoteOut"];
export type Drawer = Schemas["DrawerOut"];
export type Family = Schemas["FamilyOut"];
export type Pocket = Schemas["DrawerPocketOut"];
export type Shim = Schemas["ShimOut"];
export type Order = Schemas["OrderOut"];
export type Condition = Schemas["Condition"];

/** A refusal as the server words it: a stable code, a sentence, the field at fault. */
export class Refusal extends Error {
  constructor(
    readonly code: string,
    readonly sentence: string,
    readonly field: string | null,
    /** What could be typed instead. */
    readonly offers: readonly string[] = [],
  ) {
    super(sentence);
  }
}

const AWAY = new Refusal(
  "away",
  "The server does not answer. What you typed is still here: try again in a moment.",
  null,
);

export const api = createClient<paths>({ baseUrl: BASE || "/" });

/**
 * What makes something new carries a key of its own, so that it is made once. Where no answer
 * came, the same is sent again under the same key; once one came, the same again is meant.
 */
const unanswered = new Map<string, string>();
const MOST_UNANSWERED = 100;
const named = async (request: Request): Promise<string> =>
  `${request.method} ${request.url}\n${await request.clone().text()}`;
api.use({
  async onRequest({ request }) {
    if (request.method !== "POST") return undefined;
    const name = await named(request);
    const key = unanswered.get(name) ?? newKey();
    unanswered.set(name, key);
    const [oldest] = unanswered.keys();
    if (unanswered.size > MOST_UNANSWERED && oldest) unanswered.delete(oldest);
    request.headers.set("Idempotency-Key", key);
    return request;
  },
  onResponse({ request, response }) {
    dispatchEvent(new CustomEvent(HEARD, { detail: response }));
    const key = request.headers.get("Idempotency-Key");
    for (const [name, one] of unanswered) if (one === key) unanswered.delete(name);
  },
});

/** A place in a file, `$.engine.valves[2].spec`, as a person says it. */
export function placeInWords(sentence: string): string {
  return sentence.replaceAll(/\$((?:\.\w+|\[\d+\])+)/g, (_, path: string) =>
    path
      .split(/[.[\]]+/)
      .filter(Boolean)
      .map((step) => (/^\d+$/.test(step) ? `no. ${Number(step) + 1}` : step.replaceAll("_", " ")))
      .join(", ")
      .replaceAll(", no.", " no."),
  );
}

/** Return the answer, or throw what the server refused as a `Refusal`. */
export async function answer<T>(
  call: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  let settled;
  try {
    settled = await call;
  } catch (error) {
    // what was let go of here says nothing about the server
    if (!(error instanceof DOMException && error.name === "AbortError"))
      dispatchEvent(new Event(MISSED));
    throw AWAY;
  }
  if (settled.data !== undefined) return settled.data;
  const said = settled.error as Partial<Schemas["RefusalOut"]> | undefined;
  if (!said?.sentence) throw AWAY;
  if (said.code === "who") dispatchEvent(new Event(WHO));
  throw new Refusal(
    said.code ?? "refused",
    placeInWords(said.sentence),
    said.field ?? null,
    said.offers ?? [],
  );
}

/** Return a name for one act, so that an act sent twice is done once. */
export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, "0")).join("");
}
