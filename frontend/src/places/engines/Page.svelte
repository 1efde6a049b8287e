<script lang="ts">
  /** Engines: what is in the shop's care, and the way to add one from a layout. */
  import kinds from "../../api/kinds.json";
  import HeadMini from "../../head/HeadMini.svelte";
  import { Button, PlaceFrame } from "../../kit";
  import AddEngine from "../bench/AddEngine.svelte";
  import { shopState } from "../../state/shop.svelte";

  void shopState.load();
  let adding = $state(false);
  const followers = new Map(kinds.followers.map((one) => [one.value, one.label]));
</script>

<PlaceFrame title="Engines" refusal={shopState.refusal} onretry={() => shopState.load()}>
  {#snippet acts()}
    <Button onclick={() => (adding = true)}>From a file</Button>
    <Button kind="now" href="/engines/new">From a layout</Button>
  {/snippet}
  <div class="border-ink border-t-2"></div>
  {#if shopState.shop?.engines.length === 0}
    <p class="text-soft py-6">No engine yet. Start from its layout and correct what differs.</p>
  {/if}
  <ul>
    {#each shopState.shop?.engines ?? [] as engine (engine.id)}
      <li class="border-line border-b">
        <a
          href="/engines/{engine.id}"
          class="hover:bg-sheet grid min-h-20 grid-cols-[190px_minmax(0,1fr)_13rem] items-center gap-4 py-2 max-md:grid-cols-[96px_minmax(0,1fr)]"
        >
          <span class="flex h-16 justify-center max-md:h-12"
            ><HeadMini drawing={engine.drawing} /></span
          >
          <span class="min-w-0">
            <span class="block truncate text-xl font-[620]">{engine.label}</span>
            <span class="block truncate">{engine.name}</span>
            <span class="text-soft block truncate text-note">{engine.note}</span>
          </span>
          <span class="text-note max-md:col-start-2">
            {followers.get(engine.follower)}, {engine.valves} clearances
          </span>
        </a>
      </li>
    {/each}
  </ul>
  <AddEngine bind:open={adding} />
</PlaceFrame>
