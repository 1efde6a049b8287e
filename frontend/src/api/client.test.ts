/** An answer is given, and a refusal thrown, as the server words it. */
import { describe, expect, it } from "vitest";
import { reach } from "../state/reach.svelte";
import { Refusal, answer, newKey, placeInWords } from "./client";

const response = new Response();
const thrown = async (call: Promise<{ data?: unknown; error?: unknown; response: Response }>) =>
  answer(call).then(
    () => null,
    (error: unknown) => error as Refusal,
  );

describe("answer", () => {
  it("gives what the server gave, nothing being something too", async () => {
    expect(await answer(Promise.resolve({ data: 0, response }))).toBe(0);
  });
  it("throws a refusal with its code, sentence and field", async () => {
    const error = { code: "conflict", sentence: "It moved on.", field: "version" };
    const refusal = await thrown(Promise.resolve({ error, response }));
    expect([refusal?.code, refusal?.sentence, refusal?.field]).toEqual(Object.values(error));
  });
  it("says that the server is away where nothing answers, or no one we know", async () => {
    expect((await thrown(Promise.reject(new TypeError("failed"))))?.code).toBe("away");
    expect((await thrown(Promise.resolve({ error: "<html>", response })))?.code).toBe("away");
    expect(reach.away).toBe(true);
  });
  it("says nothing of the server where it was let go of here", async () => {
    reach.away = false;
    await thrown(Promise.reject(new DOMException("let go", "AbortError")));
    expect(reach.away).toBe(false);
  });
});

it("gives every act a key of its own", () => {
  const made = new Set(Array.from({ length: 500 }, newKey));
  expect(made.size).toBe(500);
  for (const key of made) expect(key).toMatch(/^[0-9a-f]{24}$/);
});

describe("a place in a file", () => {
  it("is said as a person would say it", () => {
    expect(placeInWords("$.engine.valves[2].spec: write the check range, too.")).toBe(
      "engine, valves no. 3, spec: write the check range, too.",
    );
    expect(placeInWords("$.engine.spec.intake.set_min is 3 $, not more.")).toBe(
      "engine, spec, intake, set min is 3 $, not more.",
    );
  });
});
