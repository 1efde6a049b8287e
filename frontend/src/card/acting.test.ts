/** Acts, the queue and the entry against a server that keeps versions and keys as the real one. */
import "fake-indexeddb/auto";
// before the client, which keeps the fetch that it finds
import { type FakeServer, bench } from "./fake-server";
import { act, send } from "../api/acts";
import { flushSync } from "svelte";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

const { Job } = await import("./job.svelte");
const { called } = await import("./sending.svelte");
const { reach } = await import("../state/reach.svelte");

let server: FakeServer;
let job: InstanceType<typeof Job>;
let order: string[];

beforeEach(async () => {
  ({ server, job, order } = await bench());
});
afterEach(() => {
  job.stop();
  vi.useRealTimers();
});

const settled = () => new Promise((resume) => setTimeout(resume));
const until = async (so: () => boolean) => vi.waitUntil(so, { interval: 1 });
function type(text: string): void {
  for (const key of text) if (!job.entry.hold(key)) job.entry.draft += key;
  job.entry.submit();
}

describe("acts", () => {
  it("go to their own address with the version, the key and what they say", async () => {
    const fitted = act("fit", {
      valve: "X",
      fitted: true,
      measured: "",
      anyway: false,
      swapped: false,
    });
    await send(3, fitted, 7, "a-key-of-its-own");
    await send(3, act("take-plan", {}), 8, "another-key");
    expect(server.sent[0]).toMatchObject({
      method: "POST",
      path: "/api/cards/3/acts/fit",
      body: { version: 7, key: "a-key-of-its-own", valve: "X", fitted: true },
    });
    expect(server.sent[1]).toMatchObject({ method: "POST", path: "/api/cards/3/acts/take-plan" });
  });
});

describe("queue", () => {
  it("sends one act after another, each with the version the one before made", async () => {
    const at = job.card!.version;
    const gap = (valve: string) =>
      job.act(
        act("gap", {
          valve,
          text: "15",
          purpose: "found",
          unit: "mm",
          repeats: false,
          reason: "",
        }),
      );
    expect(await Promise.all(order.slice(0, 4).map(gap))).toEqual([true, true, true, true]);
    expect(server.done.map((one) => one.body.version)).toEqual([at, at + 1, at + 2, at + 3]);
    expect(job.card!.version).toBe(at + 4);
  });
  it("does what touches nothing that was changed meanwhile on the new version, unasked", async () => {
    server.card = { ...server.card, version: server.card.version + 5 };
    job.entry.draft = "14";
    expect(await job.entry.write()).toBe(true);
    expect(job.queue.clash).toBeNull();
    expect(server.done.at(-1)!.body).toMatchObject({ valve: order[0], text: "14" });
  });
  it("shows a refusal and takes it away with the next key", async () => {
    server.refuses = "Write it like 15.";
    job.entry.draft = "abc";
    expect(await job.entry.write()).toBe(false);
    expect(job.refusal?.sentence).toBe("Write it like 15.");
    expect(job.entry.draft).toBe("abc");
    job.entry.draft = "ab";
    expect(job.refusal).toBeNull();
  });
});

