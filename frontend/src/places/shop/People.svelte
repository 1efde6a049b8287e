<script lang="ts">
  /** Who works in this shop: set up, given another code, said to have left. */
  import { Button, Dialog, Field, Form, Notice, Select } from "../../kit";
  import type { Items } from "../../kit/items";
  import { type Person, type Role, people } from "../../state/people.svelte";

  let adding = $state(false);
  let name = $state("");
  let code = $state("");
  let role = $state<Role>("technician");
  let changing = $state<Person | null>(null);
  let open = $state(false);
  let newCode = $state("");
  const roles: Items<Role> = [
    { value: "technician", label: "technician", note: "does the work; a code of 4 signs or more" },
    { value: "owner", label: "owner", note: "settings, people, copies too; 8 signs or more" },
  ];
  const first = $derived(!people.setUp);
  const mayAdd = $derived(first || people.here?.role === "owner");

  async function add(): Promise<void> {
    if (!(await people.add(name, first ? "owner" : role, code))) return;
    adding = false;
    name = code = "";
    if (!people.here) people.asking = true;
  }
  async function change(): Promise<void> {
    if (changing && (await people.code(changing.id, newCode))) open = false;
    newCode = "";
  }
</script>

<section aria-labelledby="people" class="border-ink mt-8 border-t-2 pt-2">
  <div class="flex flex-wrap items-center justify-between gap-3">
    <h2 id="people" class="text-lg">Who works here</h2>
    {#if mayAdd}
      <Button onclick={() => (adding = true)}>{first ? "Set up the first" : "Somebody new"}</Button>
    {/if}
  </div>
  {#if first}
    <p class="text-soft text-note leading-5">
      Nobody is set up: anybody at this machine writes under whatever name is typed. Once an owner
      is, every change is somebody’s, and other machines can be let in.
    </p>
  {/if}
  <ul class="border-line mt-2 border-t">
    {#each people.people as one (one.id)}
      <li class="border-line flex min-h-12 flex-wrap items-center gap-x-3 border-b">
        <span class="min-w-40 flex-1 truncate font-[560] {one.left_at ? 'text-soft' : ''}"
          >{one.name}</span
        >
        <span class="text-soft text-note"
          >{one.role}{one.left_at ? ", has left" : one.has_code ? "" : ", no code yet"}</span
        >
        {#if people.here?.role === "owner" || people.here?.id === one.id}
          <Button
            kind="bare"
            aria-label="Change {one.name}"
            onclick={() => {
              changing = one;
              people.refusal = null;
              open = true;
            }}>Change</Button
          >
        {/if}
      </li>
    {/each}
  </ul>
</section>

<Dialog
  bind:open={adding}
  title={first ? "The first owner" : "Somebody new"}
  says={first ? "An owner sets up the others, changes settings and puts copies back." : ""}
>
  <Form refusal={people.refusal} onsend={add}>
    <Field label="Name" at="name" autocomplete="off" bind:value={name} />
    {#if !first}
      <Select label="Role" value={role} items={roles} onchange={(to) => (role = to)} />
    {/if}
    <Field
      label={first || role === "owner" ? "Code, 8 signs or more" : "Code, 4 signs or more"}
      type="password"
      autocomplete="new-password"
      at="code"
      bind:value={code}
    />
    {#snippet foot()}
      <Button kind="now" type="submit" class="min-h-12 text-lg">Set up</Button>
    {/snippet}
  </Form>
</Dialog>

<Dialog bind:open title={changing?.name ?? ""}>
  {#if changing}
    <Form refusal={people.refusal} onsend={change}>
      <Field
        label="Another code"
        type="password"
        autocomplete="new-password"
        at="code"
        bind:value={newCode}
      />
      {#snippet foot()}
        <Button kind="now" type="submit">Set the code</Button>
        <Notice kind="edge"
          >Wherever {changing?.name} is at work now, the new code is asked for.</Notice
        >
      {/snippet}
    </Form>
    {#if people.here?.role === "owner"}
      <div class="border-line mt-4 flex flex-wrap gap-2 border-t pt-4">
        <Button
          onclick={() =>
            changing &&
            void people
              .role(changing.id, changing.role === "owner" ? "technician" : "owner")
              .then((done) => (open = !done))}
          >{changing.role === "owner" ? "Make a technician" : "Make an owner"}</Button
        >
        <Button
          onclick={() =>
            changing &&
            void people.gone(changing.id, !changing.left_at).then((done) => (open = !done))}
          >{changing.left_at ? "Is back" : "Works here no more"}</Button
        >
      </div>
    {/if}
  {/if}
</Dialog>
