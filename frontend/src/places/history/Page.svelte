<script lang="ts">
  /** What happened on a card, to a piece, to an engine, in the shop: the newest first. */
  import { type Schemas, answer, api } from "../../api/client";
  import { Button, PlaceFrame } from "../../kit";
  import { Attempt } from "../../state/attempt.svelte";
  import { momentWords } from "../../kit/days";

  let { kind, number }: { kind: string; number: number } = $props();

  type Happened = Schemas["HappenedOut"];
  const attempt = new Attempt();
  let about = $state("");
  let lines = $state.raw<readonly Happened[]>([]);
  let earlier = $state(false);
  let fetched = $state(false);

  async function load(before: number | null = null): Promise<void> {
    await attempt.at(async () => {
      const found = await answer(
        api.GET("/api/history/{kind}/{number}", {
          params: { path: { kind, number }, query: before === null ? {} : { before } },
        }),
      );
      about = found.about;
      lines = before === null ? found.happened : [...lines, ...found.happened];
      earlier = found.earlier;
      fetched = true;
    });
  }
  void load();

  const back: Record<string, string> = { card: "/cards", engine: "/engines" };
  const place = $derived(
    back[kind] ? `${back[kind]}/${number}` : kind === "piece" ? "/drawer" : "/shop",
  );
</script>

<PlaceFrame
  title={about ? `What happened: ${about}` : "What happened"}
  refusal={attempt.refusal}
  onretry={() => load()}
>
  {#snippet acts()}<Button href={place}>Back to it</Button>{/snippet}
  <div class="border-ink border-t-2"></div>
  {#if fetched && lines.length === 0}
    <p class="text-soft py-6">Nothing yet since this is kept.</p>
  {/if}
  <ol>
    {#each lines as one (one.number)}
      <li
        class="border-line grid grid-cols-[9.5rem_11rem_minmax(0,1fr)] gap-x-4 border-b py-1.5 leading-6 max-md:grid-cols-[minmax(0,1fr)_auto]"
      >
        <span class="figures text-soft text-note max-md:order-2">{momentWords(one.at)}</span>
        <span class="truncate font-[560] {one.who ? '' : 'text-soft'}"
          >{one.who || "nobody said"}</span
        >
        <span class="min-w-0 max-md:order-3 max-md:col-span-2">
          {one.what}
          {#each one.changes as change, n (n)}
            <span class="block text-note leading-5 break-words">
              <span class="text-soft">{change.name}</span>
              {#if change.was !== null}<s>{change.was}</s> →{/if}
              <b class="font-[560]">{change.now ?? "nothing"}</b>
            </span>
          {/each}
        </span>
      </li>
    {/each}
  </ol>
  {#if earlier}
    <Button class="my-4" onclick={() => void load(lines.at(-1)?.number ?? null)}>Earlier</Button>
  {/if}
  <p class="text-soft py-3 text-note">Moments are UTC.</p>
</PlaceFrame>
