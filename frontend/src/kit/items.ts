/** What a choice is among: values that say themselves, or values with what they are called. */
export interface Item<Value extends string> {
  value: Value;
  label: string;
  note?: string;
}
export type Items<Value extends string> = readonly (Value | Item<Value>)[];

export function named<Value extends string>(items: Items<Value>): Item<Value>[] {
  return items.map((one) => (typeof one === "string" ? { value: one, label: one } : one));
}
