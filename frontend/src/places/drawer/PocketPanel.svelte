<script lang="ts">
  /** What lies in one pocket, piece by piece: count it, look where a piece has been, take it out. */
  import type { Pocket, Shim } from "../../api/client";
  import { Button, Field, Form } from "../../kit";
  import type { DrawerState } from "./drawer.svelte";

  let {
    state: drawer,
    family_id,
    pocket,
  }: { state: DrawerState; family_id: number; pocket: Pocket } = $props();

  let counted = $state("");
  /** Its pieces, and of which pocket they are: they stay while the same one is asked for anew. */
  let fetched = $state.raw<{ nm: number; pieces: readonly Shim[] } | null>(null);
  const pieces = $derived(fetched?.nm === pocket.nominal.nm ? fetched.pieces : null);
  $effect(() => {
    const meant = pocket;
    void drawer.piecesOf(family_id, meant.nominal.nm).then((found) => {
      if (meant === pocket && found) fetched = { nm: meant.nominal.nm, pieces: found };
    });
  });
  let history = $state<readonly string[]>([]);
  let of = $state<number | null>(null);
  $effect(() => {
    counted = String(pocket.count);
    of = null;
  });
  async function look(shim: Shim): Promise<void> {
    of = of === shim.id ? null : shim.id;
    if (of !== null) history = await drawer.history(shim.id);
  }
</script>

<h2 class="flex items-baseline justify-between text-2xl font-[640]">
  <span class="figures">{pocket.nominal.mm}</span>
  <span class="text-soft text-base">{pocket.made ? "" : "not made in this family"}</span>
</h2>
{#if pocket.count === 0}
  <p class="text-soft py-2">Empty{pocket.low ? ", and below the low-stock line" : ""}.</p>
{:else if pieces === null}
  <p class="text-soft py-2" style:min-height="{Math.min(pocket.count, 6) * 53}px">
    Looking at its {pocket.count === 1 ? "shim" : `${pocket.count} shims`}…
  </p>
{/if}
<ul>
  {#each pieces ?? [] as piece (piece.id)}
    <li class="border-line border-b py-1">
      <div class="flex items-center gap-2">
        <button
          type="button"
          class="min-h-11 min-w-0 flex-1 text-left leading-5"
          aria-expanded={of === piece.id}
          onclick={() => void look(piece)}
        >
          <b class="figures text-[18px]">{piece.thickness.mm}</b>
          <span class="text-soft text-fine"
            >{piece.marked ? `marked ${piece.marked}, ` : ""}{piece.measured
              ? "measured"
              : "not measured"}{piece.condition === "sound" ? "" : `, ${piece.condition}`}</span
          >
        </button>
        <Button onclick={() => void drawer.takeOut(piece, "taken out of the drawer by hand")}
          >Take out</Button
        >
      </div>
      {#if of === piece.id}
        <ol class="text-soft pb-1 text-small leading-5">
          {#each history as line, n (n)}<li>{line}</li>{/each}
        </ol>
        <a class="text-small underline underline-offset-4" href="/history/piece/{piece.id}"
          >Who moved it, and when</a
        >
      {/if}
    </li>
  {/each}
</ul>
<Form
  class="mt-3 flex items-end gap-2"
  onsend={() => drawer.count(family_id, pocket.nominal.nm, Number(counted), pocket.count)}
>
  <Field label="Counted in the pocket" class="flex-1" kind="whole" bind:value={counted} />
  <Button type="submit">So many</Button>
</Form>
