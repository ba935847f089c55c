import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { referenceLibrary } from "../library/referenceLibrary.ts";
import { readRecipe, type RecipeLine } from "./readRecipe.ts";
import { recogniserOf } from "./recognise.ts";
import { messyRecipes } from "./testing/messyRecipes.ts";

const recogniser = recogniserOf(referenceLibrary);
const read = (text: string) => readRecipe(text, referenceLibrary, recogniser);

/** The reading of a line in the words of the recipes' expectations. */
function inWords({ kind, phase, takesTheRest, amount, material, sureness, offers }: RecipeLine): string {
  if (kind === "phase") return `phase ${phase}`;
  if (kind !== "ingredient") return kind;
  const amountWords = amount === null ? "no amount" : `${Number(amount.value.toFixed(3))} ${amount.unit}`;
  return `${takesTheRest ? "rest" : amountWords} ${material ?? offers[0] ?? "?"}, ${sureness}`;
}

describe("recipes as people type them", () => {
  it("are at least forty, and none twice", () => {
    expect(messyRecipes.length).toBeGreaterThanOrEqual(40);
    expect(new Set(messyRecipes.map(({ title }) => title)).size).toBe(messyRecipes.length);
  });

  it.each(messyRecipes)("$title", ({ lines }) => {
    const recipe = read(lines.map(([typed]) => typed).join("\n"));
    const readings = lines.map((_, index) =>
      recipe.lines
        .filter(({ row }) => row === index + 1)
        .map(inWords)
        .join(" / "),
    );
    expect(readings).toEqual(lines.map(([, reading]) => reading));
  });
});

describe("what a recipe says beside its lines", () => {
  it("takes the batch from the total, the columns or the rest", () => {
    expect(read("Water 80 g\nMakes 500 g").batchGrams).toBe(500);
    expect(read("Water 60 % 300 g\nGlycerin 40 % 200 g").batchGrams).toBe(500);
    expect(read("Glycerin 5 g\nwater to 100 g").batchGrams).toBe(100);
    expect(read("Glycerin 5 %\nwater 95 %").batchGrams).toBeNull();
  });

  it("keeps strength and remark, and what is not understood", () => {
    const [betaine, stuff] = read("Betaine (30%) 15 g (add slowly)\ngummy stuff 5 g").lines;
    expect(betaine).toMatchObject({ strengthPercent: 30, note: "add slowly" });
    expect(stuff).toMatchObject({ name: "gummy stuff", material: null, sureness: "unknown" });
    expect(read("Glycerin").lines[0]).toMatchObject({ material: "glycerin", amount: null });
    expect(read("lactic acid to pH 5.5").lines[0]).toMatchObject({ name: "lactic acid", note: "to pH 5.5", amount: null });
  });

  it("adds what one line names twice, and parts what names two materials", () => {
    const amounts = (text: string) => read(text).lines.map(({ name, amount }) => [name, amount?.value, amount?.unit, amount?.plus]);
    expect(amounts("2 tablespoons and 1 teaspoon glycerin")).toEqual([["glycerin", 2, "tbsp", [{ value: 1, unit: "tsp" }]]]);
    expect(amounts("20+20 g decyl glucoside")).toEqual([["decyl glucoside", 40, "g", undefined]]);
    expect(amounts("3 × 1.5 g xanthan gum")).toEqual([["xanthan gum", 4.5, "g", undefined]]);
    expect(amounts("20 g betaine + 5 g glycerin").map(([name, value]) => [name, value])).toEqual([
      ["betaine", 20],
      ["glycerin", 5],
    ]);
    // A number in a name counts nothing.
    expect(amounts("PEG-7 glyceryl cocoate 2 %")).toEqual([["PEG-7 glyceryl cocoate", 2, "percent", undefined]]);
  });

  it("answers every line of any text and never fails", () => {
    fc.assert(
      fc.property(fc.string({ unit: "grapheme", maxLength: 200 }), (text) => {
        const { lines } = read(text);
        const rows = text.split(/\r\n|\r|\n/u).length;
        expect(new Set(lines.map(({ row }) => row)).size).toBe(rows);
        for (const line of lines) expect(Number.isFinite(line.amount?.value ?? 0)).toBe(true);
      }),
      { numRuns: 200 },
    );
  });

  it("reads back what it understood", () => {
    const amount = fc.integer({ min: 1, max: 9999 }).map((hundredths) => hundredths / 100);
    const material = fc.constantFrom("glycerin", "decyl glucoside", "sodium benzoate", "cocamidopropyl betaine");
    fc.assert(
      fc.property(fc.array(fc.tuple(amount, material), { minLength: 1, maxLength: 8 }), (lines) => {
        const typed = lines.map(([value, name]) => `${value} g ${name}`).join("\n");
        const once = read(typed).lines;
        const again = read(once.map(({ amount: read, name }) => `${read?.value} ${read?.unit} ${name}`).join("\n")).lines;
        expect(again.map(inWords)).toEqual(once.map(inWords));
        expect(once.map(({ amount: read }) => read?.value)).toEqual(lines.map(([value]) => value));
      }),
    );
  });
});
