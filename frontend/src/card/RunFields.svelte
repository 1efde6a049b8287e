<script lang="ts">
  /** How far a machine has run: a distance in the unit its counter counts, or hours, or both. */
  import { Field, ToggleGroup } from "../kit";

  let {
    distance = $bindable(""),
    measure = $bindable("km"),
    hours = $bindable(""),
  }: {
    distance?: string;
    measure?: "km" | "mi";
    hours?: string;
  } = $props();
</script>

<div
  class="col-span-2 grid grid-cols-[minmax(0,1fr)_auto_minmax(0,1fr)] items-end gap-2 max-sm:grid-cols-2"
>
  <Field
    label="Distance"
    kind="whole"
    bind:value={distance}
    at="distance"
    placeholder="on the counter"
  />
  <div class="max-sm:order-last max-sm:col-span-2">
    <ToggleGroup
      label="The counter counts"
      value={measure}
      items={["km", { value: "mi", label: "miles" }]}
      onchange={(to) => (measure = to)}
    />
  </div>
  <Field label="or hours run" kind="decimal" bind:value={hours} at="hours" />
</div>
