/** Whole numbers as people type and read them. */

/** What is typed as a whole number, blanks between thousands left out; NaN for none of that kind. */
export function whole(text: string): number | null {
  const bare = text.replaceAll(/[\s’']/g, "");
  if (bare === "") return null;
  return /^\d+$/.test(bare) ? Number(bare) : NaN;
}

/** A figure with its thousands apart. */
export function grouped(figure: number): string {
  return `${figure}`.replace(/\B(?=(\d{3})+(?!\d))/g, "\u202f");
}
