<script lang="ts">
  /** Engines: what is in the shop's care, and the way to add one from a layout. */
  import kinds from "../../api/kinds.json";
  import HeadMini from "../../head/HeadMini.svelte";
  import { type EngineLine, answer, api } from "../../api/client";
  import { Button, PlaceFrame } from "../../kit";
  import { Pages } from "../../state/pages.svelte";
  import AddEngine from "../bench/AddEngine.svelte";
  import { grouped } from "../../kit/numbers";

  let like = $state("");
  const pages = new Pages<EngineLine>(async (skip) => {
    const page = await answer(api.GET("/api/engines", { params: { query: { like, skip } } }));
    return { count: page.count, lines: page.engines };
  });
  const count = $derived(pages.count);
  $effect(() => pages.soon(like !== ""));
  let adding = $state(false);
  const followers = new Map(kinds.followers.map((one) => [one.value, one.label]));
</script>

<PlaceFrame title="Engines" refusal={pages.attempt.refusal} onretry={() => pages.look()}>
  {#snippet acts()}
    <Button onclick={() => (adding = true)}>From a file</Button>
    <Button kind="now" href="/engines/new">From a layout</Button>
  {/snippet}
  {#if like || pages.more}
    <label class="mb-3 flex items-center gap-3">
      <span class="text-soft shrink-0">Look for</span>
      <input
        bind:value={like}
        type="search"
        class="field"
        placeholder="its name, its note, its owner, its plate"
      />
    </label>
  {/if}
  <div class="border-ink border-t-2"></div>
  {#if count === 0}
    <p class="text-soft py-6">
      {like
        ? "No engine has all these words."
        : "No engine yet. Start from its layout and correct what differs."}
    </p>
  {/if}
  <ul>
    {#each pages.lines as engine (engine.id)}
      <li class="border-line flex items-center border-b max-md:flex-col max-md:items-stretch">
        <a
          href="/engines/{engine.id}"
          class="hover:bg-sheet flex-1 grid min-h-20 grid-cols-[190px_minmax(0,1fr)_13rem] items-center gap-4 py-2 max-md:grid-cols-[96px_minmax(0,1fr)]"
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
        <a
          href="/engines/{engine.id}/years"
          class="inline-flex min-h-14 items-center px-3 underline underline-offset-4 max-md:-mt-2 max-md:min-h-11 max-md:pl-28"
          >Over the years</a
        >
      </li>
    {/each}
  </ul>
  {#if pages.more}
    <Button class="my-3" onclick={() => void pages.look(pages.lines.length)}
      >More of {count === null ? "" : grouped(count)}</Button
    >
  {/if}
  <AddEngine bind:open={adding} />
</PlaceFrame>
