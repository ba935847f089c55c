import { describe, expect, it } from "vitest";
import { guessColumns, looksLikeMaterials, lotColumns, materialColumns } from "./columns";

describe("guessing what a column holds", () => {
  it("knows our own heads", () => {
    const own = ["material", "code", "grams", "assay", "price", "endsOn", "openedOn", "supplier", "note"];
    expect(guessColumns(own, lotColumns)).toEqual({
      material: 0,
      code: 1,
      grams: 2,
      assay: 3,
      price: 4,
      endsOn: 5,
      openedOn: 6,
      supplier: 7,
      note: 8,
    });
  });

  it("knows what others write, in any order and spelling", () => {
    expect(guessColumns(["Expiry date", "Ingredient", "Lot No.", "Price (EUR)", "Size, g"], lotColumns)).toEqual({
      endsOn: 0,
      material: 1,
      code: 2,
      price: 3,
      grams: 4,
    });
  });

  it("uses a column once, and leaves open what it cannot guess", () => {
    expect(guessColumns(["name", "INCI name"], lotColumns)).toEqual({ material: 0 });
    expect(guessColumns(["a", "b"], lotColumns)).toEqual({});
  });

  it("tells materials from lots, and knows every column of its own export", () => {
    expect(looksLikeMaterials(["Name", "INCI", "active"])).toBe(true);
    expect(looksLikeMaterials(["Name", "Role", "Lot"])).toBe(false);
    expect(looksLikeMaterials(["material", "code", "grams"])).toBe(false);
    const own = materialColumns.map(({ field }) => field);
    expect(guessColumns(own, materialColumns)).toEqual(Object.fromEntries(own.map((field, at) => [field, at])));
  });
});
