<script lang="ts">
  import { Button } from "bits-ui";
  import type { Snippet } from "svelte";

  let {
    children,
    kind = "plain",
    type = "button",
    class: more = "",
    ...rest
  }: {
    children: Snippet;
    kind?: "now" | "plain" | "bare";
    class?: string;
    href?: string;
    type?: "button" | "submit";
    disabled?: boolean;
    title?: string;
    "aria-label"?: string;
    "aria-pressed"?: boolean;
    "aria-expanded"?: boolean;
    id?: string;
    onclick?: (event: MouseEvent) => void;
  } = $props();

  const looks = {
    now: "bg-now text-on-now border-now hover:brightness-110",
    plain: "bg-sheet border-rule hover:border-ink",
    bare: "border-transparent hover:border-line",
  };
</script>

<Button.Root
  {type}
  class="inline-flex min-h-11 min-w-11 items-center justify-center gap-2 border px-3.5 py-1.5 font-[560] select-none disabled:opacity-55 {looks[
    kind
  ]} {more}"
  {...rest as Record<string, unknown>}
>
  {@render children()}
</Button.Root>
