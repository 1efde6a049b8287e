/** Where the crank stands against the angles the server gave for each lane. */
import type { Lane } from "../api/client";

/** Return the valves whose followers rest at this angle: past the end of the lane's lift. */
export function atRest(lanes: readonly Lane[], crank: number): ReadonlySet<string> {
  const resting = lanes.filter(
    (lane) => (((crank - lane.lift_from) % 720) + 720) % 720 > lane.lift_to - lane.lift_from,
  );
  return new Set(resting.flatMap((lane) => lane.valves));
}
