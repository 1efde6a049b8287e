<script lang="ts">
  /** The frame: where one is, how it is read, and the place itself. */
  import { untrack } from "svelte";
  import { Button, Dialog, ToggleGroup, UndoMark } from "./kit";
  import { TurnMark } from "./trade";
  import { keys } from "./state/keys.svelte";
  import { preferences } from "./state/preferences.svelte";
  import { reach } from "./state/reach.svelte";
  import { undo } from "./state/undo.svelte";
  import { BASE, PRACTISING, route } from "./state/route.svelte";
  import Bench from "./places/bench/Page.svelte";
  import { shopState } from "./state/shop.svelte";
  import WhoWorks from "./places/bench/WhoWorks.svelte";
  import { kindOf, STAGES } from "./card/registry";
  import Opened from "./places/Opened.svelte";
  import Screen from "./places/Screen.svelte";
  import { fetchAhead, placeAt } from "./places/registry";

  const PLACES = [
    { href: "/sum", says: "Quick sum" },
    { href: "/", says: "Bench" },
    { href: "/engines", says: "Engines" },
    { href: "/drawer", says: "Drawer" },
    { href: "/shop", says: "Shop" },
    { href: "/practice/", says: "Practice", apart: true },
  ];
  const PRACTICE = [
    { href: "/", says: "Lessons" },
    { href: "/handbook", says: "Handbook" },
  ];
  /** What each place is called, and its page of the handbook. */
  const SAID: Record<string, { title: string; page: string }> = {
    bench: { title: "Bench", page: "bench" },
    sum: { title: "Quick sum", page: "quick-sum" },
    engine: { title: "Engine", page: "engines" },
    engines: { title: "Engines", page: "engines" },
    years: { title: "Over the years", page: "years" },
    drawer: { title: "Drawer", page: "drawer" },
    shop: { title: "Shop", page: "shop" },
    due: { title: "What is due", page: "due" },
    together: { title: "Planned together", page: "together" },
    history: { title: "What happened", page: "history" },
    handbook: { title: "Handbook", page: "index" },
    practice: { title: "Practice", page: "practice" },
  };
  const place = $derived(placeAt(route.path));
  let screen = $state(false);
  const here = $derived(shopState.shop?.cards.find((card) => card.id === place.card));

  if (PRACTISING) document.documentElement.dataset.practice = "";
  if (untrack(() => place.name) !== "bench") void shopState.load();
  fetchAhead();

  $effect(() =>
    keys.register([
      {
        key: "?",
        says: "Help for where you are",
        act: () => (keys.helpOpen = true),
        inEntry: true,
      },
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
  /** Plain places go by their address. */
  const said = $derived(SAID[place.name] ?? SAID[place.key]);
  /** From the top of the page to what is to be done on it. */
  function skip(event: MouseEvent): void {
    event.preventDefault();
    const acts = ["#next-stage", "#take-plan", "#is-in", "#entry", "main .bg-now"];
    const found = [...acts, "main input", "main a, main button"].map((one) =>
      document.querySelector<HTMLElement>(one),
    );
    found.find((one) => one !== null)?.focus();
  }
  /** Every place and stage has a title of its own. */
  const title = $derived(
    [
      place.stage ? STAGES.find((one) => one.stage === place.stage)?.name : "",
      here?.label,
      said?.title,
      "Plimb",
    ]
      .filter(Boolean)
      .join(" · "),
  );
  /** The page of the handbook for where one is. */
  const page = $derived(place.stage ?? said?.page ?? "index");
</script>

<svelte:window onkeydown={(event) => keys.listen(event)} onclick={route.follow} />
<svelte:head><title>{title}</title></svelte:head>

<a
  href="#app"
  class="bg-now text-on-now fixed top-1 left-1 z-50 -translate-y-20 px-4 py-2.5 focus:translate-y-0"
  onclick={skip}>To what is to be done</a
>
<div
  class="flex h-dvh scroll-pb-20 flex-col print:block print:h-auto {place.name === 'card'
    ? ''
    : 'overflow-auto'}"
>
  <header
    class="no-print bg-paper border-ink flex min-h-14 shrink-0 items-center gap-3 border-b px-3 max-sm:min-h-12 max-sm:flex-wrap max-sm:gap-y-0"
  >
    <a
      href="/"
      class="flex min-h-11 items-center gap-2 text-xl font-[680]"
      aria-label={PRACTISING ? "Plimb: to the lessons" : "Plimb: to the bench"}
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
      <nav
        class="border-line flex border-l pl-1 max-sm:order-last max-sm:-mx-3 max-sm:w-screen max-sm:justify-between max-sm:border-t max-sm:border-l-0 max-sm:px-1"
        aria-label="Places"
      >
        {#each PRACTISING ? PRACTICE : PLACES as one (one.href)}
          <a
            href={one.href}
            rel={"apart" in one ? "external" : undefined}
            class="flex min-h-11 items-center px-2.5 font-[560] max-sm:px-1.5 max-sm:text-note {route.path ===
            one.href
              ? 'underline decoration-2 underline-offset-8'
              : ''}"
            aria-current={route.path === one.href ? "page" : undefined}>{one.says}</a
          >
        {/each}
      </nav>
    {/if}
    <div class="ml-auto flex items-center gap-1.5">
      {#if place.name === "card"}
        <Button
          kind="bare"
          id="undo"
          disabled={!undo.what}
          aria-label={undo.what ? `Undo ${undo.what}` : "Undo: nothing was done yet"}
          title={undo.what}
          onclick={() => keys.press("z")}
          class="max-sm:px-1.5"
        >
          <UndoMark /><span class="max-lg:hidden max-w-52 truncate"
            >Undo{undo.what ? ` ${undo.what}` : ""}</span
          >
        </Button>
      {/if}
      <WhoWorks />
      <div class={place.name === "card" ? "" : "max-md:hidden"}>
        <ToggleGroup
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
          <TurnMark /><span class="max-lg:hidden">turn the drawing</span>
        </Button>
      {/if}
      <Button
        kind="bare"
        aria-label={preferences.light === "day" ? "Night colours" : "Day colours"}
        onclick={() => preferences.setLight(preferences.light === "day" ? "night" : "day")}
        class={place.name === "card" ? "max-sm:hidden" : ""}
      >
        <svg viewBox="0 0 20 20" class="h-5 w-5" aria-hidden="true">
          <circle cx="10" cy="10" r="7" fill="none" stroke="currentColor" stroke-width="1.6" />
          <path d="M10 3a7 7 0 0 1 0 14z" fill="currentColor" />
        </svg>
      </Button>
      <Button
        kind="bare"
        aria-label="This screen"
        onclick={() => (screen = true)}
        class={place.name === "card" ? "max-sm:hidden" : ""}
      >
        <span class="text-small" aria-hidden="true">A</span><span
          class="text-xl font-[620]"
          aria-hidden="true">A</span
        >
      </Button>
      <Button kind="bare" aria-label="Help" onclick={() => (keys.helpOpen = true)}>?</Button>
    </div>
  </header>
  {#if BASE}
    <aside
      class="practice no-print flex flex-wrap items-center gap-x-4 border-b-2 px-4 py-1"
      aria-label={PRACTISING ? "Practice" : "The demo school"}
    >
      <span class="min-w-52 flex-1"
        >{#if PRACTISING}<b>Practice.</b> Nothing here is the shop's record.{:else}<b
            >The demo school.</b
          > Made up, to look at and to try; nothing here is your shop's.{/if}</span
      >
      <a class="min-h-11 content-center underline underline-offset-4" href="/" rel="external"
        >{PRACTISING ? "Leave practice" : "Back to your own"}</a
      >
    </aside>
  {/if}
  {#if reach.away}
    <p class="no-print border-now bg-wash border-b-2 px-4 py-2 leading-5" role="status">
      <b>The server does not answer.</b> What you see is as it was here last. What you do is kept in this
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
  {:else if place.load}
    {#key place.key}<Opened load={place.load} given={place.given} />{/key}
  {:else}
    <main class="m-auto p-6">
      <h1 class="text-2xl">There is nothing at this address</h1>
      <p class="my-3">It may be an old link.</p>
      <Button kind="now" href="/">To the bench</Button>
    </main>
  {/if}
</div>

<Screen bind:open={screen} />
<Dialog bind:open={keys.helpOpen} title="Help" wide>
  {#await import("./places/handbook/Help.svelte") then { default: Help }}
    <Help
      name={page}
      ongo={() => (keys.helpOpen = false)}
      onscreen={() => {
        keys.helpOpen = false;
        screen = true;
      }}
    />
  {/await}
</Dialog>
