import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { methodSteps } from "./methodSteps.ts";

const waits = (text: string) => methodSteps(text).map(({ waitMinutes }) => waitMinutes);

describe("what a method says", () => {
  it.each([
    ["Stir for 10 minutes.", 10],
    ["stir 5-10 min", 10],
    ["Simmer for half an hour", 30],
    ["Leave it for an hour.", 60],
    ["1½ hours in the pot", 90],
    ["Stir every two hours until it is even", 120],
    ["Let it stand overnight, then bottle.", 720],
    ["Stir 5 minutes and rest for 24 h.", 1440],
    ["Judge it after 2 days", 2880],
    ["Add 10 g of glycerin", null],
    ["Heat to 70 °C", null],
    ["12 months old", null],
    ["Three minerals", null],
    ["mix well", null],
  ])("%s waits %s min", (text, minutes) => {
    expect(waits(text)).toEqual([minutes]);
  });

  it("is parted into sentences, numbers and bullets of a list taken off", () => {
    expect(methodSteps("1. Warm the water. Add the glucoside.\n\n- Stir 5 min\n—")).toEqual([
      { text: "Warm the water.", waitMinutes: null, atMostC: null },
      { text: "Add the glucoside.", waitMinutes: null, atMostC: null },
      { text: "Stir 5 min", waitMinutes: 5, atMostC: null },
    ]);
  });

  it("knows what must not be hotter from what is to be heated", () => {
    expect(methodSteps("Below 40 °C add the scent.\nHeat both to 70 °C.\nCool down to 104 °F").map(({ atMostC }) => atMostC)).toEqual([
      40,
      null,
      40,
    ]);
  });

  it("loses no word, whatever is in it", () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: "grapheme", minLength: 1, maxLength: 30 })), (rows) => {
        const told = methodSteps(rows.map((row) => `so ${row}`).join("\n"))
          .map(({ text }) => text)
          .join("");
        const letters = (text: string) => text.replace(/[\s\p{C}]/gu, "");
        expect(letters(told)).toBe(letters(rows.map((row) => `so ${row}`).join("")));
      }),
    );
  });
});
