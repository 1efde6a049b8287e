/** The arrangement of the head, on the very answers that the server gives. */
import { describe, expect, it } from "vitest";
import single from "../api/answers/card-1.json";
import vfour from "../api/answers/card-2.json";
import triple from "../api/answers/card-3.json";
import largest from "../api/answers/largest-engine.json";
import type { Card, Drawing } from "../api/client";
import { progress } from "../card/registry";
import { type Box, TOUCH, type Turn, arrange, bestTurn, freest, neighbour } from "./arrange";

const cards = { single, vfour, triple } as unknown as Record<string, Card>;
const sizes: [string, number, number][] = [
  ["bench", 896, 688],
  ["phone", 390, 330],
  ["small", 320, 300],
];
const turns: Turn[] = [0, 1, 2, 3];

function overlap(a: Box, b: Box): boolean {
  return (
    a.x < b.x + b.width - 0.5 &&
    b.x < a.x + a.width - 0.5 &&
    a.y < b.y + b.height - 0.5 &&
    b.y < a.y + a.height - 0.5
  );
}

it("a cylinder's figure stands in the middle, or beside two valves that meet there", () => {
  const bore = { x: 100, y: 100, r: 60 };
  const four = [-30, 30].flatMap((x) => [-30, 30].map((y) => ({ x: 100 + x, y: 100 + y, r: 28 })));
  expect(freest(bore, four)).toEqual({ x: 100, y: 100 });
  const two = [-26, 26].map((y) => ({ x: 100, y: 100 + y, r: 30 }));
  expect(freest(bore, two)).toEqual({ x: 100 - 60 * 0.68, y: 100 });
  expect(freest({ ...bore, x: 0 }, [])).toEqual({ x: 0, y: 100 });
});

describe.each(sizes)("at %s size", (_name, width, height) => {
  const drawings = {
    ...Object.fromEntries(Object.entries(cards).map(([n, c]) => [n, c.drawing])),
    six: largest.drawing as Drawing,
  };
  it.each(Object.entries(drawings))(
    "the %s has a plate a finger can hit for every valve",
    (_n, drawing) => {
      for (const turn of turns) {
        const laid = arrange(drawing, width, height, turn);
        expect(laid.valves).toHaveLength(drawing.banks.flatMap((bank) => bank.valves).length);
        for (const one of laid.valves) {
          expect(Math.min(one.plate.width, one.plate.height)).toBeGreaterThanOrEqual(TOUCH);
          expect(one.plate.x).toBeGreaterThanOrEqual(0);
          expect(one.plate.x + one.plate.width).toBeLessThanOrEqual(laid.width + 0.5);
          expect(one.plate.y + one.plate.height).toBeLessThanOrEqual(laid.height + 0.5);
          for (const other of laid.valves)
            expect(one !== other && overlap(one.plate, other.plate)).toBe(false);
        }
      }
    },
  );
});

describe("turning", () => {
  it("carries the front round with the drawing", () => {
    const fronts = turns.map((turn) => arrange(cards.triple!.drawing, 896, 688, turn).front);
    expect(fronts).toEqual(["up", "right", "down", "left"]);
  });
  it("keeps left and right as the rider sits, with the front up", () => {
    const at = Object.fromEntries(
      arrange(cards.triple!.drawing, 896, 688, 0).valves.map((one) => [one.valve, one.at]),
    );
    expect(at["1 IN L"]!.x).toBeLessThan(at["1 IN R"]!.x);
    expect(at["1 IN R"]!.x).toBeLessThan(at["2 IN L"]!.x);
    expect(at["1 EX L"]!.y).toBeLessThan(at["1 IN L"]!.y);
  });
  it("stands a long head upright where there is little width", () => {
    expect(bestTurn(cards.triple!.drawing, 896, 688)).toBe(0);
    expect(bestTurn(cards.triple!.drawing, 390, 330)).toBe(1);
    const tall = (height: number): Turn => bestTurn(cards.vfour!.drawing, 390, height);
    expect([200, 330, 560].map(tall)).toEqual([0, 0, 0]); // it does not turn with the panel
  });
});

describe("arrows", () => {
  it("walk along a row, across the head, and stop at its edge", () => {
    const laid = arrange(cards.triple!.drawing, 896, 688, 0);
    expect(neighbour(laid, "1 IN L", "right")).toBe("1 IN R");
    expect(neighbour(laid, "1 IN R", "right")).toBe("2 IN L");
    expect(neighbour(laid, "1 IN L", "up")).toBe("1 EX L");
    expect(neighbour(laid, "1 IN L", "left")).toBeNull();
    expect(neighbour(laid, "nobody", "left")).toBeNull();
  });
  it("reach every valve of the V-four from any other", () => {
    const laid = arrange(cards.vfour!.drawing, 896, 688, 0);
    const reached = new Set(["1 IN L"]);
    for (const valve of reached)
      for (const heading of ["up", "right", "down", "left"] as const) {
        const next = neighbour(laid, valve, heading);
        if (next) reached.add(next);
      }
    expect(reached.size).toBe(16);
  });
});

describe("progress", () => {
  it("counts what each stage has asked for and got", () => {
    expect(progress(cards.triple!, "feel")).toEqual({ asked: 12, done: 12 });
    expect(progress(cards.triple!, "ready")).toEqual({ asked: 8, done: 8 });
    expect(progress(cards.triple!, "read")).toEqual({ asked: 4, done: 3 });
    expect(progress(cards.triple!, "fit")).toEqual({ asked: 0, done: 0 });
    expect(progress(cards.vfour!, "feel")).toEqual({ asked: 16, done: 4 });
    expect(progress(cards.single!, "sign")).toEqual({ asked: 3, done: 3 });
  });
});

describe("the largest engine", () => {
  it("shows 48 clearances on the bench without growing past its place", () => {
    const drawing = largest.drawing as Drawing;
    const laid = arrange(drawing, 896, 688, bestTurn(drawing, 896, 688));
    expect(laid.valves).toHaveLength(48);
    expect(laid.height).toBeLessThanOrEqual(688);
    expect(laid.width).toBeLessThanOrEqual(896);
  });
  it("hangs the closer's plate behind its opener's", () => {
    const laid = arrange(largest.drawing as Drawing, 896, 688, 0);
    const plate = (valve: string) => laid.valves.find((one) => one.valve === valve)!.plate;
    expect(plate("1 IN L op").x).toBe(plate("1 IN L cl").x);
    expect(plate("1 IN L op").y).toBeLessThan(plate("1 IN L cl").y);
  });
});
