import { beforeEach, describe, expect, it, vi } from "vitest";

type Held = { text: string; answer: (status: number, body: object) => void };
const JSON_TYPE = { "Content-Type": "application/json" };
const stub = vi.hoisted(() => {
  const held = {
    fetch: (() => Promise.reject(new Error())) as (one: Request) => Promise<Response>,
  };
  globalThis.fetch = ((request: Request) => held.fetch(request)) as typeof fetch;
  return held;
});
const { EngineState } = await import("./engine.svelte");

describe("a spec typed as it is printed", () => {
  let asked: Held[] = [];
  beforeEach(() => {
    asked = [];
    stub.fetch = async (request) => {
      const { text = "" } = (await request.json()) as { text?: string };
      return new Promise<Response>((resolve) => {
        const answer: Held["answer"] = (status, body) => {
          resolve(new Response(JSON.stringify(body), { status, headers: JSON_TYPE }));
        };
        if (text) asked.push({ text, answer });
      });
    };
  });

  const part = (max: number) => ({ low: 0.1, high: max, parts: { min: 0.1, max } });
  const settled = () => new Promise((resolve) => setTimeout(resolve, 20));

  async function twoAsked(
    state: InstanceType<typeof EngineState>,
    spec: object,
  ): Promise<[Held, Held]> {
    state.printed("Intake spec", spec, "0.10-0.1", "");
    state.printed("Intake spec", spec, "0.10-0.15", "");
    await settled();
    const [first, last] = asked.toSorted((a, b) => a.text.length - b.text.length);
    if (!first || !last) throw new Error("two were asked");
    return [first, last];
  }

  it("is what was typed last, whichever answer comes last", async () => {
    const [state, spec] = [new EngineState(null), { max: 0 }];
    const [first, last] = await twoAsked(state, spec);
    last.answer(200, part(0.15));
    await settled();
    first.answer(200, part(0.1));
    await settled();
    expect(spec.max).toBe(0.15);
  });

  it("is not refused for what stood there before", async () => {
    const [state, spec] = [new EngineState(null), { max: 0 }];
    const [first, last] = await twoAsked(state, spec);
    last.answer(200, part(0.15));
    await settled();
    const refusal = { code: "bad_value", sentence: "write the smaller one first.", field: "spec" };
    first.answer(422, { ...refusal, offers: [] });
    await settled();
    expect([spec.max, state.faults.size]).toEqual([0.15, 0]);
  });
});

describe("a layout changed twice", () => {
  it("keeps what was typed between the two answers, and the newest layout", async () => {
    const waiting: ((label: string) => void)[] = [];
    const engine = (name: string): string =>
      JSON.stringify({
        engine: { name, spec: {}, valves: [], crank: { cylinders: [], marks: [] } },
      });
    stub.fetch = (request) =>
      new Promise<Response>((resolve) => {
        if (!request.url.endsWith("/start")) return;
        waiting.push((name) => {
          const body = JSON.stringify({ document: engine(name), drawing: null, turning: null });
          resolve(new Response(body, { headers: JSON_TYPE }));
        });
      });
    const state = new EngineState(null);
    const settled = () => new Promise((resolve) => setTimeout(resolve, 20));
    void state.begin();
    await settled();
    waiting[0]?.("New engine");
    await settled();
    void state.begin({ valves: 2 });
    void state.begin({ camshafts: 1 });
    await settled();
    waiting[1]?.("New late");
    await settled();
    state.file?.engine.crank.marks?.push({ name: "1" });
    waiting[2]?.("New newest");
    await settled();
    expect(state.file?.engine.crank.marks?.map((mark) => mark.name)).toEqual(["1"]);
    expect(state.file?.engine.name).toBe("New newest");
  });
});
