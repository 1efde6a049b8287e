<script lang="ts">
  /** The frame: where one is, how it is read, and the place itself. */
  import { untrack } from "svelte";
  import { Button, Dialog, Pair, TurnMark } from "./kit";
  import { keys } from "./state/keys.svelte";
  import { preferences } from "./state/preferences.svelte";
  import { reach } from "./state/reach.svelte";
  import { route } from "./state/route.svelte";
  import Bench from "./places/bench/Page.svelte";
  import { shopState } from "./state/shop.svelte";
  import Due from "./places/due/Page.svelte";
  import Drawer from "./places/drawer/Page.svelte";
  import Editor from "./places/engines/Editor.svelte";
  import Engines from "./places/engines/Page.svelte";
  import History from "./places/history/Page.svelte";
  import Shop from "./places/shop/Page.svelte";
  import WhoWorks from "./places/bench/WhoWorks.svelte";
  import StageFrame from "./card/StageFrame.svelte";
  import { isStage, kindOf } from "./card/registry";

  const place = $derived.by(() => {
    const [, first = "", second = "", third = ""] = route.path.split("/");
    if (first === "") return { name: "bench" as const };
    if (first === "cards" && /^\d+$/.test(second) && (third === "" || isStage(third)))
      return {
        name: "card" as const,
        id: Number(second),
        stage: third !== "" && isStage(third) ? third : null,
      };
    if (first === "engines" && /^\d+$/.test(second) && third === "years")
      return { name: "years" as const, id: Number(second) };
    if (first === "due") return { name: "due" as const };
    if (first === "engines" && second === "") return { name: "engines" as const };
    if (first === "engines" && (second === "new" || /^\d+$/.test(second)))
      return { name: "engine" as const, id: second === "new" ? null : Number(second) };
    if (first === "drawer") return { name: "drawer" as const };
    if (first === "history" && /^(card|engine|piece|shop)$/.test(second) && /^\d+$/.test(third))
      return { name: "history" as const, kind: second, id: Number(third) };
    if (first === "shop") return { name: "shop" as const };
    return { name: "nowhere" as const };
  });
  const here = $derived(
    place.name === "card" ? shopState.shop?.cards.find((card) => card.id === place.id) : undefined,
  );

  if (untrack(() => place.name) !== "bench") void shopState.load();

  $effect(() =>
    keys.register([
      { key: "?", says: "Show the keys", act: () => (keys.helpOpen = true), inEntry: true },
      {
        key: "u",
        says: "mm or thou",
        act: () => preferences.setUnit(preferences.unit === "mm" ? "in" : "mm"),
        inEntry: true,
      },
      {
        key: "v",
        says: "Day or night",
        act: () => preferences.setLight(preferences.light === "day" ? "night" : "day"),
        inEntry: true,
      },
      { key: "b", says: "Back to the bench", act: () => route.go("/"), inEntry: true },
    ]),
  );
  const entryKeys = [
    { key: "Enter", says: "Write down what is typed, take the next valve" },
    { key: "Backspace", says: "In an empty field: bring back what was written, to correct it" },
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
</script>

<svelte:window onkeydown={(event) => keys.listen(event)} onclick={route.follow} />
<svelte:head><title>{here ? `${here.label} · Plimb` : "Plimb"}</title></svelte:head>

<div
  class="flex h-dvh flex-col print:block print:h-auto {place.name === 'card'
    ? ''
    : 'overflow-auto'}"
