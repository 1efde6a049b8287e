/** One register of keys and one listener; what is registered is what `?` shows. */

import { untrack } from "svelte";

export interface KeyAct {
  key: string;
  says: string;
  act: () => void;
  /** Works while the reading field has the focus too. */
  inEntry?: boolean;
}

/** So soon another letter follows the first of a word, also from a slow hand. */
const WORD_MS = 500;

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
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    const target = event.target as HTMLElement | null;
    const inEntry = target?.closest("[data-entry]") !== null;
    const inText = !!target?.closest(
      "input:not([type=checkbox], [type=radio]), textarea, [aria-haspopup], [contenteditable]",
    );
    if (document.querySelector("[role=dialog], [role=listbox]")) return;
    if (inText && !inEntry) return;
    const act = this.acts.find((one) => one.key === event.key && (!inEntry || one.inEntry));
    if (!act) {
      if (!inText) this.toReading(event);
      return;
    }
    if (inText && target instanceof HTMLInputElement && /^[a-z]$/i.test(event.key)) {
      this.orWord(target, act);
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

  /**
   * A letter in the reading field: the first of a word, as of “zero”, or a key by itself. It is
   * typed; where nothing follows it soon, it is taken out again and does what the key does.
   */
  private orWord(field: HTMLInputElement, act: KeyAct): void {
    if (field.value) return;
    setTimeout(() => {
      if (field.value !== act.key) return;
      field.value = "";
      field.dispatchEvent(new InputEvent("input", { bubbles: true }));
      act.act();
    }, WORD_MS);
  }
}

export const keys = new Keys();
