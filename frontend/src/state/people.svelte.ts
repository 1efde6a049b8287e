/** Who works here, and who is at work at this screen. */
import { type Refusal, type Schemas, answer, api } from "../api/client";
import { WHO } from "../api/events";
import { forgetHere } from "./reach.svelte";

type People = Schemas["PeopleOut"];
export type Person = People["people"][number];
export type Role = Schemas["PersonRole"];

/** Told once somebody has said who it is. */
export const HERE = "plimb-here";

export class PeopleState {
  people = $state.raw<readonly Person[]>([]);
  here = $state.raw<Person | null>(null);
  /** Whether the names are shown to choose from. */
  asking = $state(false);
  refusal = $state.raw<Refusal | null>(null);

  constructor() {
    addEventListener(WHO, () => void this.ask());
  }

  /** Ask who it is, unless somebody has said it since: an answer may be late. */
  private async ask(): Promise<void> {
    await this.load();
    if (!this.here) this.asking = true;
  }

  /** Who can be chosen: those who work here and have a code. */
  get working(): Person[] {
    return this.people.filter((one) => !one.left_at && one.has_code);
  }

  /** Whether people are set up: then every change is somebody's. */
  get setUp(): boolean {
    return this.people.some((one) => !one.left_at);
  }

  /** The name to write under: of whoever is at work here, else the one typed last. */
  name(typed: string): string {
    return this.here?.name ?? typed;
  }

  load(): Promise<boolean> {
    return this.#take(api.GET("/api/people"));
  }

  async signIn(person_id: number, code: string): Promise<boolean> {
    const done = await this.#take(api.POST("/api/people/here", { body: { person_id, code } }));
    if (done) {
      this.asking = false;
      dispatchEvent(new Event(HERE));
    }
    return done;
  }

  async signOut(): Promise<void> {
    if (!(await this.#take(api.DELETE("/api/people/here")))) return;
    this.asking = false;
    await forgetHere();
  }

  add(name: string, role: Role, code: string): Promise<boolean> {
    return this.#take(api.POST("/api/people", { body: { name, role, code } }));
  }

  code(person_id: number, code: string): Promise<boolean> {
    const params = { path: { person_id } };
    return this.#take(api.PUT("/api/people/{person_id}/code", { params, body: { code } }));
  }

  role(person_id: number, role: Role): Promise<boolean> {
    const params = { path: { person_id } };
    return this.#take(api.PUT("/api/people/{person_id}/role", { params, body: { role } }));
  }

  gone(person_id: number, gone: boolean): Promise<boolean> {
    const params = { path: { person_id } };
    return this.#take(api.PUT("/api/people/{person_id}/gone", { params, body: { gone } }));
  }

  async #take(call: Parameters<typeof answer<People>>[0]): Promise<boolean> {
    try {
      const found = await answer(call);
      this.people = found.people;
      this.here = found.here;
      this.refusal = null;
    } catch (error) {
      this.refusal = error as Refusal;
    }
    return this.refusal === null;
  }
}

export const people = new PeopleState();
