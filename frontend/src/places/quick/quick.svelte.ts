/** A quick sum as it is typed: kept in this browser until it is cleared, answered by the server. */
import { type Refusal, type Schemas, type Unit, answer, api } from "../../api/client";
import { BACK } from "../../api/events";
import { PRACTISING } from "../../state/route.svelte";

export type Answered = Schemas["QuickAnsweredOut"];
export type Line = NonNullable<Answered["line"]>;
export type Column = "valve" | "gap" | "shim";
export type Side = "loose" | "middle" | "tight";
export type Row = Record<Column, string> & { key: number };

interface Typed {
  spec: string;
  room: string;
  unit: Unit;
  shimUnit: Unit;
  sizes: string;
  family: number | null;
  side: Side | null;
  rows: Row[];
}

const KEPT = PRACTISING ? "plimb.quick.practice" : "plimb.quick";
const PAUSE = 140;
const COLUMNS: readonly Column[] = ["valve", "gap", "shim"];
/** As many valves as the server takes at once. */
export const MOST_ROWS = 64;

let keys = 0;
const blank = (): Row => ({ key: ++keys, valve: "", gap: "", shim: "" });
const filled = (row: Row): boolean => COLUMNS.some((one) => row[one].trim() !== "");

function fresh(unit: Unit): Typed {
  const [shimUnit, rows] = ["mm" as Unit, [blank()]];
  return { spec: "", room: "", unit, shimUnit, sizes: "", family: null, side: null, rows };
}

function kept(unit: Unit): Typed {
  try {
    const said = JSON.parse(localStorage.getItem(KEPT) ?? "null") as Typed | null;
    if (!said) return fresh(unit);
    return { ...fresh(unit), ...said, rows: said.rows.map((row) => ({ ...row, key: ++keys })) };
  } catch {
    return fresh(unit);
  }
}

/** Cells of a table as it is copied from a spreadsheet; a line without any figure is a heading. */
export function cells(text: string): string[][] {
  const lines = text.split(/\r?\n/).filter((line) => line.trim());
  const between = text.includes("\t") ? "\t" : text.includes(";") ? ";" : null;
  const table = lines.map((line) =>
    (between ? line.split(between) : [line]).map((one) => one.trim()),
  );
  return table.filter((row) => row.some((one) => /\d/.test(one)));
}

export class Quick {
  typed: Typed;
  said = $state.raw<Schemas["QuickSumOut"] | null>(null);
  /** Why there is no answer: no connection, mostly. */
  refusal = $state.raw<Refusal | null>(null);
  /** Which rows what was said is about. */
  private about = $state.raw<readonly number[]>([]);
  private waiting: ReturnType<typeof setTimeout> | undefined;
  private turn = 0;

  constructor(unit: Unit) {
    const typed = $state(kept(unit));
    this.typed = typed;
    this.room();
    $effect(() => {
      const text = JSON.stringify(this.typed);
      try {
        localStorage.setItem(KEPT, text);
      } catch {
        // a browser that keeps nothing still works until it is closed
      }
      clearTimeout(this.waiting);
      this.waiting = setTimeout(() => void this.ask(), PAUSE);
    });
    $effect(() => {
      const again = (): void => void this.ask();
      addEventListener(BACK, again);
      return () => removeEventListener(BACK, again);
    });
  }

  /** Ask for the answers to what stands there now; an earlier answer never comes after. */
  async ask(): Promise<void> {
    const turn = ++this.turn;
    const { spec, room, unit, shimUnit, sizes, family, side, rows } = this.typed;
    const asked = rows.filter(filled);
    const lines = asked.map(({ valve, gap, shim }) => ({ valve, gap, shim }));
    const body = {
      ...{ spec, room, unit, sizes, lines },
      ...{ shim_unit: shimUnit, family_id: family, aim: side },
    };
    try {
      const said = await answer(api.POST("/api/quick-sum", { body }));
      if (turn !== this.turn) return;
      [this.said, this.about, this.refusal] = [said, asked.map((row) => row.key), null];
    } catch (error) {
      if (turn === this.turn) this.refusal = error as Refusal;
    }
  }

  /** What was said of a row. */
  of(row: Row): Answered | null {
    const nth = this.about.indexOf(row.key);
    return nth < 0 ? null : (this.said?.lines[nth] ?? null);
  }

  /** There is always one more line to write on. */
  room(): void {
    const { rows } = this.typed;
    const last = rows.at(-1);
    if (rows.length < MOST_ROWS && (!last || filled(last))) rows.push(blank());
  }

  take(row: Row): void {
    this.typed.rows = this.typed.rows.filter((one) => one !== row);
    this.room();
  }

  /** Lay a table down from a cell on; whether it was one. One column goes where it was pasted. */
  paste(row: Row, column: Column, text: string): boolean {
    const table = cells(text);
    const wide = Math.max(0, ...table.map((one) => one.length));
    if (wide < 2 && table.length < 2) return false;
    const { rows } = this.typed;
    const first = rows.indexOf(row);
    const into = wide === 1 ? [column] : wide === 2 ? COLUMNS.slice(1) : COLUMNS;
    for (const [nth, given] of table.entries()) {
      if (first + nth >= MOST_ROWS) break;
      while (rows.length <= first + nth) rows.push(blank());
      const at = rows[first + nth];
      for (const [n, name] of into.entries()) if (at && given[n]) at[name] = given[n];
    }
    this.room();
    return true;
  }

  clear(): void {
    const { unit, shimUnit } = this.typed;
    Object.assign(this.typed, { ...fresh(unit), shimUnit });
    this.said = null;
  }

  get begun(): boolean {
    const { spec, sizes, rows } = this.typed;
    return Boolean(spec || sizes) || rows.some(filled);
  }
}
