<script lang="ts">
  /** A form that is sent by its own button or Enter, and shows what was refused of it. */
  import type { Snippet } from "svelte";
  import type { Refusal } from "../api/client";
  import Notice from "./Notice.svelte";
  import { tellFields } from "./refused";

  let {
    onsend,
    refusal = null,
    class: more = "flex flex-col gap-3",
    several = false,
    children,
    foot,
  }: {
    onsend: () => unknown;
    refusal?: Refusal | string | null;
    class?: string;
    /** Sent again while the first is on its way, it is another one, and not a second press. */
    several?: boolean;
    children: Snippet;
    /** What stands below what was refused: the button that sends it. */
    foot?: Snippet;
  } = $props();

  tellFields(() =>
    refusal && typeof refusal !== "string" ? refusal : { field: null, offers: [] },
  );
  /** Pressed twice it is sent once: not again before the first time is through. */
  let sending = false;
  async function send(): Promise<void> {
    if (sending && !several) return;
    sending = true;
    try {
      await onsend();
    } finally {
      sending = false;
    }
  }
  const sentence = $derived(typeof refusal === "string" ? refusal : refusal?.sentence);
</script>

<form
  class={more}
  onsubmit={(event) => {
    event.preventDefault();
    void send();
  }}
>
  {@render children()}
  {#if sentence}<Notice class="col-span-full">{sentence}</Notice>{/if}
  {@render foot?.()}
</form>
