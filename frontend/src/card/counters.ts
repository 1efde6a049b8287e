/** What a machine's counter counts, as it is chosen. */
export const COUNTERS = [
  { value: "", label: "not known" },
  { value: "km", label: "km" },
  { value: "mi", label: "miles" },
  { value: "h", label: "hours" },
];
