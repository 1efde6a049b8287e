/** One typed way to send an act on a card: what it says, then the version and key it goes with. */
import { type Card, api } from "./client";
import type { paths } from "./schema";

export interface Answered {
  data?: Card;
  error?: unknown;
  response: Response;
}

/** An act that is ready to go, once the version that was seen and a key are known. */
export type Send = (version: number, key: string) => Promise<Answered>;

/** What an act at a path says besides the version and the key, by the server's own document. */
type Says<Path extends keyof paths, Method extends "post" | "put"> = paths[Path][Method] extends {
  requestBody: { content: { "application/json": infer Body } };
}
  ? Omit<Body, "version" | "key">
  : never;

/** Every act on one card. */
export function actsOn(card_id: number) {
  const params = { path: { card_id } };
  const post =
    <Path extends keyof paths>(path: Path) =>
    (says: Says<Path, "post">): Send =>
    (version, key) =>
      api.POST(path as never, { params, body: { version, key, ...says } } as never) as never;
  const put =
    <Path extends keyof paths>(path: Path) =>
    (says: Says<Path, "put">): Send =>
    (version, key) =>
      api.PUT(path as never, { params, body: { version, key, ...says } } as never) as never;
  return {
    gap: post("/api/cards/{card_id}/gaps"),
    keep: post("/api/cards/{card_id}/kept"),
    shim: post("/api/cards/{card_id}/pieces"),
    recall: put("/api/cards/{card_id}/recalled"),
    trust: put("/api/cards/{card_id}/trust"),
    zero: put("/api/cards/{card_id}/instrument"),
    school: put("/api/cards/{card_id}/school"),
    cold: put("/api/cards/{card_id}/conditions"),
    facts: put("/api/cards/{card_id}/facts"),
    kind: put("/api/cards/{card_id}/kind"),
    measuredWith: put("/api/cards/{card_id}/measured-with"),
    machine: put("/api/cards/{card_id}/machine"),
    tools: put("/api/cards/{card_id}/tools"),
    parts: put("/api/cards/{card_id}/parts"),
    engineNote: put("/api/cards/{card_id}/engine-note"),
    symptoms: put("/api/cards/{card_id}/symptoms"),
    checks: put("/api/cards/{card_id}/checks"),
    note: put("/api/cards/{card_id}/note"),
    bill: put("/api/cards/{card_id}/bill"),
    putAway: put("/api/cards/{card_id}/away"),
    takeEngine: () => put("/api/cards/{card_id}/engine")({}),
    spec: put("/api/cards/{card_id}/spec"),
    seeTo: put("/api/cards/{card_id}/safety"),
    tray: put("/api/cards/{card_id}/tray"),
    method: put("/api/cards/{card_id}/method"),
    choose: post("/api/cards/{card_id}/choices"),
    takePlan: () => post("/api/cards/{card_id}/plan")({}),
    takeTogether: () => post("/api/cards/{card_id}/plan/together")({}),
    forbid: put("/api/cards/{card_id}/forbidden"),
    openToo: put("/api/cards/{card_id}/opened-too"),
    variant: put("/api/cards/{card_id}/variant"),
    fit: put("/api/cards/{card_id}/fitted"),
    turns: put("/api/cards/{card_id}/turns"),
    bolts: put("/api/cards/{card_id}/bolts"),
    turned: put("/api/cards/{card_id}/turned"),
    takeBack: put("/api/cards/{card_id}/taken-back"),
    round: post("/api/cards/{card_id}/rounds"),
    sign: post("/api/cards/{card_id}/signature"),
  };
}

export type Acts = ReturnType<typeof actsOn>;
export type Bolts = Parameters<Acts["bolts"]>[0];
