import type { Schemas } from "../api/client";

type Change = Schemas["WindowOut"];
type Show = (length: Change["thin"]) => string;

/** By how much a piece must be thinner or thicker, in words: known from the gap alone. */
export function changeWords(change: Change, show: Show): string {
  const plain = (length: Change["thin"]): string => show(length).replace("−", "");
  const { thin, thick } = change;
  if (thin.nm >= 0) return `${plain(thin)} to ${plain(thick)} thicker`;
  if (thick.nm <= 0) return `${plain(thick)} to ${plain(thin)} thinner`;
  return `no more than ${plain(thin)} thinner or ${plain(thick)} thicker`;
}
