/** Little drawings of the trade: a gap, a range, how an engine is turned. */
export { default as Cycle } from "./Cycle.svelte";
export { default as GapMark } from "./GapMark.svelte";
export { default as LobeDial } from "./LobeDial.svelte";
export { default as SpecScale } from "./SpecScale.svelte";
export { default as TurnMark } from "./TurnMark.svelte";
