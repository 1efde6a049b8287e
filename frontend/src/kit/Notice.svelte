<script lang="ts">
  /** Something to be seen: what to do now, what is wrong, or what stands. */
  import type { Snippet } from "svelte";

  let {
    kind = "wrong",
    class: more = "",
    children,
  }: { kind?: "now" | "wrong" | "edge"; class?: string; children: Snippet } = $props();

  const looks = {
    now: "border-now bg-wash border-l-4 py-2 pr-2 pl-3",
    wrong: "text-tight font-[560]",
    edge: "border-tight border-l-4 pl-3",
  };
  const roles = { now: undefined, wrong: "alert", edge: undefined } as const;
</script>

<div class="{looks[kind]} {more}" role={roles[kind]}>{@render children()}</div>
