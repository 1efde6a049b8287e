/** For the tests of this folder: a server that keeps versions and keys as the real one does. */
import answered from "../api/answers/card-3.json";
import type { Card } from "../api/client";
import type { Job } from "./job.svelte";
import { drop, kept } from "./kept";

export interface Sent {
  method: string;
  path: string;
  body: { version: number; key: string; valve?: string; text?: string };
}

/** A server of one card: an act on an old version clashes, a key it has seen is not done again. */
export class FakeServer {
  card = structuredClone(answered) as unknown as Card;
  away = false;
  refuses = "";
  sent: Sent[] = [];
  done: Sent[] = [];
  /** Whether what is written shows on the card. */
  writes = false;
  /** Answers wait here while it is slow. */
  held: (() => void)[] | null = null;
  private seen = new Set<string>();

  readonly fetch = async (request: Request): Promise<Response> => {
    if (this.away) throw new TypeError("no network");
    const path = new URL(request.url).pathname;
    if (request.method === "GET") return this.says(200, this.card);
    const body = (await request.json()) as Sent["body"];
    if (path.endsWith("/understand")) return this.says(200, { words: "read back", verdict: null });
    this.sent.push({ method: request.method, path, body });
    if (this.held) await new Promise<void>((free) => this.held?.push(free));
    if (this.seen.has(body.key)) return this.says(200, this.card);
    if (this.refuses) return this.refuse(422, "bad_value", this.refuses);
    if (body.version !== this.card.version) return this.refuse(409, "conflict", "It moved on.");
    this.done.push({ method: request.method, path, body });
    this.card = this.after(body);
    this.seen.add(body.key);
    return this.says(200, this.card);
  };

  private after(body: Sent["body"]): Card {
    const feels = (one: Card["todo"][number]) => one.stage === "feel";
    const valves = this.card.valves.map((one) =>
      this.writes && one.valve === body.valve
        ? {
            ...one,
            found: { ...(one.found as Exclude<typeof one.found, null>), typed: body.text ?? "" },
          }
        : one,
    );
    return {
      ...this.card,
      valves,
      version: this.card.version + 1,
      todo: this.card.todo.map((one) =>
        feels(one) ? { ...one, waiting: one.waiting.filter((v) => v !== body.valve) } : one,
      ),
    };
  }
  private says(status: number, what: unknown): Response {
    return new Response(JSON.stringify(what), { status, headers: JSON_TYPE });
  }
  private refuse(status: number, code: string, sentence: string): Response {
    return this.says(status, { code, sentence, field: "gap", offers: [] });
  }
}

const JSON_TYPE = { "Content-Type": "application/json" };

let asked: FakeServer["fetch"] = () => Promise.reject(new Error());
// before the client is loaded, which keeps the one that it finds
globalThis.fetch = ((request: Request) => asked(request)) as typeof fetch;

/** A server of card 3 with every gap still to be felt, the card open at Feel, its valves in order. */
export async function bench(): Promise<{ server: FakeServer; job: Job; order: string[] }> {
  localStorage.clear();
  for (const one of (await kept(3)) ?? []) await drop(3, one.key);
  const server = new FakeServer();
  const order = server.card.valves.map((one) => one.valve);
  server.card.todo = server.card.todo.map((one) =>
    one.stage === "feel" ? { ...one, asks: order, waiting: order } : one,
  );
  server.card.valves = server.card.valves.map((one) => ({ ...one, questions: [] }));
  asked = server.fetch;
  const { Job } = await import("./job.svelte");
  const job = new Job(3);
  await job.load();
  job.enter("feel");
  return { server, job, order };
}
