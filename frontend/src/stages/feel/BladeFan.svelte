<script lang="ts">
  /**
   * The feeler set, fanned out. The first tap says which blade goes with a light drag; a tap
   * on a thicker one says that it refuses. The blade that would settle the verdict is marked.
   */
  import type { BladeSet, Valve } from "../../api/client";

  let {
    blades,
    valve,
    draft,
    next,
    ontype,
  }: {
    blades: BladeSet;
    valve: Valve;
    draft: string;
    next: string | null;
    ontype: (text: string) => void;
  } = $props();

  /** The blades that could matter here: every thin one, none far over the maximum. */
  const near = $derived(
    blades.blades.filter(
      (blade) =>
        blade.state === "sound" && (!valve.spec || blade.marked.nm <= valve.spec.high.nm * 1.75),
    ),
  );
  const parts = $derived(/^(\d+(?:\.\d+)?)(?:-(\d+(?:\.\d+)?))?$/.exec(draft));
  const nextParts = $derived(next?.split("+") ?? []);

  function tap(typed: string, nm: number): void {
    const first = near.find((blade) => blade.typed === parts?.[1]);
    if (first && !parts?.[2] && nm > first.marked.nm) ontype(`${first.typed}-${typed}`);
    else ontype(typed);
  }
</script>

<div
  class="grid grid-cols-7 gap-[3px] max-sm:grid-cols-8"
  role="group"
  aria-label="Feeler blades of {blades.name}"
>
  {#each near as blade (blade.typed)}
    {@const goes = parts?.[1] === blade.typed}
    {@const refuses = parts?.[2] === blade.typed}
    {@const wanted = nextParts.includes(blade.typed)}
    <button
      type="button"
      class="figures relative flex min-h-11 min-w-11 flex-col items-center justify-between border pt-1 text-[16px] {goes
        ? 'bg-ink text-paper border-ink'
        : refuses
          ? 'border-ink bg-sheet border-2 border-dashed'
          : wanted
            ? 'border-now text-now bg-wash border-2'
            : 'border-rule bg-sheet'}"
      aria-label="Blade {blade.marked.mm}{goes ? ', goes' : refuses ? ', refuses' : ''}{wanted
        ? ', try this next'
        : ''}"
      onpointerdown={(event) => event.preventDefault()}
      onclick={() => tap(blade.typed, blade.marked.nm)}
    >
      {blade.marked.mm.replace(/^0/, "")}
      <span
        class="mb-1 block w-4/5 bg-current"
        style:height="{Math.max(1, blade.marked.nm / 60_000)}px"
        aria-hidden="true"
      ></span>
    </button>
  {/each}
</div>