describe("entry", () => {
  it("takes the next valve once one is written", async () => {
    type("15");
    await until(() => job.inHand === order[1]);
    expect(job.outbox.waiting).toEqual([]);
    expect(job.entry.draft).toBe("");
  });
  it("gives what is typed while the server thinks to the next valves, in order", async () => {
    server.held = [];
    type("15");
    type("28");
    type("1");
    await until(() => server.held!.length === 1);
    expect(server.sent.map((one) => one.body.text)).toEqual(["15"]);
    const free = server.held;
    server.held = null;
    for (const one of free) one();
    await until(() => server.done.length === 3);
    expect(server.done.map((one) => [one.body.valve, one.body.text])).toEqual([
      [order[0], "15"],
      [order[1], "28"],
      [order[2], "1"],
    ]);
  });
  it("keeps what is written while the server is away, over a reload, and sends it once", async () => {
    server.away = true;
    type("15");
    await until(() => job.inHand === order[1]);
    expect(job.outbox.of("feel", order[0]!)?.text).toBe("15");
    job.stop();
    server.away = false;
    job = new Job(3);
    await job.load();
    await until(() => job.outbox.waiting.length === 0);
    expect(server.done.map((one) => one.body.text)).toEqual(["15"]);
    await job.load();
    await settled();
    expect(server.done.length).toBe(1);
  });
  it("shows what clashes with what another tablet wrote meanwhile, and keeps both if told", async () => {
    server.away = true;
    type("15");
    await until(() => job.inHand === order[1]);
    server.away = false;
    server.card.valves = server.card.valves.map((one) =>
      one.valve === order[0] ? { ...one, found: { ...one.found!, typed: "19" } } : one,
    );
    await job.load();
    await until(() => job.queue.clash !== null);
    expect(job.queue.clash?.sentence).toBe(`${order[0]} was written meanwhile, as 19.`);
    expect(job.outbox.waiting.map((one) => one.text)).toEqual(["15"]);
    expect(server.done).toEqual([]);
    await job.queue.clash?.both?.();
    expect(server.done.map((one) => one.body)).toMatchObject([{ text: "15", repeats: true }]);
    await until(() => job.outbox.waiting.length === 0);
  });
  it("shows that clash where the other's comes while mine is on its way, too", async () => {
    server.away = true;
    type("15");
    await until(() => job.inHand === order[1]);
    server.away = false;
    server.held = [];
    await job.load();
    await until(() => server.held!.length === 1);
    server.card = {
      ...server.card,
      version: server.card.version + 1,
      valves: server.card.valves.map((one) =>
        one.valve === order[0] ? { ...one, found: { ...one.found!, typed: "19" } } : one,
      ),
    };
    server.held[0]!();
    server.held = null;
    await until(() => job.queue.clash?.both !== undefined);
    expect(job.outbox.waiting.map((one) => one.text)).toEqual(["15"]);
    await job.queue.clash?.both?.();
    expect(server.done.map((one) => one.body)).toMatchObject([{ text: "15", repeats: true }]);
  });
  it("asks about every clash, and lets the others go on in their order", async () => {
    server.away = true;
    for (const text of ["15", "16", "17"]) {
      type(text);
      await until(() => job.entry.draft === "" && !job.entry.sending);
    }
    expect(job.outbox.waiting.length).toBe(3);
    server.away = false;
    server.card.valves = server.card.valves.map((one, nth) =>
      nth < 2 ? { ...one, found: { ...one.found!, typed: "19" } } : one,
    );
    await job.load();
    await until(() => server.done.length === 1);
    expect(server.done[0]!.body).toMatchObject({ valve: order[2], text: "17" });
    expect(job.queue.clash?.valve).toBe(order[0]);
    job.queue.clash?.drop();
    await until(() => job.queue.clash?.valve === order[1]);
    expect(await job.queue.clash?.again()).toBe(true);
    expect(job.queue.clash).toBeNull();
    expect(server.done.at(-1)!.body).toMatchObject({ valve: order[1], text: "16" });
    await until(() => job.outbox.waiting.length === 0);
  });
  it("does not ask about what the same hand wrote twice while the server was away", async () => {
    server.away = true;
    type("15");
    await until(() => job.inHand === order[1]);
    job.pick(order[0]!);
    type("16");
    await until(() => job.outbox.waiting.length === 2);
    server.away = false;
    server.writes = true;
    await job.load();
    await until(() => server.done.length === 2);
    expect(job.queue.clash).toBeNull();
    expect(server.done.map((one) => one.body.text)).toEqual(["15", "16"]);
  });
  it("undoes what the card says was done last, once for however many presses", async () => {
    server.card = { ...server.card, last_act: null };
    await job.queue.load();
    await job.takeBack();
    expect(server.sent).toEqual([]);
    const last_act = { version: 7, key: "k", what: `the gap of ${order[3]}`, valve: order[3]! };
    server.card = { ...server.card, last_act };
    await job.queue.load();
    await Promise.all([job.takeBack(), job.takeBack()]);
    expect(server.done.map((one) => [one.path, one.body])).toMatchObject([
      ["/api/cards/3/acts/take-back", { which: 7 }],
    ]);
    expect(job.inHand).toBe(order[3]);
    expect(job.queue.said).toBe(`Taken back: the gap of ${order[3]}.`);
  });
  it("lets mine go where the other's is kept", async () => {
    server.away = true;
    type("15");
    await until(() => job.inHand === order[1]);
    server.away = false;
    server.card.valves = server.card.valves.map((one) =>
      one.valve === order[0] ? { ...one, found: { ...one.found!, typed: "19" } } : one,
    );
    await job.load();
    await until(() => job.queue.clash !== null);
    job.queue.clash?.drop?.();
    await until(() => job.outbox.waiting.length === 0);
    expect(server.done).toEqual([]);
  });
  it("leaves whoever picked another valve meanwhile there, and what they type with it", async () => {
    server.held = [];
    type("15");
    await until(() => server.held!.length === 1);
    job.pick(order[4]!);
    for (const key of "31") if (!job.entry.hold(key)) job.entry.draft += key;
    server.held[0]!();
    server.held = null;
    await until(() => job.entry.draft === "31");
    expect(job.inHand).toBe(order[4]);
  });
  it("brings back what was written to correct it, and strikes it out when emptied", async () => {
    const read = server.card.valves.find((one) => one.found)!;
    job.pick(read.valve);
    expect(job.entry.correct()).toBe(true);
    expect(job.entry.draft).toBe(read.found!.typed);
    job.entry.draft = "";
    flushSync();
    expect(await job.entry.write()).toBe(true);
    expect(server.done[0]!.body).toMatchObject({ valve: read.valve, text: "" });
  });
  it("writes nothing where nothing is typed", async () => {
    expect(await job.entry.write()).toBe(false);
    expect(server.sent).toEqual([]);
  });
});

