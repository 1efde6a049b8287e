<script lang="ts">
  /** The caps over the camshafts: off, on, and a wrench that is set and clicks. */
  import { act } from "../api/acts";
  import { click } from "../card/aloud";
  import type { Job } from "../card/job.svelte";
  import { Button } from "../kit";
  import type { RigState } from "./rig.svelte";

  let { rig, job }: { rig: RigState; job: Job } = $props();

  const caps = $derived(rig.rig?.caps ?? null);
  const fits = $derived(job.stage === "fit");
  /** The bolts as the card has them, while they are these: numbered as they are turned. */
  const laid = $derived(
    job.card?.bolts.find((one) => one.places.length === caps?.turned.length) ?? null,
  );
  const many = $derived(laid?.places.length ?? 0);
  const next = $derived(laid && laid.turned < laid.turns ? (laid.turned % many) + 1 : 1);
  const asked = $derived(laid && many ? (caps?.stages[Math.floor(laid.turned / many)] ?? 0) : 0);
  let picked = $state<number | null>(null);
  const bolt = $derived(picked ?? next);

  async function pull(): Promise<void> {
    const at = bolt;
    const told = await rig.do("pull", at);
    if (told?.word !== "clicks") return;
    click();
    picked = null;
    // the bolt that is next, at the figure of its stage: the card counts it as turned
    if (laid && at === next && laid.turned < laid.turns && (caps?.wrench ?? 0) >= asked)
      await job.act(act("tighten", { name: laid.name, turned: laid.turned + 1 }));
  }
  async function put(where: "on" | "off"): Promise<void> {
    const told = await rig.do("caps", where);
    // laid on, every bolt is in by hand: the first stage is done
    if (told?.word === "on" && laid?.turned === 0)
      await job.act(act("tighten", { name: laid.name, turned: many }));
  }
  const set = (to: number): unknown => rig.do("wrench", Math.round(to * 10));
</script>

{#if caps}
  <div class="flex flex-wrap items-center gap-1" role="group" aria-label="The caps">
    {#if caps.off}
      <span class="pr-2">The caps are off.</span>
      {#if fits}
        <Button
          kind={rig.rig?.empty.length ? "plain" : "now"}
          class="px-2"
          onclick={() => void put("on")}>Lay the caps on</Button
        >
      {/if}
    {:else if job.stage === "read" && caps.tight}
      <Button kind="now" class="px-2" onclick={() => void put("off")}>Take the caps off</Button>
    {:else if !caps.tight || fits}
      <span class="figures min-w-20">{caps.wrench === null ? "not set" : `${caps.wrench} N·m`}</span
      >
      <Button
        class="px-2"
        aria-label="Wrench one newton metre less"
        onclick={() => void set(Math.max(1, (caps.wrench ?? 6) - 1))}>−</Button
      >
      <Button
        class="px-2"
        aria-label="Wrench one newton metre more"
        onclick={() => void set((caps.wrench ?? 4) + 1)}>+</Button
      >
      {#each caps.turned as turned, n (n)}
        <Button
          class="px-2 {bolt === n + 1 ? 'border-now border-2' : ''}"
          aria-pressed={bolt === n + 1}
          aria-label="Bolt {n + 1}, {caps.gave.includes(n + 1)
            ? 'its thread has given'
            : turned
              ? `at ${turned} N·m`
              : 'by hand'}"
          onclick={() => (picked = n + 1)}
          ><b>{n + 1}</b>
          <span class="figures text-small">{caps.gave.includes(n + 1) ? "gave" : turned}</span
          ></Button
        >
      {/each}
      <Button kind={caps.tight ? "plain" : "now"} class="px-2" onclick={() => void pull()}
        >Pull on bolt {bolt}</Button
      >
    {/if}
  </div>
{/if}
