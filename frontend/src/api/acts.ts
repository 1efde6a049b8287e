/** One typed way to send an act on a card: what it says, then the version and key it goes with. */
import { type Card, type Schemas, api } from "./client";

export interface Answered {
  data?: Card;
  error?: unknown;
  response: Response;
}

/** An act that is ready to go, once the version that was seen and a key are known. */
export type Send = (version: number, key: string) => Promise<Answered>;

/** What an act says besides the version and the key. */
type Says<Name extends keyof Schemas> = Omit<Schemas[Name], "version" | "key">;
export type Bolts = Says<"BoltsIn">;

/** Every act on one card. */
export function actsOn(card_id: number) {
  const params = { path: { card_id } };
  return {
    gap:
      (says: Says<"GapIn">): Send =>
      (version, key) =>
        api.POST("/api/cards/{card_id}/gaps", { params, body: { version, key, ...says } }),
    keep:
      (says: Says<"KeptIn">): Send =>
      (version, key) =>
        api.POST("/api/cards/{card_id}/kept", { params, body: { version, key, ...says } }),
    shim:
      (says: Says<"PieceIn">): Send =>
      (version, key) =>
        api.POST("/api/cards/{card_id}/pieces", { params, body: { version, key, ...says } }),
    trust:
      (says: Says<"TrustIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/trust", { params, body: { version, key, ...says } }),
    zero:
      (says: Says<"ZeroIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/instrument", { params, body: { version, key, ...says } }),
    school:
      (says: Says<"SchoolIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/school", { params, body: { version, key, ...says } }),
    cold:
      (says: Says<"ConditionsIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/conditions", { params, body: { version, key, ...says } }),
    seeTo:
      (says: Says<"SafetyIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/safety", { params, body: { version, key, ...says } }),
    tray:
      (says: Says<"TrayIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/tray", { params, body: { version, key, ...says } }),
    method:
      (says: Says<"MethodIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/method", { params, body: { version, key, ...says } }),
    choose:
      (says: Says<"ChoiceIn">): Send =>
      (version, key) =>
        api.POST("/api/cards/{card_id}/choices", { params, body: { version, key, ...says } }),
    takePlan: (): Send => (version, key) =>
      api.POST("/api/cards/{card_id}/plan", { params, body: { version, key } }),
    forbid:
      (says: Says<"ForbidIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/forbidden", { params, body: { version, key, ...says } }),
    variant:
      (says: Says<"VariantIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/variant", { params, body: { version, key, ...says } }),
    fit:
      (says: Says<"FitIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/fitted", { params, body: { version, key, ...says } }),
    turns:
      (says: Says<"TurnsIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/turns", { params, body: { version, key, ...says } }),
    bolts:
      (says: Bolts): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/bolts", { params, body: { version, key, ...says } }),
    turned:
      (says: Says<"TurnedIn">): Send =>
      (version, key) =>
        api.PUT("/api/cards/{card_id}/turned", { params, body: { version, key, ...says } }),
    round:
      (says: Says<"RoundIn">): Send =>
      (version, key) =>
        api.POST("/api/cards/{card_id}/rounds", { params, body: { version, key, ...says } }),
    sign:
      (says: Says<"SignatureIn">): Send =>
      (version, key) =>
        api.POST("/api/cards/{card_id}/signature", { params, body: { version, key, ...says } }),
  };
}

export type Acts = ReturnType<typeof actsOn>;
