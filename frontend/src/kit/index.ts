/** The parts that all screens are made of. */
export { default as Arrow } from "./Arrow.svelte";
export { default as Button } from "./Button.svelte";
export { default as Check } from "./Check.svelte";
export { default as Cross } from "./Cross.svelte";
export { default as Details } from "./Details.svelte";
export { default as Dialog } from "./Dialog.svelte";
export { default as Field } from "./Field.svelte";
export { default as Fold } from "./Fold.svelte";
export { default as Form } from "./Form.svelte";
export { default as Notice } from "./Notice.svelte";
export { default as Offers } from "./Offers.svelte";
export { default as ToggleGroup } from "./ToggleGroup.svelte";
export { default as PlaceFrame } from "./PlaceFrame.svelte";
export { default as RadioGroup } from "./RadioGroup.svelte";
export { default as Select } from "./Select.svelte";
export { default as Tabs } from "./Tabs.svelte";
export { default as UndoMark } from "./UndoMark.svelte";
export { typedOver } from "./typed-over";
