<script lang="ts">
  /** A place whose script is fetched when it is first opened. */
  import { untrack } from "svelte";
  import { Button } from "../kit";
  import type { Place } from "./registry";

  const { load, given }: { load: NonNullable<Place["load"]>; given: Place["given"] } = $props();
  // fetched once: another stage of the same card is the same page, given something else
  const coming = untrack(() => load());
</script>

{#await coming}
  <p class="coming m-auto p-6" role="status">Opening …</p>
{:then { default: Page }}
  <Page {...given} />
{:catch}
  <main class="m-auto max-w-md p-6">
    <h1 class="text-2xl">This page could not be fetched</h1>
    <p class="my-3">
      The server was updated or does not answer. What you typed elsewhere is kept; load the page
      anew.
    </p>
    <Button kind="now" onclick={() => location.reload()}>Load it anew</Button>
  </main>
{/await}

<style>
  /* What opens at once says nothing first. */
  .coming {
    animation: come 0.2s 0.4s backwards;
  }
  @keyframes come {
    from {
      opacity: 0;
    }
  }
</style>
