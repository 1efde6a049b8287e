/**
 * What waits for the server, in one store that all tabs of this browser share: each entry is a
 * row of its own, so that no tab writes over what another has put there.
 */
import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import { BASE } from "../state/route.svelte";
import type { Waiting } from "./outbox.svelte";

/** What waits in practice is for another record. */
const NAME = `plimb${BASE.replace("/", "-")}`;

interface Store extends DBSchema {
  waiting: {
    key: number;
    value: Waiting & { card: number; n?: number };
    indexes: { card: number; key: string };
  };
}

let opened: Promise<IDBPDatabase<Store> | null> | null = null;

function store(): Promise<IDBPDatabase<Store> | null> {
  opened ??= open().catch(() => null); // a browser that keeps nothing works until it is closed
  return opened;
}

async function open(): Promise<IDBPDatabase<Store>> {
  return openDB<Store>(NAME, 1, {
    upgrade(database) {
      const rows = database.createObjectStore("waiting", { keyPath: "n", autoIncrement: true });
      rows.createIndex("card", "card");
      rows.createIndex("key", "key", { unique: true });
    },
  });
}

const channel = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel(NAME);

/** Be told when another tab has put something there or taken it away. */
export function whenKept(tell: (card: number) => void): () => void {
  const heard = (event: MessageEvent<number>): void => tell(event.data);
  channel?.addEventListener("message", heard);
  return () => channel?.removeEventListener("message", heard);
}

/** What waits for a card, in the order it was written; null where nothing can be kept. */
export async function kept(card: number): Promise<Waiting[] | null> {
  const database = await store();
  if (!database) return null;
  const rows = await database.getAllFromIndex("waiting", "card", card);
  return rows.sort((one, other) => (one.n ?? 0) - (other.n ?? 0));
}

/** Where an entry stands until the store has it: a tab may be closed before that. */
const meanwhile = (card: number, key: string): string => `plimb.card.${card}.waiting.${key}`;

/** Bring into the store what a tab that was closed had no time to. */
export async function bringIn(card: number): Promise<void> {
  const begins = meanwhile(card, "");
  for (const name of Object.keys(localStorage).filter((one) => one.startsWith(begins))) {
    try {
      await keep(card, JSON.parse(localStorage.getItem(name) ?? "") as Waiting);
    } catch {
      localStorage.removeItem(name);
    }
  }
}

/** Keep an entry; what is kept already stays as it is. */
export async function keep(card: number, entry: Waiting): Promise<void> {
  const name = meanwhile(card, entry.key);
  try {
    localStorage.setItem(name, JSON.stringify(entry));
  } catch {
    // the store is enough
  }
  const database = await store();
  if (!database) return;
  const change = database.transaction("waiting", "readwrite", { durability: "strict" });
  const there = await change.store.index("key").getKey(entry.key);
  if (there === undefined) await change.store.add({ ...entry, card });
  await change.done;
  localStorage.removeItem(name);
  channel?.postMessage(card);
}

/** Keep an entry that is kept already otherwise, in its place. */
export async function change(card: number, entry: Waiting): Promise<void> {
  const database = await store();
  if (!database) return;
  const write = database.transaction("waiting", "readwrite", { durability: "strict" });
  const there = await write.store.index("key").getKey(entry.key);
  if (there !== undefined) await write.store.put({ ...entry, card, n: there });
  await write.done;
}

/** Forget an entry that the server has taken, or that nobody wants any more. */
export async function drop(card: number, key: string): Promise<void> {
  const database = await store();
  if (!database) return;
  const change = database.transaction("waiting", "readwrite", { durability: "strict" });
  const there = await change.store.index("key").getKey(key);
  if (there !== undefined) await change.store.delete(there);
  await change.done;
  localStorage.removeItem(meanwhile(card, key));
  channel?.postMessage(card);
}
