/** What would be taken back next, for the button in the head of the page; empty where nothing. */
class Undo {
  what = $state("");
}

export const undo = new Undo();
