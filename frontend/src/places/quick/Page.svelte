<script lang="ts">
  /** Quick sum: an allowed gap, a gap and a shim a valve, and which shim to take, at once. */
  import { onMount, tick, untrack } from "svelte";
  import { type Family, Refusal } from "../../api/client";
  import { Button, Cross, Field, Form, Notice, Offers, PlaceFrame, ToggleGroup } from "../../kit";
  import { preferences } from "../../state/preferences.svelte";
  import { opening } from "../../state/opening.svelte";
  import { route } from "../../state/route.svelte";
  import { by, familiesWithSizes, runsOf, sizeIn, steps } from "../../state/sizes";
  import Scale from "./Scale.svelte";
  import { type Column, type Line, type Row, type Side, Quick } from "./quick.svelte";

  const quick = new Quick(untrack(() => preferences.unit));
  const { typed } = quick;
  let families = $state.raw<readonly Family[]>([]);
  let copied = $state("");
  void familiesWithSizes().then((found) => (families = found));

  const STEPS = $derived(
    typed.shimUnit === "mm"
      ? steps("1.00-5.00", ["0.05", "0.025", "0.02", "0.01"])
      : steps(".040-.200", [".002", ".001"]),
  );
  const limits = $derived(quick.said?.limits ?? null);
  const refused = $derived(quick.said?.refused ?? null);
  const asRefusal = $derived(
    refused && new Refusal("bad_value", refused.sentence, refused.field, refused.offers),
  );

  onMount(() => {
    if (!typed.spec) document.getElementById("quick-spec")?.focus();
  });
  function focus(row: number, column: Column): void {
    document.getElementById(`quick-${row}-${column}`)?.focus();
  }
  /** From the gap to the shim, from the shim to the next valve's gap. */
  function goOn(event: KeyboardEvent, nth: number, column: Column): void {
    if (event.key !== "Enter") return;
    event.preventDefault();
    quick.room();
    if (column === "shim") void tick().then(() => focus(nth + 1, "gap"));
    else focus(nth, column === "valve" ? "gap" : "shim");
  }
  function pasted(event: ClipboardEvent, row: Row, column: Column): void {
    if (quick.paste(row, column, event.clipboardData?.getData("text") ?? ""))
      event.preventDefault();
  }
  /** The engine begins with what the sum knows of it. */
  function become(): void {
    const family = families.find((one) => one.id === typed.family);
    const { spec, room, unit, shimUnit, sizes } = typed;
    opening.sum = { spec, room, unit, shimUnit, sizes: family ? runsOf(family, shimUnit) : sizes };
    route.go("/engines/new");
  }
  async function handOn(): Promise<void> {
    const text = quick.said?.text ?? "";
    if ("share" in navigator && matchMedia("(pointer: coarse)").matches) {
      await navigator.share({ text }).catch(() => undefined); // whoever thinks better of it
      return;
    }
    try {
      await navigator.clipboard.writeText(text);
      copied = "Copied. Paste it where you want it.";
    } catch {
      copied = "This browser cannot copy here. Print it instead.";
    }
  }
  const TONES: Partial<Record<Line["verdict"], string>> = {
    tight: "text-tight",
    none: "text-tight",
    loose: "text-loose",
  };
</script>

