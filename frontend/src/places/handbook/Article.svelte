<script lang="ts">
  /** One page of the handbook. */
  import { pageOf } from "./book";

  let { name }: { name: string } = $props();
</script>

<article class="book">
  <!-- the text is our own: it ships with the application -->
  <!-- eslint-disable-next-line svelte/no-at-html-tags -->
  {@html pageOf(name) ?? "<h1>There is no such page</h1>"}
</article>

<style>
  .book {
    max-width: 44rem;
    line-height: 1.5;
  }
  .book :global(h1) {
    font-size: 30px;
    font-weight: 640;
    line-height: 1.15;
    margin-bottom: 0.6rem;
  }
  .book :global(h2) {
    font-size: 20px;
    margin: 1.6rem 0 0.4rem;
    border-top: 1px solid var(--rule);
    padding-top: 0.6rem;
  }
  .book :global(p),
  .book :global(ul),
  .book :global(ol),
  .book :global(table),
  .book :global(pre),
  .book :global(figure) {
    margin: 0.6rem 0;
  }
  .book :global(ul) {
    list-style: "–  ";
    padding-left: 1.1rem;
  }
  .book :global(ol) {
    list-style: decimal;
    padding-left: 1.5rem;
  }
  .book :global(li) {
    margin: 0.25rem 0;
  }
  .book :global(a) {
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  .book :global(th),
  .book :global(td) {
    text-align: left;
    vertical-align: top;
    padding: 0.35rem 0.9rem 0.35rem 0;
    border-bottom: 1px solid var(--line);
  }
  .book :global(code) {
    font-family: inherit;
    font-weight: 680;
    background: var(--sheet);
    padding: 0 0.3em;
  }
  .book :global(pre) {
    background: var(--sheet);
    border-left: 3px solid var(--rule);
    padding: 0.6rem 0.9rem;
    overflow-x: auto;
  }
  .book :global(pre code) {
    padding: 0;
    font-family: ui-monospace, monospace;
    font-weight: 450;
  }
  .book :global(blockquote) {
    border: 2px solid var(--tight);
    padding: 0.1rem 0.9rem;
    margin: 0.8rem 0;
  }
  .book :global(svg) {
    width: min(28rem, 100%);
    height: auto;
  }
</style>
