/** What was filled in for somebody is typed over: it is selected when its field is come to. */
export function typedOver(event: FocusEvent): void {
  const box = event.currentTarget as HTMLInputElement;
  const filled = box.value;
  box.select();
  setTimeout(() => {
    // the pointer has set its caret since; but a key may have been quicker, and stays
    if (box.value === filled) box.select();
  });
}
