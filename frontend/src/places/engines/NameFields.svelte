<script lang="ts">
  /** What valves and camshafts are called. */
  import type { EngineDocument } from "./document";
  import type { EngineState } from "./engine.svelte";

  let { engine, file }: { engine: EngineState; file: EngineDocument } = $props();
</script>

{#snippet names(of: string, named: { id: string }[], rename: (from: string, to: string) => void)}
  <div class="grid grid-cols-4 gap-2 max-sm:grid-cols-2">
    {#each named as one, n (n)}
      <input
        class="field"
        aria-label="Name of {of} {n + 1}"
        value={one.id}
        onchange={(event) => rename(one.id, event.currentTarget.value)}
      />
    {/each}
  </div>
{/snippet}

<fieldset>
  <legend class="border-ink mb-2 w-full border-b-2 text-lg font-[600]">Names</legend>
  <p class="text-soft pb-1 text-note leading-5">
    Cylinder as the manufacturer numbers it, IN or EX, left or right as the rider sits. A renamed
    valve keeps its shim and its history.
  </p>
  {@render names("valve", file.engine.valves, (from, to) => engine.rename(from, to))}
  <p class="text-soft pt-3">Camshafts, as the manual or the shop calls them</p>
  {@render names("camshaft", file.engine.camshafts, (from, to) => engine.renameCamshaft(from, to))}
</fieldset>
