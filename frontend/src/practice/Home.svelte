<script lang="ts">
  /** Practice: its lessons, what was begun, how this hand feels. */
  import { type Schemas, answer, api } from "../api/client";
  import { Button, Notice, PlaceFrame, Select } from "../kit";
  import { Attempt } from "../state/attempt.svelte";
  import { route } from "../state/route.svelte";

  const attempt = new Attempt();
  const asking = new Attempt();
  let practice = $state.raw<Schemas["PracticeOut"] | null>(null);
  let own = $state("");
  const begun = $derived(practice?.begun.filter((one) => !one.finished) ?? []);
  const done = $derived(new Set(practice?.begun.filter((o) => o.finished).map((o) => o.title)));
  /** The first lesson that was not done yet: it comes next. */
  const next = $derived(practice?.lessons.find((one) => !done.has(one.title))?.id);

  async function load(): Promise<void> {
    await attempt.at(async () => {
      practice = await answer(api.GET("/api/practice"));
    });
  }
  async function begin(lesson: string, engine: number | null = null): Promise<void> {
    await asking.at(async () => {
      const made = await answer(api.POST("/api/practice", { body: { lesson, engine } }));
      route.go(`/cards/${made.card}/${made.begins}`);
    });
  }
  const signed = (nm: number): string => (nm > 0 ? "too large" : "too small");
  const um = (nm: number): string => (Math.abs(nm) / 1_000_000).toFixed(3);
  void load();
</script>

<PlaceFrame title="Practice" refusal={practice ? null : attempt.refusal} onretry={load}>
  {#if practice}
    <p class="my-3 max-w-[44rem] leading-6">
      Practise on simulated engines. At the end you see the true gaps. Nothing here stands in the
      shop's record.
    </p>
    {#if asking.refusal}<Notice>{asking.refusal.sentence}</Notice>{/if}
    {#if begun.length}
      <h2 class="border-ink border-t-2 pt-2 text-lg">Under way</h2>
      <ul class="mb-6">
        {#each begun.slice(0, 5) as one (one.card)}
          <li class="border-line flex min-h-12 items-center justify-between border-b">
            <span class="font-[560]">{one.title}</span>
            <Button href="/cards/{one.card}/{one.begins}">Go on</Button>
          </li>
        {/each}
      </ul>
    {/if}
    <h2 class="border-ink flex items-baseline justify-between border-t-2 pt-2 text-lg">
      Lessons <span class="text-soft figures text-base"
        >{practice.lessons.filter((one) => done.has(one.title)).length} of {practice.lessons.length} done</span
      >
    </h2>
    <ol class="grid gap-x-8 lg:grid-cols-2">
      {#each practice.lessons as lesson (lesson.id)}
        <li class="border-line flex items-center gap-3 border-b py-2">
          <div class="min-w-0 flex-1">
            <h3 class="font-[620]">
              {lesson.title}
              <span class="text-soft text-note font-normal">{lesson.minutes} min</span>
              {#if done.has(lesson.title)}<span class="figures text-note">✓ done</span>{/if}
            </h3>
            <p class="leading-5">{lesson.does}</p>
            <p class="text-soft leading-5">{lesson.point}</p>
            <p class="text-note leading-5">
              {lesson.caution}
              <a class="underline underline-offset-4" href="/handbook/{lesson.page}">Read more</a>
            </p>
          </div>
          <Button
            kind={lesson.id === next ? "now" : "plain"}
            aria-label="Begin: {lesson.title}"
            onclick={() => void begin(lesson.id)}>Begin</Button
          >
        </li>
      {/each}
    </ol>
    {#if practice.engines.length}
      <h2 class="border-ink mt-8 border-t-2 pt-2 text-lg">On an engine of the shop</h2>
      <p class="text-soft py-1 leading-5">Its layout, spec and sizes; its wear is made up.</p>
      <div class="flex flex-wrap items-end gap-2">
        <Select
          label="Engine"
          value={own}
          items={practice.engines.map((one) => ({ value: String(one.id), label: one.label }))}
          onchange={(chosen) => (own = chosen)}
        />
        <Button disabled={!own} onclick={() => void begin("own", Number(own))}>Begin on it</Button>
      </div>
    {/if}
    <h2 class="border-ink mt-8 border-t-2 pt-2 text-lg">Your own feel</h2>
    {#if practice.feel.bias && practice.feel.spread}
      <p class="max-w-[44rem] leading-6">
        Over {practice.feel.readings} readings you read
        <b class="figures">{um(practice.feel.bias.nm)} mm</b>
        {signed(practice.feel.bias.nm)} on the whole, and differ from time to time by
        <b class="figures">{um(practice.feel.spread.nm)} mm</b>. These are engines without dirt, in
        good light: a real one is no easier.
      </p>
      <p class="max-w-[44rem] leading-6">
        The second figure can stand for your hand on real cards. Every chance there then goes by it.
        Nothing that was read changes.
        <a
          class="inline-flex min-h-11 items-center underline underline-offset-4"
          rel="external"
          href="/shop?hand={um(practice.feel.spread.nm)}#hand">Take it over, in Shop</a
        >
      </p>
    {:else}
      <p class="text-soft">It is said after five readings whose truth was shown.</p>
    {/if}
  {:else}
    <p class="text-soft">Fetching the lessons…</p>
  {/if}
</PlaceFrame>
