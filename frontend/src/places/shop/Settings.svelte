<script lang="ts">
  /** The shop's settings, as the server lists them: a form a group, only what changed is sent. */
  import { type Refusal, type Schemas, answer, api } from "../../api/client";
  import { Button, Field, Form, Select } from "../../kit";
  import { Draft } from "../../state/draft.svelte";
  import { shopState } from "../../state/shop.svelte";

  type Setting = Schemas["SettingOut"];

  let settings = $state.raw<readonly Setting[]>([]);
  let drafts = $state.raw<Record<string, Draft>>({});
  /** What came of the last save, by the group it was of. */
  let came = $state<Record<string, string>>({});
  let refused = $state.raw<Record<string, Refusal | null>>({});
  const groups = $derived([...new Set(settings.map((one) => one.group))]);
  /** What Practice found, where one comes from there to take it over; nothing is saved by that. */
  const found = new URLSearchParams(location.search).get("hand") ?? "";
  const brought = /^0\.0\d{1,3}$/.test(found) ? found : "";

  function take(all: readonly Setting[]): void {
    settings = all;
    for (const { name } of all)
      drafts[name] ??= new Draft(() => settings.find((one) => one.name === name)?.value ?? "");
  }
  async function load(): Promise<void> {
    try {
      take((await answer(api.GET("/api/settings"))).settings);
      const hand = drafts.hand_nm;
      if (brought && hand && !hand.changed && hand.value !== brought) {
        hand.value = brought;
        setTimeout(() => document.getElementById("hand_nm")?.focus());
      }
    } catch (error) {
      came = { [groups[0] ?? ""]: (error as Refusal).sentence };
    }
  }
  async function save(group: string): Promise<void> {
    const mine = settings.filter((one) => one.group === group && drafts[one.name]?.changed);
    const body = Object.fromEntries(mine.map(({ name }) => [name, drafts[name]?.value ?? ""]));
    const sent = answer(api.PATCH("/api/settings", { body })).then(
      (now) => {
        take(now.settings);
        [refused, came] = [{}, { [group]: "Saved." }];
        void shopState.load();
        return true;
      },
      (error: unknown) => {
        refused = { [group]: error as Refusal };
        came = {};
        return false;
      },
    );
    await Promise.all(mine.map(({ name }) => drafts[name]?.save(() => sent)));
  }
  void load();
</script>

<div class="grid grid-cols-2 gap-x-8 gap-y-6 max-md:grid-cols-1">
  {#each groups as group, nth (group)}
    <section aria-labelledby="settings-{nth}" class="border-ink border-t-2 pt-2">
      <h2 id="settings-{nth}" class="text-lg">{group}</h2>
      <Form
        class="grid grid-cols-2 items-end gap-2"
        refusal={refused[group] ?? null}
        onsend={() => save(group)}
      >
        {#each settings.filter((one) => one.group === group) as one (one.name)}
          {@const draft = drafts[one.name]}
          {#if draft && one.kind === "choice"}
            <Select
              label={one.says}
              value={draft.value}
              items={one.choices}
              onchange={(to) => (draft.value = to)}
            />
          {:else if draft}
            <Field
              label={one.unit ? `${one.says}, ${one.unit}` : one.says}
              class={one.kind === "text" || one.unit === "mm" ? "col-span-2" : ""}
              kind={one.kind as "text" | "whole" | "decimal"}
              id={one.name}
              at={one.name}
              bind:value={draft.value}
              placeholder={one.usual}
              help={one.help}
            />
          {/if}
          {#if one.name === "hand_nm" && brought && one.value !== brought}
            <p class="border-now bg-wash col-span-2 border-l-4 py-1 pl-3 leading-5">
              {brought} comes from Practice, where the engine, its light and part of its hand are made
              up. Measure one real gap ten times first: if those differ by more, write that.
            </p>
          {/if}
        {/each}
        <Button type="submit" class="col-span-2">Save</Button>
      </Form>
      {#if came[group]}<p class="pt-2" role="status">{came[group]}</p>{/if}
    </section>
  {/each}
</div>
