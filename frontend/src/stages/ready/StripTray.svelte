<script lang="ts">
  /**
   * The strip tray: what came off, in order; on each part's outline a pocket a fastener,
   * where it lives. Read backwards it is the list for putting together again.
   */
  import type { Part } from "../../api/client";
  import { Button, Field, Fold, Form, ToggleGroup } from "../../kit";
  import { whole } from "../../kit/numbers";
  import { untrack } from "svelte";
  import { type Act, act } from "../../api/acts";
  import type { Job } from "../../card/job.svelte";
  import { Edits } from "../../card/edits.svelte";

  let { job }: { job: Job } = $props();

  type Way = "strip" | "refit";
  let way = $state<Way>("strip");
  let opened = $state<number | null>(null);
  let name = $state("");
  let length = $state("");
  let count = $state("1");
  let note = $state("");
  const tray = new Edits<readonly Part[]>(
    untrack(() => job),
    () => (job.card?.tray ?? []) as Part[],
  );
  const send = (parts: readonly Part[]): Act => act("tray", { parts: [...parts] });
  const parts = $derived(tray.value);
  const shown = $derived(
    parts
      .map((part, index) => ({ part, index }))
      .sort((a, b) => (way === "strip" ? 1 : -1) * (a.index - b.index)),
  );
  /** The part looked at: the one picked, else the last that came off. */
  const open = $derived(opened ?? parts.length - 1);
  const part = $derived(parts[open]);
  const usual = ["Tank", "Air box", "Coils", "Spark plugs", "Cover"];

  /** Change one part, wherever it stands by then. */
  function change(part: Part, make: (part: Part) => Part): Promise<boolean> {
    const at = parts.filter((one) => one.name === part.name).indexOf(part);
    return tray.edit((all) => {
      const changed = all.filter((one) => one.name === part.name)[at];
      return all.map((one) => (one === changed ? make(one) : one));
    }, send);
  }
  async function add(what: string): Promise<void> {
    const called = what.trim();
    if (!called) return;
    opened = null;
    if (name.trim() === called) name = "";
    const added = { name: called, note: "", pockets: [] };
    if (!(await tray.edit((all) => [...all, added], send)) && !name) name = called;
  }
  const many = $derived(whole(count) ?? NaN);
  function pocket(event: MouseEvent): void {
    if (!part || job.signed) return;
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
    // a key press has no place: the next free spot along the top edge
    const byKey = event.detail === 0;
    const x = byKey
      ? (0.1 + part.pockets.length * 0.08) % 1
      : (event.clientX - box.left) / box.width;
    const y = byKey ? 0.12 : (event.clientY - box.top) / box.height;
    // a count that cannot be read is asked again; nothing is put in its place
    if (!(many >= 1 && many <= 99)) return;
    const put = {
      x: Math.min(1, Math.max(0, x)),
      y: Math.min(1, Math.max(0, y)),
      length,
      note,
      count: many,
    };
    [note, count] = ["", "1"];
    void change(part, (one) => ({ ...one, pockets: [...one.pockets, put] }));
  }
  function take(pocket: Part["pockets"][number]): void {
    if (!part || job.signed) return;
    const same = JSON.stringify(pocket);
    void change(part, (one) => {
      const at = one.pockets.findIndex((other) => JSON.stringify(other) === same);
      return { ...one, pockets: one.pockets.filter((_, nth) => nth !== at) };
    });
  }
  /** Call the part otherwise; an empty name leaves it as it was called. */
  function rename(to: string): void {
    if (!part || !to.trim() || to.trim() === part.name) return;
    void change(part, (one) => ({ ...one, name: to.trim() }));
  }
  /** Move the part to where it came off: earlier or later than the one beside it. */
  function move(by: -1 | 1): void {
    const from = open;
    if (!parts[from] || !parts[from + by]) return;
    opened = from + by;
    void tray.edit((all) => {
      const [here, there] = [all[from], all[from + by]];
      if (!here || !there) return all;
      return all.map((one, at) => (at === from ? there : at === from + by ? here : one));
    }, send);
  }
  /** Taking a part out of the list is asked once; its pockets go with it. */
  let removing = $state<number | null>(null);
  function remove(): void {
    if (removing !== open) {
      removing = open;
      return;
    }
    const out = open;
    [removing, opened] = [null, null];
    void tray.edit((all) => all.filter((_, index) => index !== out), send);
  }
  /** What stands on a pocket: how many, how long, and a star where there is a note. */
  const face = (one: Part["pockets"][number], nth: number): string =>
    `${one.count > 1 ? `${one.count}×` : ""}${one.length || nth + 1}${one.note ? "*" : ""}`;
  const bolts = (one: Part): number => one.pockets.reduce((sum, pocket) => sum + pocket.count, 0);
</script>

