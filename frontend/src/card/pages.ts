/** What a stage shows: its page beside the head, and what stands below the head. */
import type { Component } from "svelte";
import type { Stage } from "../api/client";
import Choose from "../stages/choose/Page.svelte";
import PlanStrip from "../stages/choose/PlanStrip.svelte";
import Feel from "../stages/feel/Page.svelte";
import Fit from "../stages/fit/Page.svelte";
import Tightening from "../stages/fit/Below.svelte";
import Prove from "../stages/prove/Page.svelte";
import Read from "../stages/read/Page.svelte";
import Ready from "../stages/ready/Page.svelte";
import Sign from "../stages/sign/Page.svelte";
import Turning from "../stages/turn/Below.svelte";
import Turn from "../stages/turn/Page.svelte";
import type { CardState } from "./card.svelte";

type Part = Component<{ job: CardState }>;

export const PAGES: Record<Stage, { page: Part; below?: Part }> = {
  ready: { page: Ready },
  turn: { page: Turn, below: Turning },
  feel: { page: Feel },
  read: { page: Read },
  choose: { page: Choose, below: PlanStrip },
  fit: { page: Fit, below: Tightening },
  prove: { page: Prove },
  sign: { page: Sign },
};
