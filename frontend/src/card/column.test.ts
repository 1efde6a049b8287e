import { expect, test } from "vitest";
import { rowsOf } from "./column.svelte";

test("a pasted column loses its heading and its empty end, and keeps its gaps", () => {
  expect(rowsOf("Gap\r\n0.14\r\n\r\n13-15\r\n\r\n")).toEqual(["0.14", "", "13-15"]);
  expect(rowsOf("2.45\t2.447\n2.50\n")).toEqual(["2.45 2.447", "2.50"]);
  expect(rowsOf("0.14")).toEqual(["0.14"]);
});
