<script lang="ts">
  /** The valve in hand: its name, what it may measure, what it says so far. */
  import type { Gap, Valve, Verdict } from "../api/client";
  import { GapMark, SpecScale } from "../trade";
  import { VERDICT_COLOURS, VERDICT_WORDS } from "../kit/verdicts";

  let {
    valve,
    gap,
    verdict,
    note = "",
    scale = true,
  }: {
    valve: Valve;
    gap: Gap | null;
    verdict: Verdict | null;
    note?: string;
    scale?: boolean;
  } = $props();
</script>

<div>
  <div class="flex items-end justify-between gap-3">
    <h2
      class="text-title leading-9 font-[640] [word-spacing:0.12em] max-sm:text-2xl max-sm:leading-7"
      style:font-stretch="84%"
    >
      {valve.valve}
    </h2>
    <div class="flex items-center gap-2 {verdict ? VERDICT_COLOURS[verdict] : 'text-soft'}">
      <GapMark {verdict} size={26} />
      <span class="font-[620]"
        >{verdict ? VERDICT_WORDS[verdict] : gap ? "not judged" : "not measured"}</span
      >
    </div>
  </div>
  {#if note}<p class="text-soft text-note leading-5">{note}</p>{/if}
  {#if scale && valve.spec}
    <div class="mt-1 max-w-96 max-sm:hidden">
      <SpecScale low={valve.spec.low} high={valve.spec.high} {gap} />
    </div>
  {/if}
</div>