describe("any act", () => {
  const note = (text: string) => act("note", { stage: "feel", text });
  const [tank, cover] = ["Tank", "Cover"].map((name) => ({ name, note: "", pockets: [] }));
  it("waits for the server over a reload, with the readings, in order", async () => {
    server.away = true;
    let told: boolean | null = null;
    void job.act(act("tick", { item: "power", done: true })).then((done) => (told = done));
    type("15");
    void job.act(note("Left one is worn"));
    await until(() => job.outbox.waiting.length === 3);
    expect(job.outbox.waiting.map(called)).toEqual([
      "a tick",
      `${order[0]} 15`,
      "the note: Left one is worn",
    ]);
    expect(told).toBeNull();
    job.stop();
    server.away = false;
    job = new Job(3);
    await job.load();
    await until(() => server.done.length === 3);
    const kinds = server.done.map((one) => one.path.split("/").at(-1));
    expect(kinds).toEqual(["tick", "gap", "note"]);
    await until(() => job.outbox.waiting.length === 0);
  });
  it("goes behind those that wait, and says when it is through", async () => {
    server.away = true;
    void job.act(note("First"));
    await until(() => server.sent.length === 0 && job.outbox.waiting.length === 1);
    server.away = false;
    expect(await job.act(act("turn-by-hand", { turns: 2 }))).toBe(true);
    expect(server.done.map((one) => one.path.split("/").at(-1))).toEqual(["note", "turn-by-hand"]);
  });
  it("that writes over what another wrote meanwhile is asked about, the next goes through", async () => {
    server.away = true;
    const mine = job.act(note("Mine"));
    await until(() => reach.away);
    void job.act(act("tick", { item: "power", done: true }));
    await until(() => job.outbox.waiting.length === 2);
    server.away = false;
    server.card = { ...server.card, notes: { feel: "Theirs" }, version: server.card.version + 1 };
    await job.load();
    await until(() => job.queue.clash !== null && server.done.length === 1);
    expect(job.queue.clash?.sentence).toContain("The note: Mine was written meanwhile");
    job.queue.clash?.drop();
    expect(await mine).toBe(false);
    expect(server.done.length).toBe(1);
  });
  it("that the server did as the page was closed is not asked about when it opens anew", async () => {
    const [stage, valve, text, unit, repeats] = ["ready", "", "", "mm", false] as const;
    const seen = JSON.stringify([server.card.tray]);
    for (const [key, ...parts] of [
      ["the-first", tank!],
      ["the-second", tank!, cover!],
    ] as const) {
      const waiting = { key, stage, valve, text, unit, repeats, seen, act: act("tray", { parts }) };
      await job.outbox.add(waiting);
    }
    job.stop();
    // the first one came through, and nobody was there to hear of it
    const body = JSON.stringify({ version: server.card.version, key: "the-first" });
    await server.fetch(new Request("http://here/api/cards/3/acts/tray", { method: "POST", body }));
    const last_act = {
      version: server.card.version,
      key: "the-first",
      what: "the tray",
      valve: null,
    };
    server.card = { ...server.card, tray: [tank!], last_act };
    job = new Job(3);
    await job.load();
    await until(() => job.outbox.waiting.length === 0);
    expect(job.queue.clash).toBeNull();
    expect(server.done.map((one) => one.body.key)).toEqual(["the-first", "the-second"]);
  });
  it("that only the server can do is refused while it is away, and nothing waits", async () => {
    server.away = true;
    expect(await job.act(act("take-plan", {}))).toBe(false);
    expect(job.outbox.waiting).toEqual([]);
    expect(job.refusal?.code).toBe("away");
  });
});
