/** Acts on a card: each is its kind and what is said with it, as data that can wait and be sent. */
import { type Card, api } from "./client";
import type { paths } from "./schema";

type At<Kind extends string> = `/api/cards/{card_id}/acts/${Kind}`;
type KindAt<Path> = Path extends At<infer Kind> ? Kind : never;

/** Every kind of act, by the server's own document. */
export type ActKind = KindAt<keyof paths>;

/** What an act of a kind says besides the version and the key. */
export type Says<Kind extends ActKind> = paths[At<Kind>] extends {
  post: { requestBody: { content: { "application/json": infer Body } } };
}
  ? Omit<Body, "version" | "key">
  : never;

/** An act that is ready to go, once the version that was seen and a key are known. */
export interface Act {
  kind: ActKind;
  says: object;
}

export interface Answered {
  data?: Card;
  error?: unknown;
  response: Response;
}

/** Return an act of a kind, with what is said. */
export function act<Kind extends ActKind>(kind: Kind, says: Says<Kind>): Act {
  return { kind, says };
}

/** Send an act on a card: the version that was seen, and the sender's own key for it. */
export function send(card_id: number, one: Act, version: number, key: string): Promise<Answered> {
  const body = { version, key, ...one.says };
  const path = `/api/cards/{card_id}/acts/${one.kind}` as const;
  return api.POST(path as never, { params: { path: { card_id } }, body } as never) as never;
}
