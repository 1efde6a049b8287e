<script lang="ts">
  /** Who works at this screen: a name, then its code; nothing while nobody is set up. */
  import { Button, Dialog, Field, Form } from "../../kit";
  import { type Person, people } from "../../state/people.svelte";

  void people.load();

  let chosen = $state<Person | null>(null);
  let code = $state("");
  $effect(() => {
    if (people.asking) return;
    chosen = null;
    code = "";
  });
  async function signIn(): Promise<void> {
    if (chosen) await people.signIn(chosen.id, code);
    code = "";
  }
</script>

{#if people.setUp}
  <Button
    kind={people.here ? "bare" : "now"}
    class="max-w-48"
    aria-label={people.here ? `${people.here.name} works here: change` : "Who works here?"}
    onclick={() => (people.asking = true)}
  >
    <svg viewBox="0 0 20 20" class="h-5 w-5 shrink-0" fill="none" aria-hidden="true">
      <path
        d="M10 2.5v6M6.5 8.5h7l2 9h-11z"
        stroke="currentColor"
        stroke-width="1.6"
        stroke-linejoin="round"
      />
    </svg>
    <span class="truncate max-md:sr-only">{people.here?.name ?? "Who works?"}</span>
  </Button>
  <Dialog
    bind:open={people.asking}
    title={chosen ? chosen.name : "Who works here?"}
    says={chosen ? "" : "What you write down stands under your name."}
  >
    {#if chosen}
      <Form refusal={people.refusal} onsend={signIn}>
        <Field
          label="Code"
          type="password"
          autocomplete="off"
          kind="figures"
          input="text-2xl tracking-widest"
          at="code"
          bind:value={code}
          autofocus
        />
        {#snippet foot()}
          <div class="flex gap-2">
            <Button kind="now" type="submit" class="min-h-12 flex-1 text-lg">Start work</Button>
            <Button
              onclick={() => {
                chosen = null;
                people.refusal = null;
              }}>Somebody else</Button
            >
          </div>
        {/snippet}
      </Form>
    {:else}
      <ul class="border-line border-t">
        {#each people.working as one (one.id)}
          <li class="border-line border-b">
            <button
              type="button"
              class="hover:bg-wash flex min-h-14 w-full items-center justify-between px-2 text-left text-lg font-[560]"
              onclick={() => (chosen = one)}
            >
              <span class="min-w-0 truncate">{one.name}</span>
              {#if one.id === people.here?.id}<span class="text-soft text-note">at work here</span
                >{/if}
            </button>
          </li>
        {/each}
      </ul>
      {#if people.here}
        <Button class="mt-4 w-full" onclick={() => void people.signOut()}
          >{people.here.name} stops work here</Button
        >
      {/if}
    {/if}
  </Dialog>
{/if}
