/** Which engine a card is about to be opened on: the one just saved, else none. */
class Opening {
  /** The engine that was saved last on this screen. */
  engine = $state<number | null>(null);
  /** Whether the bench is to ask for the card as soon as it is there. */
  asked = $state(false);
}

export const opening = new Opening();
