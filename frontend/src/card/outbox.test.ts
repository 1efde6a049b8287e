/** What is written down is kept in the browser until the server has it. */
import { beforeEach, describe, expect, it } from "vitest";
import { Outbox, type Waiting } from "./outbox.svelte";

const entry = (key: string, valve: string, text = "15"): Waiting => ({
  key,
  stage: "feel",
  valve,
  text,
  unit: "mm",
  repeats: false,
});

beforeEach(() => localStorage.clear());

describe("outbox", () => {
  it("keeps entries in the order they were written, over a reload", () => {
    const outbox = new Outbox(3);
    outbox.add(entry("a", "1 IN L"));
    outbox.add(entry("b", "1 IN R"));
    expect(new Outbox(3).waiting.map((one) => one.key)).toEqual(["a", "b"]);
  });
  it("forgets an entry once it is taken, and only that one", () => {
    const outbox = new Outbox(3);
    outbox.add(entry("a", "1 IN L"));
    outbox.add(entry("b", "1 IN L", "16"));
    outbox.remove("a");
    expect(new Outbox(3).waiting.map((one) => one.key)).toEqual(["b"]);
  });
  it("shows the newest of several for one valve and stage", () => {
    const outbox = new Outbox(3);
    outbox.add(entry("a", "1 IN L", "15"));
    outbox.add(entry("b", "1 IN L", "16"));
    expect(outbox.of("feel", "1 IN L")?.text).toBe("16");
    expect(outbox.of("prove", "1 IN L")).toBeNull();
  });
  it("keeps a draft in the unit it was begun in, whatever is shown meanwhile", () => {
    const outbox = new Outbox(4);
    outbox.draft("feel", "1 IN L", "4", "in");
    outbox.draft("feel", "1 IN L", "4-5", "mm");
    expect(new Outbox(4).units["feel 1 IN L"]).toBe("in");
    outbox.draft("feel", "1 IN L", "", "mm");
    outbox.draft("feel", "1 IN L", "10", "mm");
    expect(new Outbox(4).units["feel 1 IN L"]).toBe("mm");
  });
  it("keeps what is typed and not entered, by stage and valve", () => {
    new Outbox(3).draft("feel", "1 IN L", "13-", "mm");
    expect(new Outbox(3).drafts["feel 1 IN L"]).toBe("13-");
    new Outbox(3).draft("feel", "1 IN L", "", "mm");
    expect(new Outbox(3).drafts["feel 1 IN L"]).toBe("");
  });
  it("keeps cards apart", () => {
    new Outbox(3).add(entry("a", "1 IN L"));
    expect(new Outbox(4).waiting).toEqual([]);
  });
  it("starts empty where what was kept cannot be read", () => {
    localStorage.setItem("plimb.card.3.outbox", "{broken");
    expect(new Outbox(3).waiting).toEqual([]);
  });
});
