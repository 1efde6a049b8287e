/** How a position of the crank, or of a camshaft on the bench, is named. */
import type { Card } from "../api/client";

type Stop = Card["turning"]["stops"][number];

export function placeOf(stop: Stop): string {
  return stop.camshaft
    ? `camshaft ${stop.camshaft}, these lobes away`
    : (stop.mark ?? `${stop.degrees ?? "?"}°`);
}
