<script lang="ts">
  /** What `?` opens: the page of the handbook for where one is, and the keys there. */
  import { Button } from "../../kit";
  import { keys } from "../../state/keys.svelte";
  import { PRACTISING } from "../../state/route.svelte";
  import Article from "./Article.svelte";

  let { name, ongo, onscreen }: { name: string; ongo: () => void; onscreen: () => void } = $props();

  const entryKeys = [
    { key: "Enter", says: "Write down what is typed, take the next valve" },
    { key: "Backspace", says: "In an empty field: bring back what was written, to correct it" },
    { key: "Ctrl Enter", says: "In an empty field: take the likely value of a question" },
    { key: "Ctrl Z", says: "In an empty field: undo what was done last" },
    { key: "Escape", says: "Rub out what is being typed" },
  ];
  const faces: Record<string, string> = {
    ArrowUp: "↑",
    ArrowDown: "↓",
    ArrowLeft: "←",
    ArrowRight: "→",
    PageUp: "Page up",
    PageDown: "Page down",
  };
  const shown = $derived([...entryKeys, ...keys.acts.filter((act) => act.key !== "Enter")]);
</script>

<!-- svelte-ignore a11y_no_static_element_interactions, a11y_click_events_have_key_events -->
<div onclick={(event) => (event.target as HTMLElement).closest("a") && ongo()}>
  <details class="border-line mb-3 border-b" open={name === "index"}>
    <summary class="min-h-11 content-center font-[620]">Keys</summary>
    <table class="mb-3 w-full">
      <tbody>
        {#each shown as act (act.key)}
          <tr class="border-line border-t">
            <th scope="row" class="py-1.5 pr-4 text-left font-[620] whitespace-nowrap"
              >{faces[act.key] ?? act.key}</th
            >
            <td>{act.says}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </details>
  <Article {name} />
  <div class="border-ink mt-5 flex flex-wrap gap-2 border-t-2 pt-3">
    <Button href="/handbook/{name}">The whole handbook</Button>
    <Button onclick={onscreen}>This screen</Button>
    {#if !PRACTISING}
      <a
        class="inline-flex min-h-11 items-center px-3 underline underline-offset-4"
        href="/practice/"
        rel="external">Practice</a
      >
    {/if}
  </div>
</div>
