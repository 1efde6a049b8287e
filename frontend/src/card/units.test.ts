/** The unit that a reading is written in, whatever is shown meanwhile. */
import "fake-indexeddb/auto";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import type { Job } from "./job.svelte";
import { type FakeServer, bench } from "./fake-server";

const { preferences } = await import("../state/preferences.svelte");

let server: FakeServer;
let job: Job;
let order: string[];

beforeEach(async () => {
  ({ server, job, order } = await bench());
});
afterEach(() => job.stop());

describe("units", () => {
  /** The same dice for everyone: a small linear congruence. */
  function dice(seed: number): (sides: number) => number {
    let state = seed;
    return (sides) => {
      state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
      return Math.floor((state / 2_147_483_648) * sides);
    };
  }

  it("shown otherwise at any moment change nothing that is written, and write nothing", async () => {
    for (let seed = 1; seed <= 40; seed++) {
      const roll = dice(seed);
      const show = (): void => preferences.setUnit(roll(2) ? "mm" : "in");
      const before = server.done.length;
      const meant: { valve: string; text: string; unit: string }[] = [];
      for (let n = 0; n < 4; n++) {
        const valve = order[roll(order.length)] ?? "";
        job.pick(valve);
        show();
        const begun = preferences.unit;
        const text = ["13-15", "6", "2.5", "4-5"][roll(4)] ?? "6";
        for (const key of text) {
          job.entry.draft += key;
          if (roll(2)) show();
          if (roll(3) === 0) {
            const other = order[roll(order.length)] ?? "";
            job.pick(other);
            show();
            job.pick(valve);
          }
        }
        show();
        await job.entry.write();
        meant.push({ valve, text, unit: begun });
        show();
      }
      const written = server.done.slice(before).map(({ body }) => {
        const { valve, text, unit } = body as unknown as {
          valve: string;
          text: string;
          unit: string;
        };
        return { valve, text, unit };
      });
      expect(written).toEqual(meant);
    }
  });

  it("of what is corrected are those it was written in, whatever is shown", async () => {
    const [valve = ""] = order;
    server.card.valves = server.card.valves.map((one) =>
      one.valve === valve
        ? ({ ...one, found: { typed: "4-5", unit: "in" } } as unknown as typeof one)
        : one,
    );
    await job.queue.load();
    preferences.setUnit("mm");
    job.pick(valve);
    expect(job.entry.correct()).toBe(true);
    preferences.setUnit("in");
    preferences.setUnit("mm");
    await job.entry.write();
    expect(server.done.at(-1)?.body).toMatchObject({ valve, text: "4-5", unit: "in" });
  });

  it("of a tapped blade are the blade's own, even where something was begun in the other", () => {
    preferences.setUnit("in");
    job.entry.draft = "6";
    job.entry.begin("0.152", "mm");
    expect([job.entry.draft, job.entry.unit]).toEqual(["0.152", "mm"]);
  });
});
