/** Whether the server is reached, and whether it serves a newer page than this one. */

import { BACK, HEARD, MISSED } from "../api/events";
import { DATA } from "./data";
import { BASE } from "./route.svelte";

/** The name of this page's own script, which changes with its content. */
const OWN =
  /index-[\w-]+\.js/.exec(
    document.querySelector<HTMLScriptElement>("script[type=module][src]")?.src ?? "",
  )?.[0] ?? "";

const LOOK_MS = 2000;

class Reach {
  /** The server did not answer last time: what is shown is what was kept. */
  away = $state(false);
  /** The server has another page than this one. */
  old = $state(false);

  /** Take note of an answer. */
  heard(response: Response): void {
    const away = response.headers.has("X-Plimb-Kept");
    if (this.away && !away) dispatchEvent(new Event(BACK));
    this.away = away;
    if (away) this.look();
    const page = response.headers.get("X-Plimb-Page");
    if (page && OWN && !this.away) this.old = page !== OWN;
  }

  /** Take note that there was none. */
  missed(): void {
    this.away = true;
    this.look();
  }

  private timer: ReturnType<typeof setTimeout> | undefined;

  /** Look again whether the server answers, for as long as it does not. */
  private look(): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => {
      fetch(`${BASE}/api/health`, { cache: "no-store" }).then(
        (response) => this.heard(response),
        () => this.look(),
      );
    }, LOOK_MS);
  }
}

export const reach = new Reach();
addEventListener(HEARD, (event) => {
  reach.heard((event as CustomEvent<Response>).detail);
});
addEventListener(MISSED, () => {
  reach.missed();
});

/** Keep this page and what it shows in the browser, so that it opens without its server. */
export async function keepHere(): Promise<void> {
  try {
    if (import.meta.env.PROD) await navigator.serviceWorker?.register("/sw.js");
  } catch {
    // where the browser keeps nothing, Plimb needs its server
  }
}

/** Keep a card as it now stands, for when its server does not answer. */
export function keepCard(card: { id: number }): void {
  if (BASE || !("caches" in globalThis) || !navigator.serviceWorker?.controller) return;
  const body = JSON.stringify(card);
  const headers = { "Content-Type": "application/json" };
  void caches
    .open(DATA)
    .then((kept) => kept.put(`/api/cards/${card.id}`, new Response(body, { headers })))
    .catch(() => undefined);
}

/** Forget what was kept of the record: somebody has signed out. */
export async function forgetHere(): Promise<void> {
  try {
    await caches.delete(DATA);
  } catch {
    // nothing was kept
  }
}