<Fold
  title="Parts removed"
  id="tray"
  says={parts.length
    ? parts.map((one) => one.name).join(", ")
    : "What comes off, and where its bolts belong"}
>
  {#if parts.length === 0}
    <p class="text-soft py-3">
      Note each part as it comes off, and where its bolts belong. Bolts of one cover differ in
      length.
    </p>
  {:else}
    <div class="grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-4 py-3 max-sm:grid-cols-1">
      <div>
        <ToggleGroup
          label="Order"
          value={way}
          items={[
            { value: "strip", label: "off" },
            { value: "refit", label: "back on" },
          ]}
          onchange={(to) => (way = to)}
        />
        <ol>
          {#each shown as { part: one, index } (index)}
            <li class="border-line border-b">
              <button
                type="button"
                class="flex min-h-11 w-full items-center justify-between gap-2 px-2 text-left {index ===
                open
                  ? 'bg-ink text-paper'
                  : 'hover:bg-sheet'}"
                aria-pressed={index === open}
                onclick={() => ([opened, removing] = [index, null])}
              >
                <span class="truncate font-[560]">{one.name}</span>
                <span class="figures text-sm">{bolts(one) || ""}</span>
              </button>
            </li>
          {/each}
        </ol>
      </div>
      {#if part}
        <div>
          <div class="border-ink bg-sheet relative aspect-[8/5] border-2">
            <button
              type="button"
              class="absolute inset-0 cursor-crosshair"
              aria-label="Add a pocket to {part.name}"
              onclick={pocket}
              disabled={job.signed}
            ></button>
            <svg
              viewBox="0 0 80 50"
              class="pointer-events-none absolute inset-0 h-full w-full"
              aria-hidden="true"
            >
              <path
                d="M9 6h62v9h4v20h-4v9H9v-9H5V15h4z"
                fill="none"
                stroke="var(--rule)"
                stroke-width="0.7"
                stroke-dasharray="2 1.2"
              />
            </svg>
            {#each part.pockets as one, nth (nth)}
              <button
                type="button"
                class="border-ink bg-paper figures absolute flex h-11 min-w-11 -translate-x-1/2 -translate-y-1/2 items-center justify-center border-2 px-1 text-note"
                style:left="{one.x * 100}%"
                style:top="{one.y * 100}%"
                aria-label="Pocket {nth + 1}, {face(one, nth)}: take it away"
                onclick={() => take(one)}
                disabled={job.signed}>{face(one, nth)}</button
              >
            {/each}
          </div>
          {#each part.pockets as one, nth (nth)}
            {#if one.note}<p class="text-note">* {one.length || nth + 1}: {one.note}</p>{/if}
          {/each}
          {#if part.note}<p class="text-soft text-note">{part.note}</p>{/if}
          {#if !job.signed}
            <div class="mt-2 grid grid-cols-[5rem_4rem_minmax(0,1fr)] gap-2">
              <Field
                label="Length"
                look="text-soft text-note"
                kind="figures"
                bind:value={length}
                placeholder="30"
                aria-label="Length of the next bolt"
              />
              <Field
                label="Count"
                look="text-soft text-note"
                kind="whole"
                bind:value={count}
                invalid={!(many >= 1 && many <= 99)}
                aria-label="How many in the next pocket"
              />
              <Field
                label="Note"
                look="text-soft text-note"
                bind:value={note}
                aria-label="Note on the next bolt"
              />
            </div>
            <p class="text-note {many >= 1 && many <= 99 ? 'text-soft' : 'text-tight font-[560]'}">
              {many >= 1 && many <= 99
                ? "Tap the outline where the bolt sits."
                : "How many lie there is a whole number from 1 to 99."}
            </p>
            <div class="mt-2 flex flex-wrap items-end gap-2">
              <Field
                label="Called"
                class="min-w-32 flex-1"
                look="text-soft text-note"
                value={part.name}
                onchange={(event) => rename(event.currentTarget.value)}
              />
              <Button disabled={open === 0} onclick={() => move(-1)}>Earlier</Button>
              <Button disabled={open === parts.length - 1} onclick={() => move(1)}>Later</Button>
              <Button onclick={remove}
                >{removing === open ? `Really take ${part.name} out` : "Take out"}</Button
              >
            </div>
          {/if}
        </div>
      {/if}
    </div>
  {/if}
  {#if !job.signed}
    <Form class="flex gap-2" onsend={() => add(name)} several>
      <label class="min-w-0 flex-1">
        <span class="sr-only">Part that came off</span>
        <input class="field" bind:value={name} placeholder="Part that came off" />
      </label>
      <Button type="submit">Add</Button>
    </Form>
    <div class="mt-2 flex flex-wrap gap-2">
      {#each usual.filter((one) => !parts.some((part) => part.name === one)) as one (one)}
        <Button kind="bare" class="border-line" onclick={() => void add(one)}>{one}</Button>
      {/each}
    </div>
  {/if}
</Fold>
