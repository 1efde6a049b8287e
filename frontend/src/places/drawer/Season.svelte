<script lang="ts">
  /** What to keep for a year, by the wear of the shop's engines, against what lies there. */
  import { type Schemas, answer, api } from "../../api/client";
  import { Button } from "../../kit";
  import { Attempt } from "../../state/attempt.svelte";

  let { family_id }: { family_id: number } = $props();

  const attempt = new Attempt();
  let found = $state.raw<Schemas["AssortmentOut"] | null>(null);
  void attempt.at(async () => {
    found = await answer(api.GET("/api/drawer/assortment"));
  });
  const family = $derived(found?.families.find((one) => one.id === family_id));
  const buy = $derived(family?.sizes.reduce((sum, one) => sum + one.buy, 0) ?? 0);
</script>

<section class="border-ink mt-6 border-t-2 pt-2">
  <h2 class="text-lg">For the next year</h2>
  {#if attempt.refusal}
    <p>{attempt.refusal.sentence}</p>
  {:else if found}
    {#if family?.sizes.length}
      <div class="relative overflow-x-auto">
        <table class="figures w-full max-w-[560px]">
          <thead>
            <tr class="border-rule border-b text-left text-note">
              <th class="py-1 font-[620]">Size</th>
              <th class="font-[620]">Keep</th>
              <th class="font-[620]">There</th>
              <th class="font-[620]">Buy</th>
              <th class="font-[620]">Likely used</th>
            </tr>
          </thead>
          <tbody>
            {#each family.sizes as one (one.size.nm)}
              <tr class="border-line border-b">
                <td class="py-1">{one.size.mm}</td>
                <td>{one.keep}</td>
                <td>{one.there}</td>
                <td class={one.buy ? "font-[680]" : "text-soft"}>{one.buy || "–"}</td>
                <td class="text-soft">{one.expected}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
      <p class="py-1">
        {buy === 0
          ? "All of it lies there."
          : `${buy} to buy${family.cost === null ? "; what they cost is not known" : `, ${family.cost} as singles`}.`}
        {family.kit}
      </p>
      <Button href="/api/drawer/assortment.csv" kind="bare">Buy list as CSV</Button>
    {:else}
      <p class="py-1">Nothing is likely to be wanted of this family, as far as is known.</p>
    {/if}
    <p class="text-soft max-w-[70ch] py-1 text-note leading-5">{found.said}</p>
  {:else}
    <p class="text-soft">Looking over the engines…</p>
  {/if}
</section>
