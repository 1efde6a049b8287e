<script lang="ts">
  /** One field with its label; what is wrong with it shows on its edge. */
  import type { HTMLInputAttributes } from "svelte/elements";
  import Help from "./Help.svelte";
  import { refusedField } from "./refused";

  let {
    label,
    value = $bindable(""),
    class: place = "block",
    look = "text-soft",
    input = "",
    kind = "text",
    at = "",
    help = "",
    invalid = false,
    ...rest
  }: {
    label: string;
    value?: string | number | null;
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

  const refused = refusedField();
  const id = $props.id();
  const modes = {
    text: undefined,
    figures: undefined,
    whole: "numeric",
    decimal: "decimal",
  } as const;
</script>

{#snippet field()}
  <input
    {id}
    class="field {kind === 'text' ? '' : 'figures'} {input}"
    inputmode={modes[kind]}
    bind:value
    aria-invalid={invalid || (at !== "" && refused() === at)}
    {...rest}
  />
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
