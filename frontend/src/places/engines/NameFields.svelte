<script lang="ts">
  /** What valves and camshafts are called. */
  import type { EngineDocument } from "./document";
  import type { EngineState } from "./engine.svelte";

  let { engine, file }: { engine: EngineState; file: EngineDocument } = $props();
</script>

<fieldset>
  <legend class="border-ink w-full border-b-2 text-lg font-[600]">Names</legend>
  <div class="grid grid-cols-4 gap-2 pt-2 max-sm:grid-cols-2">
    {#each file.engine.valves as valve, n (n)}
      <input
        class="field"
        aria-label="Name of valve {n + 1}"
        value={valve.id}
        onchange={(event) => engine.rename(valve.id, event.currentTarget.value)}
      />
    {/each}
  </div>
  <p class="text-soft pt-3">Camshafts</p>
  <div class="grid grid-cols-4 gap-2 max-sm:grid-cols-2">
    {#each file.engine.camshafts as shaft, n (n)}
      <input
        class="field"
        aria-label="Name of camshaft {n + 1}"
        value={shaft.id}
        onchange={(event) => engine.renameCamshaft(shaft.id, event.currentTarget.value)}
      />
    {/each}
  </div>
</fieldset>
