<script lang="ts">
  /** One field with its label; what is wrong with it shows on its edge. */
  import type { HTMLInputAttributes } from "svelte/elements";

  let {
    label,
    value = $bindable(""),
    class: place = "",
    look = "text-soft",
    input = "",
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
    invalid?: boolean;
  } & Omit<HTMLInputAttributes, "value" | "class"> = $props();
</script>

<label class={place}>
  <span class={look}>{label}</span>
  <input class="field {input}" bind:value aria-invalid={invalid} {...rest} />
</label>
