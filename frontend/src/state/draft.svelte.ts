/**
 * A form's own draft of one value. It starts from what is kept and follows it until somebody
 * types; then it is theirs until it is saved, whatever else on the screen is saved meanwhile.
 */
export class Draft<Value = string> {
  private typed = $state.raw<{ value: Value } | null>(null);

  constructor(private readonly kept: () => Value) {}

  get value(): Value {
    return this.typed ? this.typed.value : this.kept();
  }

  set value(value: Value) {
    this.typed = { value };
  }

  /** Whether somebody has typed what is not saved yet. */
  get changed(): boolean {
    return this.typed !== null;
  }

  /** Save what is typed, and show what is kept again, unless more was typed meanwhile. */
  async save(send: (value: Value) => Promise<boolean>): Promise<boolean> {
    const sent = this.typed;
    const done = await send(this.value);
    if (done && this.typed === sent) this.typed = null;
    return done;
  }
}
