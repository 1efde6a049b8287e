/** One register of keys and one listener; what is registered is what `?` shows. */

import { untrack } from "svelte";

export interface KeyAct {
  key: string;
  says: string;
  act: () => void;
  /** Works while the reading field has the focus too, where it is no letter: that is typed. */
  inEntry?: boolean;
}

const LETTER = /^[a-z]$/i;

class Keys {
  acts = $state.raw<readonly KeyAct[]>([]);
  helpOpen = $state(false);

  /** Add keys; the returned function takes them away again. A key that is taken throws. */
  register(added: readonly KeyAct[]): () => void {
    untrack(() => this.add(added));
    return () => {
      this.acts = this.acts.filter((act) => !added.includes(act));
    };
  }

  private add(added: readonly KeyAct[]): void {
    for (const one of added) {
      if (this.acts.some((act) => act.key === one.key)) {
        throw new Error(`the key ${one.key} is taken`);
      }
    }
    this.acts = [...this.acts, ...added];
  }

  /** Do what a key does, for a button that stands for it. */
  press(key: string): void {
    this.acts.find((act) => act.key === key)?.act();
  }

  listen(event: KeyboardEvent): void {
    if (event.altKey || event.defaultPrevented) return;
    if (event.ctrlKey || event.metaKey) {
      this.takeBack(event);
      return;
    }
    const target = event.target as HTMLElement | null;
    const inEntry = target?.closest("[data-entry]") !== null;
    const inText = !!target?.closest(
      "input:not([type=checkbox], [type=radio]), textarea, [aria-haspopup], [contenteditable]",
    );
    if (document.querySelector("[role=dialog], [role=listbox]")) return;
    if (inText && !inEntry) return;
    const meant = (one: KeyAct): boolean =>
      !inEntry || (one.inEntry === true && !(inText && LETTER.test(one.key)));
    const act = this.acts.find((one) => one.key === event.key && meant(one));
    if (!act) {
      if (!inText) this.toReading(event);
      return;
    }
    event.preventDefault();
    act.act();
  }

  /** What is typed after a tap elsewhere is a reading too: it goes where readings are written. */
  private toReading(event: KeyboardEvent): void {
    const field = document.querySelector<HTMLInputElement>("[data-entry] input");
    if (!field || field.disabled || event.key.length !== 1 || event.key === " ") return;
    field.focus({ preventScroll: true });
    const typed = new KeyboardEvent("keydown", {
      key: event.key,
      bubbles: true,
      cancelable: true,
    });
    // the character itself follows this event into the field that has the focus now
    if (!field.dispatchEvent(typed)) event.preventDefault();
  }

  /** Undo by Ctrl+Z, but where there is text of its own to be undone. */
  private takeBack(event: KeyboardEvent): void {
    if (event.key !== "z" || document.querySelector("[role=dialog], [role=listbox]")) return;
    const target = event.target as HTMLElement | null;
    const field = target?.closest<HTMLInputElement>(
      "input:not([type=checkbox], [type=radio]), textarea",
    );
    if (field && (field.value || !field.closest("[data-entry]"))) return;
    const act = this.acts.find((one) => one.key === "z");
    if (!act) return;
    event.preventDefault();
    act.act();
  }
}

export const keys = new Keys();
