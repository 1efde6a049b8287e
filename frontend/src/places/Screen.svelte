<script lang="ts">
  /** How this screen is read and heard: kept in this browser, not in the record. */
  import { Check, Dialog, ToggleGroup } from "../kit";
  import { preferences } from "../state/preferences.svelte";

  let { open = $bindable(false) }: { open?: boolean } = $props();
</script>

<Dialog bind:open title="This screen" says="Kept in this browser alone.">
  <div class="flex flex-col gap-3">
    <ToggleGroup
      label="Light"
      value={preferences.light}
      items={[
        { value: "day", label: "day" },
        { value: "night", label: "night" },
      ]}
      onchange={(light) => preferences.setLight(light)}
    />
    <Check
      label="Large print, for gloves and for two metres away"
      checked={preferences.large}
      onchange={(event) => preferences.set("large", event.currentTarget.checked)}
    />
    <Check
      label="Speak back what was written, where this system has a voice"
      checked={preferences.speaks}
      onchange={(event) => preferences.set("speaks", event.currentTarget.checked)}
    />
    <Check
      label="A tone and a tap with each verdict"
      checked={preferences.sounds}
      onchange={(event) => preferences.set("sounds", event.currentTarget.checked)}
    />
  </div>
</Dialog>
