/** What is written down is kept in the browser until the server has it. */
import "fake-indexeddb/auto";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { drop, kept } from "./kept";
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
afterEach(async () => {
  for (const card of [3, 4]) for (const one of (await kept(card)) ?? []) await drop(card, one.key);
});

async function opened(card = 3): Promise<Outbox> {
  const outbox = new Outbox(card);
  await outbox.ready;
  return outbox;
}
const keys = (outbox: Outbox): string[] => outbox.waiting.map((one) => one.key);

describe("outbox", () => {
  it("keeps entries in the order they were written, over a reload", async () => {
    const outbox = await opened();
    await outbox.add(entry("a", "1 IN L"));
    await outbox.add(entry("b", "1 IN R"));
    expect(keys(await opened())).toEqual(["a", "b"]);
  });
  it("forgets an entry once it is taken, and only that one", async () => {
    const outbox = await opened();
    await outbox.add(entry("a", "1 IN L"));
    await outbox.add(entry("b", "1 IN L", "16"));
    await outbox.remove("a");
    expect(keys(await opened())).toEqual(["b"]);
  });
  it("loses nothing of two tabs, whichever is closed last", async () => {
    const [one, other] = [await opened(), await opened()];
    await one.add(entry("a", "1 IN L"));
    await other.add(entry("b", "1 IN R"));
    await one.add(entry("c", "2 IN L"));
    await other.remove("a"); // sent by the other tab
    one.stop();
    other.stop();
    expect(keys(await opened())).toEqual(["b", "c"]);
  });
  it("keeps the same entry once, however many tabs send it", async () => {
    const [one, other] = [await opened(), await opened()];
    await Promise.all([one.add(entry("a", "1 IN L")), other.add(entry("a", "1 IN L"))]);
    expect(keys(await opened())).toEqual(["a"]);
  });
  it("keeps what a tab wrote that was closed before the store had it", async () => {
    const outbox = await opened();
    void outbox.add(entry("last", "1 IN L"));
    expect(localStorage.getItem("plimb.card.3.waiting.last")).toContain("1 IN L");
    expect(keys(await opened())).toEqual(["last"]);
  });
  it("brings over what an earlier page kept elsewhere", async () => {
    localStorage.setItem("plimb.card.3.outbox", JSON.stringify([entry("old", "1 IN L")]));
    expect(keys(await opened())).toEqual(["old"]);
    expect(localStorage.getItem("plimb.card.3.outbox")).toBeNull();
    expect(keys(await opened())).toEqual(["old"]);
  });
  it("shows the newest of several for one valve and stage", async () => {
    const outbox = await opened();
    await outbox.add(entry("a", "1 IN L", "15"));
    await outbox.add(entry("b", "1 IN L", "16"));
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
  it("keeps cards apart", async () => {
    await (await opened()).add(entry("a", "1 IN L"));
    expect(keys(await opened(4))).toEqual([]);
  });
  it("starts empty where what was kept cannot be read", async () => {
    localStorage.setItem("plimb.card.3.outbox", "{broken");
    expect(keys(await opened())).toEqual([]);
  });
});
