/** A feeler set being edited: as it is marked, in either unit or both, measured, sound or not. */
import { type BladeSet, type Schemas, answer, api } from "../../api/client";
import kinds from "../../api/kinds.json";
import { Attempt } from "../../state/attempt.svelte";
import { shopState } from "../../state/shop.svelte";

export interface Row {
  marked: string;
  unit: "mm" | "in";
  stamped: string | null;
  measured: string;
  state: "sound" | "bent" | "broken";
}

export interface Together {
  blades: [string, string];
  measured: string;
}

export const PATTERNS = kinds.blade_patterns as {
  name: string;
  blades: Pick<Row, "marked" | "unit" | "stamped">[];
}[];

const figure = (text: string): number => Number(text.replace(",", "."));
/** How thick a row is, to lie in order; the server reads it exactly. */
const thick = (row: Row): number => figure(row.marked) * (row.unit === "in" ? 25.4 : 1);

export class BladesState extends Attempt {
  chosen = $state<number | null>(null);
  name = $state("");
  stacking = $state(true);
  rows = $state<Row[]>([]);
  together = $state<Together[]>([]);
  added = $state("");
  /** What markings that are typed without a second one are in. */
  unit = $state<"mm" | "in">("mm");
  saved = $state(false);

  edit(set: BladeSet | null): void {
    this.chosen = set?.id ?? null;
    this.name = set?.name ?? "";
    this.stacking = set?.stacking ?? true;
    this.rows = (set?.blades ?? []).map((blade) => ({
      marked: blade.in_inches ? `${Number(blade.nominal.thou) / 1000}` : blade.marked.mm,
      unit: blade.in_inches ? "in" : "mm",
      stamped: blade.marked.nm === blade.nominal.nm ? null : blade.marked.mm,
      measured: blade.measured?.mm ?? "",
      state: blade.state,
    }));
    this.together = (set?.stacks ?? []).map((stack) => ({
      blades: [stack.blades[0]?.mm ?? "", stack.blades[1]?.mm ?? ""],
      measured: stack.measured.mm,
    }));
    this.refusal = null;
    this.saved = false;
  }

  /** Begin a set from one as they are sold. */
  from(pattern: (typeof PATTERNS)[number]): void {
    this.edit(null);
    this.name = pattern.name;
    this.rows = pattern.blades.map((blade) => ({ ...blade, measured: "", state: "sound" }));
  }

  /** Several at once, as they are read off the set: `0.05 0.10`, or with both marks `.006/.152`. */
  add(): void {
    const typed = this.added
      .trim()
      .split(/[\s;]+/)
      .filter(Boolean);
    const made = typed.map((one): Row => {
      const [marked = "", stamped] = one.split("/");
      const unit = stamped ? "in" : this.unit;
      return { marked, unit, stamped: stamped ?? null, measured: "", state: "sound" };
    });
    this.rows = [...this.rows, ...made].sort((a, b) => thick(a) - thick(b));
    this.added = "";
  }

  drop(nth: number): void {
    this.rows = this.rows.filter((_, at) => at !== nth);
  }

  async save(): Promise<void> {
    if (this.added.trim()) this.add();
    const stacks: Schemas["StackPart"][] = this.together.filter((one) => one.measured.trim());
    const body = {
      name: this.name,
      stacking: this.stacking,
      blades: this.rows.map((row) => ({ ...row, measured: row.measured.trim() || null })),
      stacks,
    };
    const set_id = this.chosen;
    this.saved = await this.at(async () => {
      shopState.shop = await answer(
        set_id === null
          ? api.POST("/api/blade-sets", { body })
          : api.PUT("/api/blade-sets/{set_id}", { params: { path: { set_id } }, body }),
      );
      const kept = shopState.shop.blade_sets.find((set) => set.name === this.name.trim());
      this.chosen = kept?.id ?? set_id;
    });
  }
}
