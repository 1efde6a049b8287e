<script lang="ts">
  /**
   * One field with its label; what is wrong with it shows on its edge. It is either bound, or what
   * is typed is told by `oninput` or `onchange` and the owner makes of it what it will: then what
   * was typed stands until the owner has something else to show.
   */
  import { untrack } from "svelte";
  import type { HTMLInputAttributes } from "svelte/elements";
  import Help from "./Help.svelte";
  import Offers from "./Offers.svelte";
  import { refusedOf } from "./refused";

  let {
    label,
    value = $bindable(),
    class: place = "block",
    look = "text-soft",
    input = "",
    kind = "text",
    at = "",
    help = "",
    invalid = false,
    oninput,
    onchange,
    ...rest
  }: {
    label: string;
    value?: string | number | null | undefined;
    /** Classes of the label around it. */
    class?: string;
    /** Classes of the label's words. */
    look?: string;
    /** Classes of the field itself, besides its own. */
    input?: string;
    /** Figures are written narrow; a phone shows its keys for whole or decimal ones. */
    kind?: "text" | "figures" | "whole" | "decimal";
    /** What a refusal of the form around it calls this field. */
    at?: string;
    /** What it is, where its figure is found, an example. */
    help?: string;
    invalid?: boolean;
  } & Omit<HTMLInputAttributes, "value" | "class"> = $props();

  const refusal = refusedOf();
  const refused = $derived(at !== "" && refusal().field === at);
  /** Offered until one of them is taken. */
  const offers = $derived(refused ? refusal().offers : []);
  const id = $props.id();
  let box = $state<HTMLInputElement>();

  /** What stood here when it was refused. */
  let stood = $state("");
  $effect(() => {
    if (refused && refusal()) untrack(() => (stood = `${now}`));
  });
  const told = $derived(oninput !== undefined || onchange !== undefined);
  /** What was typed, and what the owner showed right after. */
  let typed = $state.raw<{ text: string; seen: typeof value } | null>(null);
  const shown = $derived(typed && typed.seen === value ? typed.text : (value ?? ""));
  $effect(() => {
    if (untrack(() => typed) && typed?.seen !== value) typed = null;
  });
  const now = $derived(told ? shown : value);
  const hear: typeof oninput = (event) => {
    const text = event.currentTarget.value;
    oninput?.(event);
    typed = { text, seen: value };
  };

  /** Type what was offered, as fingers would: whoever listens to the field hears of it. */
  function type(offer: string): void {
    if (!box) return;
    box.value = offer;
    box.dispatchEvent(new InputEvent("input", { bubbles: true }));
    box.focus();
  }
  const modes = {
    text: undefined,
    figures: undefined,
    whole: "numeric",
    decimal: "decimal",
  } as const;
</script>

{#snippet field()}
  {#if told}
    <input
      {id}
      class="field {kind === 'text' ? '' : 'figures'} {input}"
      inputmode={modes[kind]}
      value={shown}
      oninput={hear}
      {onchange}
      bind:this={box}
      aria-invalid={invalid || refused}
      {...rest}
    />
  {:else}
    <input
      {id}
      class="field {kind === 'text' ? '' : 'figures'} {input}"
      inputmode={modes[kind]}
      bind:value
      bind:this={box}
      aria-invalid={invalid || refused}
      {...rest}
    />
  {/if}
{/snippet}

{#if help}
  <!-- the help stands beside the label: a tap on it is none on the field -->
  <div class={place}>
    <label class={look} id="{id}-label" for={rest.id ?? id}>{label}</label>
    <Help of="{id}-label" says={help} />
    {@render field()}
  </div>
{:else}
  <label class={place}>
    <span class={look}>{label}</span>
    {@render field()}
  </label>
{/if}
{#if offers.length && (`${now}` === stood || !offers.includes(`${now}`))}
  <Offers {offers} onpick={type} class="col-span-full" />
{/if}
