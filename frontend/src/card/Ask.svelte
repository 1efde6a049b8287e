<script lang="ts">
  /** Go or no go: one blade at a time, the one that settles the verdict soonest. */
  import { untrack } from "svelte";
  import { type Asked, type Length, answer, api } from "../api/client";
  import { Button, Notice } from "../kit";
  import { preferences } from "../state/preferences.svelte";
  import { VERDICT_WORDS } from "../kit/verdicts";
  import type { Job } from "./job.svelte";
  import { kindOf } from "./registry";

  let { job }: { job: Job } = $props();

  let goes = $state.raw<Length | null>(null);
  let refuses = $state.raw<Length | null>(null);
  let fine = $state(false);
  let advice = $state.raw<Asked | null>(null);
  let failed = $state("");

  /** Ask which blade to try next, from what trying has told so far. */
  function ask(goes_nm: number | null, refuses_nm: number | null, finely: boolean): Promise<Asked> {
    return answer(
      api.POST("/api/cards/{card_id}/next-blade", {
        params: { path: { card_id: job.id } },
        body: {
          valve: job.inHand ?? "",
          goes_nm,
          refuses_nm,
          fine: finely,
          purpose: kindOf(job.stage).purpose ?? "found",
        },
      }),
    );
  }

  async function refresh(): Promise<void> {
    try {
      advice = await ask(goes?.nm ?? null, refuses?.nm ?? null, fine);
      failed = "";
      // a valve that fails is measured finely: out of range, and nothing known to go
      if (advice.verdict && advice.verdict !== "in" && goes === null && !fine) {
        fine = true;
        advice = await ask(null, refuses?.nm ?? null, true);
      }
    } catch (error) {
      failed = (error as Error).message;
    }
  }
  $effect(() => {
    void job.inHand;
    untrack(() => {
      [goes, refuses, fine] = [null, null, false];
      void refresh();
    });
  });

  const blade = $derived(advice?.next_blade ?? null);

  async function tell(went: boolean): Promise<void> {
    if (!blade) return;
    if (went) goes = blade.thickness;
    else refuses = blade.thickness;
    await refresh();
    if (advice?.reading && (advice.verdict === "in" || !advice.next_blade)) write();
  }
  function write(): void {
    if (!advice?.reading) return;
    job.entry.draft = advice.reading;
    void job.entry.write();
  }
  const told = $derived(
    [
      goes ? `${preferences.read(goes)} goes` : "",
      refuses ? `${preferences.read(refuses)} refuses` : "",
    ]
      .filter(Boolean)
      .join(", "),
  );
</script>

<div class="flex flex-col gap-2">
  {#if failed}
    <Notice>{failed}</Notice>
  {:else if blade}
    <p class="text-soft">{fine ? "Finely now. Try" : "Try"}</p>
    <p class="figures text-figure leading-none" id="asked-blade">
      {blade.blades.map((one) => job.marked(one)).join(" + ")}
    </p>
    <div class="grid grid-cols-2 gap-2">
      <Button kind="now" class="min-h-14 text-lg" onclick={() => void tell(true)}>Goes</Button>
      <Button class="min-h-14 text-lg" onclick={() => void tell(false)}>Refuses</Button>
    </div>
    <p class="text-soft min-h-6">{told}</p>
    {#if advice?.reading && refuses}
      <Button onclick={write}>Write what is known</Button>
    {/if}
  {:else if advice}
    <p>
      {advice.verdict
        ? `Settled: ${VERDICT_WORDS[advice.verdict]}.`
        : "No blade at hand settles it further."}
    </p>
  {/if}
</div>