>
  <header
    class="no-print bg-paper border-ink flex min-h-14 shrink-0 max-sm:min-h-12 items-center gap-3 border-b px-3"
  >
    <a
      href="/"
      class="flex min-h-11 items-center gap-2 text-xl font-[680]"
      aria-label="Plimb: to the bench"
    >
      <svg viewBox="0 0 22 26" class="h-6" fill="none" stroke="currentColor" aria-hidden="true">
        <path d="M1 8h20M1 18h20" stroke-width="2" />
        <path d="M11 0v5M11 21v5" stroke-width="1.5" />
        <path d="M11 10v6" stroke="var(--now)" stroke-width="3.2" />
      </svg>
      <span class="max-sm:sr-only">Plimb</span>
    </a>
    {#if here}
      <span class="border-line min-w-0 truncate border-l pl-3 font-[560]">{here.label}</span>
    {/if}
    {#if place.name !== "card"}
      <nav class="border-line flex border-l pl-1" aria-label="Places">
        {#each [{ href: "/", says: "Bench" }, { href: "/engines", says: "Engines" }, { href: "/drawer", says: "Drawer" }, { href: "/shop", says: "Shop" }] as one (one.href)}
          <a
            href={one.href}
            class="flex min-h-11 items-center px-2.5 font-[560] {route.path === one.href
              ? 'underline decoration-2 underline-offset-8'
              : ''}"
            aria-current={route.path === one.href ? "page" : undefined}>{one.says}</a
          >
        {/each}
      </nav>
    {/if}
    <div class="ml-auto flex items-center gap-1.5">
      <WhoWorks />
      <div class={place.name === "card" ? "" : "max-sm:hidden"}>
        <Pair
          label="Gaps in"
          value={preferences.unit}
          items={[
            { value: "mm", label: "mm" },
            { value: "in", label: "thou" },
          ]}
          onchange={(unit) => preferences.setUnit(unit)}
        />
      </div>
      {#if place.name === "card" && place.stage && !kindOf(place.stage).whole}
        <Button
          kind="bare"
          aria-label="Turn the drawing by a quarter"
          onclick={() => keys.press("r")}
        >
          <TurnMark /><span class="max-md:hidden">turn the drawing</span>
        </Button>
      {/if}
      <Button
        kind="bare"
        aria-label={preferences.light === "day" ? "Night colours" : "Day colours"}
        onclick={() => preferences.setLight(preferences.light === "day" ? "night" : "day")}
      >
        <svg viewBox="0 0 20 20" class="h-5 w-5" aria-hidden="true">
          <circle cx="10" cy="10" r="7" fill="none" stroke="currentColor" stroke-width="1.6" />
          <path d="M10 3a7 7 0 0 1 0 14z" fill="currentColor" />
        </svg>
      </Button>
      <Button
        kind="bare"
        aria-label="Keys"
        onclick={() => (keys.helpOpen = true)}
        class="max-sm:hidden">?</Button
      >
    </div>
  </header>
  {#if reach.away}
    <p class="no-print border-now bg-wash border-b-2 px-4 py-2 leading-5" role="status">
      <b>The server does not answer.</b> What you see is as it was here last. Readings are kept in this
      browser and sent when it does.
    </p>
  {/if}
  {#if reach.old}
    <p
      class="no-print border-now bg-wash flex flex-wrap items-center gap-3 border-b-2 px-4 py-2"
      role="status"
    >
      <span class="min-w-52 flex-1"><b>Plimb was updated.</b> This page is from before.</span>
      <Button kind="now" onclick={() => location.reload()}>Load it anew</Button>
    </p>
  {/if}
  {#if place.name === "bench"}
    <Bench />
  {:else if place.name === "card"}
    {#key place.id}
      <StageFrame id={place.id} stage={place.stage} />
    {/key}
  {:else if place.name === "engines"}
    <Engines />
  {:else if place.name === "engine"}
    {#key place.id}<Editor id={place.id} />{/key}
  {:else if place.name === "years"}
    {#key place.id}
      {#await import("./places/years/Page.svelte") then { default: Years }}<Years
          id={place.id}
        />{/await}
    {/key}
  {:else if place.name === "due"}
    <Due />
  {:else if place.name === "drawer"}
    <Drawer />
  {:else if place.name === "history"}
    {#key route.path}<History kind={place.kind} number={place.id} />{/key}
  {:else if place.name === "shop"}
    <Shop />
  {:else}
    <main class="m-auto p-6">
      <h1 class="text-2xl">There is nothing at this address</h1>
      <p class="my-3">It may be an old link.</p>
      <Button kind="now" href="/">To the bench</Button>
    </main>
  {/if}
</div>

<Dialog bind:open={keys.helpOpen} title="Keys">
  <table class="w-full">
    <tbody>
      {#each [...entryKeys, ...keys.acts.filter((act) => act.key !== "Enter")] as act (act.key)}
        <tr class="border-line border-b">
          <th scope="row" class="py-1.5 pr-4 text-left font-[620] whitespace-nowrap"
            >{faces[act.key] ?? act.key}</th
          >
          <td>{act.says}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</Dialog>
