import { describe, expect, it } from "vitest";
import { CopiesState, type Copy } from "./copies.svelte";

const NOW = Date.parse("2026-11-26T12:00:00Z");
const made = (made_at: string, name = "2026-11-26.sqlite3", size = 1): Copy => ({
  name,
  made_at,
  size,
});

describe("the record's own copies", () => {
  const state = new CopiesState(() => NOW);
  it("say how old they are", () => {
    expect(state.age(made("2026-11-26T11:30:00Z"))).toBe("less than an hour old");
    expect(state.age(made("2026-11-25T11:00:00Z"))).toBe("25 h old");
    expect(state.age(made("2026-11-20T12:00:00Z"))).toBe("6 days old");
  });
  it("are too old after two days without one", () => {
    state.copies = [made("2026-11-24T12:30:00Z")];
    expect(state.isOld).toBe(false);
    state.copies = [made("2026-11-24T11:30:00Z")];
    expect(state.isOld).toBe(true);
  });
  it("are called by their moment, and by the upgrade they were made before", () => {
    expect(state.called(made("2026-11-26T06:05:09Z"))).toBe("2026-11-26 06:05");
    expect(state.called(made("2026-11-26T06:05:09Z", "before-0010-from-0009.sqlite3"))).toBe(
      "2026-11-26 06:05, before an upgrade",
    );
    expect([state.size(made("", "", 512_400)), state.size(made("", "", 2_340_000))]).toEqual([
      "513 kB",
      "2.3 MB",
    ]);
  });
});
