<script lang="ts">
  /** A blade picked from the fan and pushed in: how it goes, drawn and in a word. */
  import type { BladeSet } from "../api/client";
  import { Button } from "../kit";
  import { preferences } from "../state/preferences.svelte";
  import type { RigState } from "./rig.svelte";

  let { rig, blades, valve }: { rig: RigState; blades: BladeSet; valve: string } = $props();

  const usable = $derived(blades.blades);
  let at = $state(4);
  let second = $state(-1);
  const blade = $derived(usable[Math.min(at, usable.length - 1)]);
  const face = (nth: number): string => {
    const one = usable[nth];
    return one ? preferences.read(one.nominal) : "";
  };
  const told = $derived(rig.told);
  const force = $derived(told?.force ?? 0);
  const refused = $derived(force >= 1);

  function pick(by: number): void {
    at = Math.max(0, Math.min(usable.length - 1, at + by));
  }
  async function push(): Promise<void> {
    if (!blade) return;
    const other = usable[second];
    await rig.do("push", valve, blade.nominal.nm, ...(other ? [other.nominal.nm] : []));
  }
  const steps: Record<string, number> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 };
  function key(event: KeyboardEvent): void {
    const by = steps[event.key];
    if (by !== undefined) pick(by);
    else if (event.key === "Enter") void push();
    else return;
    event.preventDefault();
  }
</script>

<div class="flex items-stretch gap-1">
  <Button aria-label="A thinner blade" onclick={() => pick(-1)}>−</Button>
  <div
    class="border-rule bg-sheet figures flex min-h-11 min-w-20 flex-1 items-center justify-center border text-xl"
    role="spinbutton"
    tabindex="0"
    aria-label="Blade: arrow keys pick it, Enter pushes it in"
    aria-valuenow={at}
    aria-valuemin={0}
    aria-valuemax={usable.length - 1}
    aria-valuetext={face(at)}
    onkeydown={key}
  >
    {face(at)}{second >= 0 ? ` + ${face(second)}` : ""}
  </div>
  <Button aria-label="A thicker blade" onclick={() => pick(1)}>+</Button>
  <Button kind="now" onclick={() => void push()} disabled={rig.busy}>Push it in</Button>
</div>
<div class="flex items-center gap-3">
  <svg viewBox="0 0 120 34" class="h-9 w-32 shrink-0" aria-hidden="true">
    <path d="M44 2a22 16 0 0 0 44 0" class="fill-sheet stroke-ink" stroke-width="1.6" />
    <path d="M36 26h60v8M36 26v8" class="stroke-ink fill-none" stroke-width="1.6" />
    {#if told}
      <path
        d={refused && told.word === "bends" ? "M2 22q22-10 38 0" : `M2 22h${refused ? 38 : 100}`}
        class="stroke-now fill-none"
        stroke-width="3"
      />
    {/if}
  </svg>
  <div class="border-rule h-3 flex-1 border" aria-hidden="true">
    <div class="bg-ink h-full" style:width="{Math.round((told ? force : 0) * 100)}%"></div>
  </div>
</div>
<div class="flex flex-wrap gap-1">
  <Button kind="bare" class="px-2" onclick={() => void rig.do("look")}>Look at the blade</Button>
  <Button
    kind="bare"
    class="px-2"
    aria-pressed={second >= 0}
    onclick={() => (second = second >= 0 ? -1 : 0)}
    >{second >= 0 ? "One blade" : "Two together"}</Button
  >
  {#if second >= 0}
    <Button
      class="px-2"
      aria-label="Second blade thinner"
      onclick={() => (second = Math.max(0, second - 1))}>−</Button
    >
    <Button
      class="px-2"
      aria-label="Second blade thicker"
      onclick={() => (second = Math.min(usable.length - 1, second + 1))}>+</Button
    >
  {/if}
</div>
