import { describe, expect, it } from "vitest";
import { guessColumns } from "./columns";

describe("guessing what a column holds", () => {
  it("knows our own heads", () => {
    const own = ["material", "code", "grams", "assay", "price", "endsOn", "openedOn", "supplier", "note"];
    expect(guessColumns(own)).toEqual({ material: 0, code: 1, grams: 2, assay: 3, price: 4, endsOn: 5, openedOn: 6, supplier: 7, note: 8 });
  });

  it("knows what others write, in any order and spelling", () => {
    expect(guessColumns(["Expiry date", "Ingredient", "Lot No.", "Price (EUR)", "Size, g"])).toEqual({
      endsOn: 0,
      material: 1,
      code: 2,
      price: 3,
      grams: 4,
    });
  });

  it("uses a column once, and leaves open what it cannot guess", () => {
    expect(guessColumns(["name", "INCI name"])).toEqual({ material: 0 });
    expect(guessColumns(["a", "b"])).toEqual({});
  });
});
