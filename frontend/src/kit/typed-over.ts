/** What was filled in for somebody is typed over: it is selected when its field is come to. */
export function typedOver(event: FocusEvent): void {
  const box = event.currentTarget as HTMLInputElement;
  setTimeout(() => box.select()); // after the pointer has set its caret
}
