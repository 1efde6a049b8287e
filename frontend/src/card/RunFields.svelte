<script lang="ts">
  /** How far a machine has run: a distance in the unit its counter counts, or hours, or both. */
  import { Field, ToggleGroup } from "../kit";

  let {
    distance = $bindable(""),
    measure = $bindable("km"),
    hours = $bindable(""),
    counts = null,
  }: {
    distance?: string;
    measure?: "km" | "mi";
    hours?: string;
    /** What the engine's counter counts, if that is known: it comes first. */
    counts?: string | null;
  } = $props();
  const byHours = $derived(counts === "h");
</script>

{#snippet run()}
  <Field
    label={byHours ? "Hours run" : "or hours run"}
    kind="decimal"
    bind:value={hours}
    at="hours"
    placeholder={byHours ? "on the counter" : ""}
  />
{/snippet}

<div
  class="col-span-2 grid grid-cols-[minmax(0,1fr)_auto_minmax(0,1fr)] items-end gap-2 max-sm:grid-cols-2"
>
  {#if byHours}{@render run()}{/if}
  <Field
    label={byHours ? "or a distance" : "Distance"}
    kind="whole"
    bind:value={distance}
    at="distance"
    placeholder={byHours ? "" : "on the counter"}
  />
  <div class="max-sm:order-last max-sm:col-span-2">
    <ToggleGroup
      label={byHours ? "The distance is in" : "The meter shows"}
      value={measure}
      items={["km", { value: "mi", label: "miles" }]}
      onchange={(to) => (measure = to)}
    />
  </div>
  {#if !byHours}{@render run()}{/if}
</div>