<PlaceFrame title="Quick sum" onretry={() => quick.ask()}>
  {#snippet acts()}
    {#if quick.begun}
      <Button onclick={handOn} disabled={!quick.said?.text}>Copy as text</Button>
      <Button onclick={() => print()} disabled={!quick.said?.text}>Print</Button>
      <Button
        onclick={() => {
          quick.clear();
          void tick().then(() => document.getElementById("quick-spec")?.focus());
        }}>Clear</Button
      >
    {/if}
  {/snippet}
  <Form
    class="border-line flex flex-wrap items-end gap-x-6 gap-y-2 border-b pb-3"
    refusal={asRefusal}
    onsend={() => focus(0, "gap")}
    several
  >
    <div class="flex items-end gap-2">
      <Field
        label="Allowed gap"
        class="block w-40"
        input="text-lg"
        kind="figures"
        id="quick-spec"
        onkeydown={(event: KeyboardEvent) => {
          if (event.key === "Enter") focus(0, "gap");
        }}
        at="spec"
        bind:value={typed.spec}
        placeholder={typed.unit === "mm" ? "0.10-0.15" : ".004-.006"}
        autocomplete="off"
      />
      <ToggleGroup
        label="Gaps are in"
        value={typed.unit}
        items={[
          { value: "mm", label: "mm" },
          { value: "in", label: "thou" },
        ]}
        onchange={(to) => (typed.unit = to)}
      />
    </div>
    {#if refused?.field === "room" || typed.room}
      <Field
        label="How much more or less do you allow?"
        class="block w-64"
        kind="figures"
        at="room"
        bind:value={typed.room}
        placeholder={typed.unit === "mm" ? "0.03" : ".001"}
      />
    {/if}
    <div class="no-print">
      <span class="text-soft block">Shims you can get</span>
      <div class="flex flex-wrap items-center gap-1.5">
        <ToggleGroup
          label="Shims you can get"
          wraps
          value={typed.family === null ? typed.sizes : `${typed.family}`}
          items={[
            ...STEPS.map((run) => ({ value: run, label: by(run) })),
            ...families.map((one) => ({ value: `${one.id}`, label: one.name })),
          ]}
          onchange={(to) => {
            const run = STEPS.includes(to);
            typed.family = run ? null : Number(to);
            typed.sizes = run ? to : "";
          }}
        />
        <Field
          label="or type them"
          look="sr-only"
          class="block w-44"
          kind="figures"
          at="sizes"
          value={typed.family === null ? typed.sizes : ""}
          oninput={(event) => {
            typed.family = null;
            typed.sizes = event.currentTarget.value;
          }}
          placeholder={typed.shimUnit === "mm" ? "1.20-3.50/0.05" : ".060-.140/.002"}
        />
        <ToggleGroup
          label="Shims are in"
          value={typed.shimUnit}
          items={[
            { value: "mm", label: "mm" },
            { value: "in", label: "inch" },
          ]}
          onchange={(to) => {
            typed.shimUnit = to;
            typed.sizes = "";
          }}
        />
      </div>
    </div>
    <div class="no-print">
      <span class="text-soft block">Lean to the</span>
      <ToggleGroup
        label="Lean to the"
        value={typed.side ?? ((quick.said?.aim ?? "") as Side)}
        items={[
          { value: "tight", label: "tight side" },
          { value: "middle", label: "middle" },
          { value: "loose", label: "wide side" },
        ]}
        onchange={(to) => (typed.side = to)}
      />
    </div>
  </Form>
  {#if quick.refusal}<Notice>{quick.refusal.sentence}</Notice>{/if}

  <ol class="mt-1">
    {#each typed.rows as row, nth (row.key)}
      {@const said = quick.of(row)}
      {@const line = said?.line ?? null}
      <li
        class="border-line grid grid-cols-[4.5rem_6.5rem_7rem_minmax(0,1fr)_minmax(0,19rem)] items-start gap-x-3 border-b py-1.5 max-lg:grid-cols-[4rem_minmax(0,1fr)_minmax(0,1fr)_auto] print:grid-cols-[3.5rem_4.5rem_4.5rem_minmax(0,1fr)_15rem] print:py-0 {row.valve ||
        row.gap ||
        row.shim
          ? ''
          : 'no-print'}"
      >
        <label>
          <span class="text-soft text-mark {nth ? 'sr-only' : ''}">Valve</span>
          <input
            id="quick-{nth}-valve"
            class="field"
            bind:value={row.valve}
            placeholder={`${nth + 1}`}
            maxlength="40"
            autocomplete="off"
            onkeydown={(event) => goOn(event, nth, "valve")}
            onpaste={(event) => pasted(event, row, "valve")}
          />
        </label>
        {#each ["gap", "shim"] as const as column (column)}
          <label>
            <span class="text-soft text-mark {nth ? 'sr-only' : ''}"
              >{column === "gap" ? "Gap" : "Shim in"}</span
            >
            <input
              id="quick-{nth}-{column}"
              class="field figures text-lg"
              bind:value={row[column]}
              placeholder={nth
                ? ""
                : column === "gap"
                  ? typed.unit === "mm"
                    ? "0.08 or 8"
                    : "6"
                  : typed.shimUnit === "mm"
                    ? "2.65 or 265"
                    : ".104"}
              maxlength="80"
              autocomplete="off"
              inputmode="text"
              aria-invalid={said?.refused?.field === column}
              oninput={() => quick.room()}
              onkeydown={(event) => goOn(event, nth, column)}
              onpaste={(event) => pasted(event, row, column)}
            />
          </label>
        {/each}
        <div
          class="max-lg:order-last max-lg:col-span-4 print:order-none print:col-span-1 {nth
            ? ''
            : 'lg:pt-3.5'}"
        >
          {#if limits && (line || nth === 0)}
            <Scale {line} {limits} unit={typed.unit} shims={typed.shimUnit} />
          {/if}
        </div>
        <div
          class="min-h-[62px] leading-5 max-lg:order-last max-lg:col-span-4 max-lg:min-h-0 print:order-none print:col-span-1 print:text-mark print:leading-4 {nth
            ? ''
            : 'lg:pt-3.5'}"
          role="status"
        >
          {#if line}
            {#if line.likelier}
              <p class="no-print flex flex-wrap items-center gap-2">
                {row.gap} is far wider than the allowed gap.
                <Button kind="now" onclick={() => (row.gap = line.likelier)}
                  >{line.likelier} is meant</Button
                >
              </p>
            {/if}
            <p class="text-row font-[640] {TONES[line.verdict] ?? ''}">{line.says}</p>
            {#if line.sure}<p>{line.sure}</p>{/if}
            {#if line.why}<p class="text-soft">{line.why}</p>{/if}
            <details class="group">
              <summary class="no-print min-h-8">The sum</summary>
              <ul class="figures text-note leading-[21px]">
                {#each line.sum as says, n (n)}<li>{says}</li>{/each}
              </ul>
            </details>
          {:else if said?.refused}
            <p class="text-tight">{said.refused.sentence}</p>
            {#if said.refused.offers.length}
              <Offers
                offers={said.refused.offers}
                onpick={(offer) => {
                  if (said.refused?.field === "shim") row.shim = offer;
                  else row.gap = offer;
                }}
              />
            {/if}
          {:else if nth === 0 && !limits && !refused}
            <p class="text-soft">
              Type the allowed gap, then a gap and the shim that is in. You can paste a table.
            </p>
          {/if}
        </div>
        {#if row.valve || row.gap || row.shim}
          <Button
            kind="bare"
            class="no-print lg:hidden print:hidden"
            aria-label="Take line {nth + 1} out"
            onclick={() => quick.take(row)}><Cross /></Button
          >
        {:else}<span class="lg:hidden print:hidden"></span>{/if}
      </li>
    {/each}
  </ol>
  {#if quick.said?.order.length}
    <p class="border-ink mt-3 border-t-2 py-2 text-row">
      <b>Order:</b>
      {quick.said.order
        .map((one) => `${one.count} × ${sizeIn(typed.shimUnit, one.thickness)}`)
        .join(", ")}
      {typed.shimUnit === "mm" ? "mm" : "inch"}
    </p>
  {/if}
  {#if quick.said?.text}
    <p class="text-soft text-note py-2 leading-5">
      The allowed gap stands in the manual, for a cold engine. Check each sum before you order.
    </p>
    <p class="no-print flex flex-wrap items-center gap-3">
      <Button onclick={become}>Keep it: make an engine of it</Button>
      <span role="status">{copied}</span>
    </p>
  {/if}
</PlaceFrame>
