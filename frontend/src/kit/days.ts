/** Days and times as they stand everywhere: 1 Dec 2026; 1 Dec 2026, 14:05. */

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];

/** A day by itself is the same everywhere; a moment is shown by this screen's clock. */
function read(text: string): Date {
  const [year = 0, month = 1, day = 1] = text.split("-").map(Number);
  return text.length === 10 ? new Date(year, month - 1, day) : new Date(text);
}

export function dayWords(text: string): string {
  const at = read(text);
  return `${at.getDate()} ${MONTHS[at.getMonth()] ?? ""} ${at.getFullYear()}`;
}

export function momentWords(text: string): string {
  const at = read(text);
  const two = (part: number): string => `${part}`.padStart(2, "0");
  return `${dayWords(text)}, ${two(at.getHours())}:${two(at.getMinutes())}`;
}
