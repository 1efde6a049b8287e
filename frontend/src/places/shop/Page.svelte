<script lang="ts">
  /** Shop: its settings, the feeler sets, the instruments, people, copies, keys. */
  import { type Refusal, answer, api } from "../../api/client";
  import { Button, Field, Form, PlaceFrame } from "../../kit";
  import { shopState } from "../../state/shop.svelte";
  import Blades from "./Blades.svelte";
  import Copies from "./Copies.svelte";
  import Keys from "./Keys.svelte";
  import People from "./People.svelte";
  import Settings from "./Settings.svelte";

  void shopState.load();

  let instrument = $state("");
  let doubt = $state("0.004");
  let said = $state("");

  async function add(): Promise<void> {
    const name = instrument;
    instrument = "";
    try {
      shopState.shop = await answer(api.POST("/api/instruments", { body: { name, doubt } }));
      said = "Saved.";
    } catch (error) {
      said = (error as Refusal).sentence;
      instrument ||= name;
    }
  }
</script>

<PlaceFrame title="Shop" refusal={shopState.refusal} onretry={() => shopState.load()}>
  {#snippet acts()}<Button href="/history/shop/1">What happened</Button>{/snippet}
  <Settings />
  <Blades />
  <section aria-labelledby="instruments" class="border-ink mt-8 max-w-xl border-t-2 pt-2">
    <h2 id="instruments" class="text-lg">Micrometers and callipers</h2>
    <ul>
      {#each shopState.shop?.instruments ?? [] as one (one.id)}
        <li class="border-line flex min-h-11 items-center justify-between border-b">
          <span>{one.name}</span><span class="figures">±{one.doubt.mm} mm</span>
        </li>
      {/each}
    </ul>
    <Form class="mt-2 flex items-end gap-2" onsend={add}>
      <Field label="One more" class="flex-1" bind:value={instrument} />
      <Field label="Good to ±" class="w-28" kind="figures" bind:value={doubt} />
      <Button type="submit">Add it</Button>
    </Form>
    {#if said}<p class="pt-2" role="status">{said}</p>{/if}
  </section>
  <People />
  <Copies />
  <Keys />
</PlaceFrame>
