<script lang="ts">
  /** What sheets are signed with, whose files are known, and where a phone opens Plimb. */
  import { type Schemas, answer, api } from "../../api/client";
  import { Button, Cross, Field, Form } from "../../kit";
  import { Attempt } from "../../state/attempt.svelte";

  const attempt = new Attempt();
  let keys = $state.raw<Schemas["KeysOut"] | null>(null);
  let address = $state.raw<Schemas["AddressOut"] | null>(null);
  let name = $state("");
  let key = $state("");
  void attempt.at(async () => {
    keys = await answer(api.GET("/api/keys"));
    address = await answer(api.GET("/api/address"));
  });
  async function know(): Promise<void> {
    const body = { name, public: key };
    const done = await attempt.at(async () => {
      keys = await answer(api.POST("/api/keys", { body }));
    });
    if (done) name = key = "";
  }
  function forget(key_id: number): Promise<boolean> {
    const params = { path: { key_id } };
    return attempt.at(async () => {
      keys = await answer(api.DELETE("/api/keys/{key_id}", { params }));
    });
  }
</script>

<section
  aria-labelledby="keys"
  class="border-ink mt-8 grid grid-cols-2 gap-8 border-t-2 pt-2 max-md:grid-cols-1"
>
  <div>
    <h2 id="keys" class="text-lg">Keys</h2>
    <p class="text-soft text-note leading-5">
      Sheets and files leave the shop under its own key, and are told apart from changed ones by it.
      Whoever takes them in enters this:
    </p>
    <p class="figures py-2 break-all select-all">{keys?.own ?? ""}</p>
    <ul class="border-line border-t">
      {#each keys?.known ?? [] as one (one.id)}
        <li class="border-line flex min-h-11 items-center gap-3 border-b">
          <span class="min-w-0 flex-1 truncate font-[560]">{one.name}</span>
          <span class="text-soft figures text-note">{one.public.slice(0, 8)}…</span>
          <Button
            kind="bare"
            class="px-0"
            aria-label="Forget the key of {one.name}"
            onclick={() => void forget(one.id)}><Cross /></Button
          >
        </li>
      {/each}
    </ul>
    <Form class="mt-2 grid grid-cols-2 items-end gap-2" refusal={attempt.refusal} onsend={know}>
      <Field label="Another shop" at="name" bind:value={name} />
      <Field label="Its key" kind="figures" at="public" bind:value={key} />
      {#snippet foot()}<Button type="submit" class="col-span-2">Know this key</Button>{/snippet}
    </Form>
  </div>
  <div>
    <h2 class="text-lg">On a phone or tablet</h2>
    {#if address?.addresses.length}
      <div class="flex items-start gap-4 pt-2">
        <img
          class="w-36 shrink-0"
          alt="The address, to photograph"
          src="data:image/svg+xml,{encodeURIComponent(address.code)}"
        />
        <div class="min-w-0">
          {#each address.addresses.slice(0, 3) as one (one)}
            <p class="figures break-all">{one}</p>
          {/each}
        </div>
      </div>
      {#if address.authority}
        <ol class="list-decimal pt-3 pl-5 text-note leading-5">
          <li>Open the address; the tablet warns, because it does not know this shop yet.</li>
          <li>
            Fetch <a class="underline underline-offset-4" href="/api/address/authority.pem"
              >the shop’s authority</a
            > on it, and install it in its settings, under certificates.
          </li>
          <li>
            Look that its SHA-256 is the one below, then open the address again and put it on the
            home screen.
          </li>
        </ol>
        <p class="figures text-soft pt-2 text-tiny break-all">{address.authority}</p>
      {/if}
    {:else}
      <p class="text-soft text-note leading-5">
        Only this machine reaches Plimb now. With an owner set up, start it with
        <code>plimb serve --host 0.0.0.0</code>: it then says here where a phone opens it.
      </p>
    {/if}
  </div>
</section>
