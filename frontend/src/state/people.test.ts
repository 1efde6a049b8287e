/** Whoever is asked for a name is asked once, and not again by an answer that comes late. */
import { beforeEach, describe, expect, it, vi } from "vitest";

const stub = vi.hoisted(() => {
  const held = { answer: (): Response => Response.error() };
  globalThis.fetch = async () => held.answer();
  return held;
});
const { WHO } = await import("../api/events");
const { PeopleState } = await import("./people.svelte");

const ODA = { id: 1, name: "Oda", role: "owner", has_code: true, left_at: null };
let here: typeof ODA | null = null;

beforeEach(() => {
  here = null;
  stub.answer = () => Response.json({ people: [ODA], here });
});

describe("people", () => {
  it("asks who it is when the server wants to know", async () => {
    const people = new PeopleState();
    dispatchEvent(new Event(WHO));
    await vi.waitUntil(() => people.asking);
    expect(people.working.map((one) => one.name)).toEqual(["Oda"]);
  });
  it("does not ask again for an answer from before somebody signed in", async () => {
    const people = new PeopleState();
    here = ODA;
    dispatchEvent(new Event(WHO));
    await vi.waitUntil(() => people.here !== null);
    expect(people.asking).toBe(false);
    expect(people.name("typed")).toBe("Oda");
  });
});
