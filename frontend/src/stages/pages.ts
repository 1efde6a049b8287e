/** What a stage shows: its page beside the head, and what stands below the head. */
import type { Component } from "svelte";
import type { Stage } from "../api/client";
import Choose from "./choose/Page.svelte";
import PlanStrip from "./choose/PlanStrip.svelte";
import Feel from "./feel/Page.svelte";
import Fit from "./fit/Page.svelte";
import Tightening from "./fit/TightenPicture.svelte";
import Prove from "./prove/Page.svelte";
import Read from "./read/Page.svelte";
import Ready from "./ready/Page.svelte";
import Sign from "./sign/Page.svelte";
import Turning from "./turn/CyclePicture.svelte";
import Turn from "./turn/Page.svelte";
import type { Job } from "../card/job.svelte";

type Part = Component<{ job: Job }>;

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
