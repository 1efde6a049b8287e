<script lang="ts">
  /**
   * The feeler set, fanned out. The first tap says which blade goes with a light drag; a tap
   * on a thicker one says that it refuses, on a thinner one that the two are laid together. The
   * blade that would settle the verdict is marked; one that has snapped leaves with one tap.
   */
  import { Refusal, answer, api, type BladeSet, type Unit } from "../api/client";
  import { preferences } from "../state/preferences.svelte";

  let {
    blades,
    draft,
    next,
    ontype,
    onsnapped,
  }: {
    blades: BladeSet;
    draft: string;
    /** The blades that settle it soonest, by their own thickness. */
    next: readonly number[];
    ontype: (text: string, unit: Unit) => void;
    onsnapped: () => void;
  } = $props();

  const sound = $derived(blades.blades.filter((blade) => blade.state === "sound"));
  /** Read and typed as they are marked: in thou only where every one is. */
  const unit = $derived<Unit>(
    preferences.unit === "in" && sound.every((blade) => blade.in_inches) ? "in" : "mm",
  );
  type Blade = (typeof sound)[number];
  const typed = (blade: Blade): string =>
    (unit === "in" ? blade.typed_thou : blade.typed) ?? blade.typed;
  const face = (blade: Blade): string =>
    unit === "in" ? blade.nominal.thou : blade.marked.mm.replace(/^0/, "");
  const FIGURE = "\\d*(?:\\.\\d+)?";
  const shape = new RegExp(`^(${FIGURE})(?:\\+(${FIGURE}))?(?:-(${FIGURE}))?$`);
  const parts = $derived(shape.exec(draft));
  const laid = $derived([parts?.[1], parts?.[2]].filter((one) => one));
  const found = (what: string | undefined): Blade | undefined =>
    sound.find((blade) => what && typed(blade) === what);
  /** The blade last tapped: the one that can have snapped in the hand. */
  const last = $derived(found(parts?.[3]) ?? found(parts?.[2]) ?? found(parts?.[1]));
  let failed = $state("");

  function tap(blade: Blade): void {
    const first = found(parts?.[1]);
    const goes = laid.join("+");
    if (!first || parts?.[3] || blade === first) return ontype(typed(blade), unit);
    if (blade.nominal.nm > first.nominal.nm) return ontype(`${goes}-${typed(blade)}`, unit);
    ontype(blades.stacking && laid.length === 1 ? `${goes}+${typed(blade)}` : typed(blade), unit);
  }
  async function snapped(blade: Blade): Promise<void> {
    const params = { path: { set_id: blades.id } };
    const body = { nominal_nm: blade.nominal.nm, state: "broken" as const };
    try {
      await answer(api.PUT("/api/blade-sets/{set_id}/blade", { params, body }));
      failed = "";
      onsnapped();
    } catch (error) {
      failed = (error as Refusal).sentence;
    }
  }
</script>

<div
  class="grid grid-cols-7 gap-[3px] max-sm:grid-cols-8 sm:stack:grid-cols-11"
  role="group"
  aria-label="Feeler blades of {blades.name}"
>
  {#each sound as blade (blade.nominal.nm)}
    {@const goes = laid.includes(typed(blade))}
    {@const refuses = parts?.[3] === typed(blade)}
    {@const wanted = next.includes(blade.nominal.nm)}
    <button
      type="button"
      class="figures relative flex min-h-11 min-w-11 flex-col items-center justify-between border pt-1 text-[16px] {goes
        ? 'bg-ink text-paper border-ink'
        : refuses
          ? 'border-ink bg-sheet border-2 border-dashed'
          : wanted
            ? 'border-now text-now bg-wash border-2'
            : 'border-rule bg-sheet'}"
      aria-label="Blade {unit === 'in' ? blade.nominal.thou : blade.marked.mm}{goes
        ? ', goes'
        : refuses
          ? ', refuses'
          : ''}{wanted ? ', try this next' : ''}"
      onpointerdown={(event) => event.preventDefault()}
      onclick={() => tap(blade)}
    >
      {face(blade)}
      <span
        class="mb-1 block w-4/5 bg-current"
        style:height="{Math.max(1, Math.min(12, blade.marked.nm / 60_000))}px"
        aria-hidden="true"
      ></span>
    </button>
  {/each}
</div>
{#if last}
  <button
    type="button"
    class="text-soft min-h-9 self-start text-note underline underline-offset-4"
    onclick={() => void snapped(last)}>{face(last)} has snapped: out of the set</button
  >
{/if}
{#if failed}<p class="text-tight" role="alert">{failed}</p>{/if}
