/** How this screen is read: unit and light. Kept in this browser, not on the card. */
import type { Unit } from "../api/client";
import { BASE } from "./route.svelte";

type Light = "day" | "night";

function kept(name: string): string | null {
  try {
    return localStorage.getItem(`plimb.${name}`);
  } catch {
    return null;
  }
}

function keep(name: string, value: string): void {
  try {
    localStorage.setItem(`plimb.${name}`, value);
  } catch {
    // a browser that keeps nothing still works until it is closed
  }
}

class Preferences {
  unit = $state<Unit>(kept("unit") === "in" ? "in" : "mm");
  light = $state<Light>(
    (kept("light") as Light | null) ??
      (matchMedia("(prefers-color-scheme: dark)").matches ? "night" : "day"),
  );
  name = $state(kept("name") ?? "");
  /** Large print, to be read from two metres and tapped with gloves on. */
  large = $state(kept("large") === "yes");
  /** What was written is spoken back. */
  speaks = $state(kept("speaks") === "yes");
  /** A verdict is heard and felt. */
  sounds = $state(kept("sounds") === "yes");

  constructor() {
    if (kept("light")) document.documentElement.dataset.theme = this.light;
    this.size();
  }

  private size(): void {
    if (this.large) document.documentElement.dataset.large = "";
    else delete document.documentElement.dataset.large;
  }

  /** Have one of what is off at first on, or off again. */
  set(what: "large" | "speaks" | "sounds", on: boolean): void {
    this[what] = on;
    keep(what, on ? "yes" : "no");
    this.size();
  }

  setUnit(unit: Unit): void {
    this.unit = unit;
    keep(this.card === null ? "unit" : `unit.${BASE}${this.card}`, unit);
  }

  /** Show what the shop shows where nobody has chosen on this screen. */
  usual(unit: Unit): void {
    this.shop = unit;
    if (this.card === null) this.unit = (kept("unit") as Unit | null) ?? unit;
  }

  private shop: Unit = "mm";
  private card: number | null = null;

  /** Show a card in its engine's own unit, or the one it was last looked at in. */
  open(card: number, unit: Unit, shims: Unit): void {
    this.card = card;
    this.shims = shims;
    this.gaps = unit;
    this.unit = (kept(`unit.${BASE}${card}`) as Unit | null) ?? unit;
  }

  /** Nothing is open any more: other places show the unit chosen there. */
  close(): void {
    this.card = null;
    this.shims = "mm";
    this.gaps = "mm";
    this.unit = (kept("unit") as Unit | null) ?? this.shop;
  }

  setLight(light: Light): void {
    this.light = light;
    keep("light", light);
    document.documentElement.dataset.theme = light;
  }

  setName(name: string): void {
    this.name = name;
    keep("name", name);
  }

  /** The name of the unit that gaps are read in. */
  get unitName(): string {
    return this.unit === "mm" ? "mm" : "thou";
  }

  /** What shims are measured in: the open card's engine says it. */
  shims = $state<Unit>("mm");

  /** A shim's thickness in the unit it is measured in. */
  shim(length: { mm: string; inch: string }): string {
    return this.shims === "mm" ? length.mm : length.inch;
  }

  /** What gaps of the open card are written in: its sums and its ladder are, whatever is shown. */
  gaps = $state<Unit>("mm");

  /** A gap in the card's own unit, as it stands in its sums. */
  own(length: { mm: string; thou: string }): string {
    return this.gaps === "mm" ? length.mm : length.thou;
  }

  /** A gap in the unit it is read in; the server has written both. */
  read(length: { mm: string; thou: string }): string {
    return this.unit === "mm" ? length.mm : length.thou;
  }
}

export const preferences = new Preferences();
