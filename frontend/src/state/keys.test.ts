/** One register of keys, one listener. */
import { afterEach, describe, expect, it, vi } from "vitest";
import { keys } from "./keys.svelte";

let undo: (() => void)[] = [];
afterEach(() => {
  for (const one of undo) one();
  undo = [];
  document.body.innerHTML = "";
});

function listens(key: string, inEntry = false) {
  const act = vi.fn();
  undo.push(keys.register([{ key, says: "does it", act, inEntry }]));
  return act;
}
function press(key: string, on: Element = document.body, init: KeyboardEventInit = {}): void {
  const event = new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true, ...init });
  on.dispatchEvent(event);
  keys.listen(event);
}
function put(html: string): Element {
  document.body.innerHTML = html;
  return document.body.querySelector("input, button")!;
}

describe("keys", () => {
  it("do what they say and stop when they are taken away", () => {
    const act = listens("r");
    press("r");
    undo.pop()!();
    press("r");
    expect(act).toHaveBeenCalledTimes(1);
  });
  it("throw where a key is taken already", () => {
    listens("r");
    expect(() => keys.register([{ key: "r", says: "again", act: () => {} }])).toThrow("taken");
  });
  it("keep quiet in a text field, except those meant for the reading field", () => {
    const [plain, meant] = [listens("r"), listens("ArrowUp", true)];
    press("r", put("<input />"));
    press("ArrowUp", put("<input />"));
    const field = put("<form data-entry><input /></form>");
    press("r", field);
    press("ArrowUp", field);
    expect(plain).not.toHaveBeenCalled();
    expect(meant).toHaveBeenCalledTimes(1);
  });
  it("leave every letter to what is typed, and undo by Ctrl+Z where nothing is typed", () => {
    const act = listens("z", true);
    const field = put("<form data-entry><input /></form>") as HTMLInputElement;
    press("z", field);
    expect(act).not.toHaveBeenCalled();
    press("z", field, { ctrlKey: true });
    expect(act).toHaveBeenCalledTimes(1);
    field.value = "13";
    press("z", field, { ctrlKey: true });
    press("z", put("<input />"), { ctrlKey: true });
    expect(act).toHaveBeenCalledTimes(1);
  });
  it("write what is typed after a tap elsewhere in the reading field, unless it may not be", () => {
    document.body.innerHTML = "<button>One turn</button><form data-entry><input /></form>";
    const [button, field] = [document.querySelector("button")!, document.querySelector("input")!];
    press(" ", button);
    expect(document.activeElement).not.toBe(field);
    press("3", button);
    expect(document.activeElement).toBe(field);
    field.addEventListener("keydown", (event) => event.preventDefault());
    const held = new KeyboardEvent("keydown", { key: "8", bubbles: true, cancelable: true });
    button.dispatchEvent(held);
    keys.listen(held);
    expect(held.defaultPrevented).toBe(true);
    field.disabled = true;
    button.focus();
    press("3", button);
    expect(document.activeElement).toBe(button);
  });
  it("keep quiet under an open dialog and with a modifier held", () => {
    const act = listens("r");
    press("r", document.body, { ctrlKey: true });
    put("<div role='dialog'><button></button></div>");
    press("r");
    expect(act).not.toHaveBeenCalled();
  });
});
