import { expect, it } from "vitest";
import { whatListHolds } from "./whatListHolds";

it("rows and heads of a table, whatever parts its cells", () => {
  expect(whatListHolds('material;"code";grams\nglycerin;G-1;500\n\nwater;W-1;10\n')).toBe("2 rows, heads: material, code, grams");
  expect(whatListHolds("material\tgrams\r\nglycerin\t5")).toBe("1 row, heads: material, grams");
});

it.each(["", "one word", "{}", "[1, 2]"])("%j is no table", (text) => {
  expect(whatListHolds(text)).toBeNull();
});
