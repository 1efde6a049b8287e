<script lang="ts">
  /** The handbook: its pages, what is looked for in them, one page to read or print. */
  import { Button } from "../../kit";
  import { route } from "../../state/route.svelte";
  import Article from "./Article.svelte";
  import { contents, look } from "./book";

  let { name }: { name: string } = $props();

  let like = $state("");
  const hits = $derived(look(like));
  const at = $derived(contents.findIndex((page) => page.name === name));
  const next = $derived(at >= 0 ? contents[at + 1] : undefined);
</script>

<svelte:head><title>{contents[at]?.title ?? "Handbook"} · Plimb</title></svelte:head>

<main
  class="mx-auto grid w-full max-w-[1120px] gap-x-10 px-5 py-5 max-sm:px-3 md:grid-cols-[14rem_minmax(0,1fr)]"
>
  <nav class="no-print max-md:mb-5" aria-label="Pages of the handbook">
    <label class="block">
      <span class="text-soft">Look for</span>
      <input
        bind:value={like}
        type="search"
        class="field"
        placeholder="drag, zero, overlap"
        onkeydown={(event) => event.key === "Escape" && (like = "")}
      />
    </label>
    {#if like.trim()}
      <p class="text-soft mt-2" role="status">
        {hits.length === 0
          ? "On no page."
          : hits.length === 1
            ? "On 1 page"
            : `On ${hits.length} pages`}
      </p>
      <ul>
        {#each hits as hit (hit.name)}
          <li class="border-line border-b py-2">
            <a class="font-[620] underline underline-offset-4" href="/handbook/{hit.name}"
              >{hit.title}</a
            >
            <p class="text-soft text-note leading-5">{hit.says}</p>
          </li>
        {/each}
      </ul>
    {:else}
      <details class="md:hidden">
        <summary class="min-h-11 content-center">Pages</summary>
        {@render list()}
      </details>
      <div class="max-md:hidden">{@render list()}</div>
    {/if}
  </nav>
  <div class="min-w-0">
    {#key name}<Article {name} />{/key}
    <div class="no-print border-ink mt-8 flex flex-wrap gap-2 border-t-2 pt-3">
      {#if next}<Button kind="now" href="/handbook/{next.name}">{next.title}</Button>{/if}
      <Button onclick={() => print()}>Print this page</Button>
      <Button kind="bare" onclick={() => (history.length > 1 ? history.back() : route.go("/"))}
        >Back</Button
      >
    </div>
  </div>
</main>

{#snippet list()}
  <ul class="mt-2">
    {#each contents as page (page.name)}
      <li>
        <a
          href="/handbook/{page.name}"
          class="flex min-h-9 items-center max-md:min-h-11 {page.name === name
            ? 'font-[640] underline decoration-2 underline-offset-4'
            : ''}"
          aria-current={page.name === name ? "page" : undefined}>{page.title}</a
        >
      </li>
    {/each}
  </ul>
{/snippet}
