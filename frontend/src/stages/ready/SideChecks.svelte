<script lang="ts">
  /** What is looked at besides the gaps: symptoms, compression and leak-down, plugs, chain, seals. */
  import { act } from "../../api/acts";
  import { Button, Field, Fold, Form, ToggleGroup } from "../../kit";
  import type { Job } from "../../card/job.svelte";
  import { Draft } from "../../state/draft.svelte";

  let { job }: { job: Job } = $props();

  const card = $derived(job.card);
  type Unit = "bar" | "psi" | "kPa";
  type Figure = "dry" | "wet" | "leak";
  const FIGURES: readonly { key: Figure; says: string }[] = [
    { key: "dry", says: "dry" },
    { key: "wet", says: "with oil" },
    { key: "leak", says: "leak-down, %" },
  ];
  const numbers = $derived(
    card
      ? card.drawing.banks.flatMap((bank) => bank.bores.map((bore) => bore.cylinder)).sort()
      : [],
  );
  const symptoms = new Draft(() => card?.symptoms ?? "");
  const draft = new Draft(() => {
    const kept = card?.checks;
    const found = new Map(kept?.cylinders.map((one) => [one.cylinder, one]));
    return {
      unit: kept?.unit ?? ("bar" as Unit),
      cylinders: numbers.map(
        (cylinder) => found.get(cylinder) ?? { cylinder, dry: "", wet: "", leak: "" },
      ),
      plugs: kept?.plugs ?? "",
      chain: kept?.chain ?? "",
      sealing: kept?.sealing ?? "",
      other: kept?.other ?? "",
    };
  });
  const before = $derived(
    new Map(card?.checks_before?.cylinders.map((one) => [one.cylinder, one])),
  );
  const read = (text: string): number => Number(text.replace(",", ".")) || 0;
  /** All columns are drawn to one height: the largest figure there is, now or last time. */
  const most = $derived(
    Math.max(
      1,
      ...[...draft.value.cylinders, ...before.values()].flatMap((one) => [
        read(one.dry),
        read(one.wet),
      ]),
    ),
  );
  const drawn = $derived(
    draft.value.cylinders.some((one) => one.dry || one.wet) || before.size > 0,
  );

  function figure(cylinder: number, key: Figure, to: string): void {
    const cylinders = draft.value.cylinders.map((one) =>
      one.cylinder === cylinder ? { ...one, [key]: to } : one,
    );
    draft.value = { ...draft.value, cylinders };
  }
  async function save(): Promise<void> {
    await draft.save((checks) => job.act(act("side-checks", { checks })));
  }
  async function saveSymptoms(): Promise<void> {
    await symptoms.save((text) => job.act(act("symptoms", { text })));
  }
  const WORDS = [
    { key: "plugs", says: "Plugs" },
    { key: "chain", says: "Cam chain and tensioner" },
    { key: "sealing", says: "Sealing" },
    { key: "other", says: "Another job done while it was open" },
  ] as const;
  /** What is in it: the symptoms, and how many cylinders have figures. */
  const says = $derived.by(() => {
    const found = draft.value.cylinders.filter((one) => one.dry || one.wet || one.leak).length;
    const words = WORDS.filter(({ key }) => draft.value[key]).map((one) => one.says);
    const figures = found ? [`compression of ${found}`] : [];
    return [symptoms.value, ...figures, ...words].filter(Boolean).join(", ") || "None written down";
  });
</script>

{#if card}
  <Fold title="Symptoms and side checks" {says}>
    <Form class="flex items-end gap-2 py-2" onsend={saveSymptoms} several>
      <Field
        label="What it did: hard cold start, noise, lost power"
        class="flex-1"
        bind:value={symptoms.value}
        disabled={job.signed}
      />
      <Button type="submit" disabled={job.signed || !symptoms.changed}>Note</Button>
    </Form>
    <Form
      class="flex flex-col gap-2"
      refusal={/^(dry|wet|leak)-/.test(job.refusal?.field ?? "") ? job.refusal : null}
      onsend={save}
      several
    >
      <div class="flex items-center gap-3">
        <span class="text-soft">Compression in</span>
        <ToggleGroup
          label="The gauge reads"
          value={draft.value.unit}
          items={["bar", "psi", "kPa"]}
          onchange={(unit) => (draft.value = { ...draft.value, unit: unit as Unit })}
        />
      </div>
      {#each draft.value.cylinders as one (one.cylinder)}
        {@const last = before.get(one.cylinder)}
        <div class="grid grid-cols-[1.5rem_repeat(3,minmax(0,1fr))] items-end gap-2">
          <b class="figures pb-2">{one.cylinder}</b>
          {#each FIGURES as { key, says } (key)}
            <Field
              label={last?.[key] ? `${says}, last time ${last[key]}` : says}
              look="text-soft text-note"
              kind="decimal"
              value={one[key]}
              at="{key}-{one.cylinder}"
              disabled={job.signed}
              oninput={(event) => figure(one.cylinder, key, event.currentTarget.value)}
            />
          {/each}
        </div>
      {/each}
      {#if drawn}
        <svg
          viewBox="0 0 {numbers.length * 64 + 8} 92"
          class="max-h-28 self-start"
          role="img"
          aria-label="Compression of each cylinder: last time outlined, now filled"
        >
          {#each draft.value.cylinders as one, n (one.cylinder)}
            {@const last = before.get(one.cylinder)}
            {@const x = 8 + n * 64}
            {#if last}
              <path
                d="M{x} 74v-{(read(last.dry) / most) * 64}h14v{(read(last.dry) / most) * 64}"
                class="stroke-rule fill-none"
                stroke-dasharray="3 2"
              />
            {/if}
            <rect
              x={x + 16}
              y={74 - (read(one.dry) / most) * 64}
              width="14"
              height={(read(one.dry) / most) * 64}
              class="fill-ink"
            />
            <rect
              x={x + 32}
              y={74 - (read(one.wet) / most) * 64}
              width="14"
              height={(read(one.wet) / most) * 64}
              class="fill-rule"
            />
            <path d="M{x} 74h50" class="stroke-ink" />
            <text x={x + 24} y="88" text-anchor="middle" class="figures fill-ink text-note"
              >{one.cylinder}</text
            >
          {/each}
        </svg>
        <p class="text-soft text-note">Dashed: last time, dry. Dark: dry now. Grey: with oil.</p>
      {/if}
      {#each WORDS as { key, says } (key)}
        <Field
          label={says}
          value={draft.value[key]}
          disabled={job.signed}
          oninput={(event) => (draft.value = { ...draft.value, [key]: event.currentTarget.value })}
        />
      {/each}
      {#snippet foot()}
        <Button type="submit" disabled={job.signed || !draft.changed}>Write them down</Button>
      {/snippet}
    </Form>
  </Fold>
{/if}
