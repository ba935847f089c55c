import { describe, expect, it } from "vitest";
import { referenceLibrary } from "../library/referenceLibrary.ts";
import { library, materialOf } from "../testing/exampleSheet.ts";
import { readRecipe } from "./readRecipe.ts";
import { recipeShares } from "./recipeFormula.ts";
import { recogniserOf } from "./recognise.ts";

const recogniser = recogniserOf(referenceLibrary);
const sharesOf = (text: string, system: "us" | "metric" = "us") =>
  recipeShares(readRecipe(text, referenceLibrary, recogniser), library, system);
const percents = (text: string) => sharesOf(text).shares.map(({ material, percent }) => [material, percent]);

describe("a recipe as percentages", () => {
  it("20 g and 80 g are 20 and 80 %, of a batch of 100 g", () => {
    const { shares, batchGrams, openPercent } = sharesOf("20 g coco glucoside\n80 g water");
    expect(shares.map(({ percent }) => percent)).toEqual([20, 80]);
    expect([batchGrams, openPercent]).toEqual([100, 0]);
  });

  it("percent stay as they are, and the rest stays the rest", () => {
    expect(percents("water to 100\ncoco glucoside 25 %\nglycerin 5 %")).toEqual([
      ["water-distilled", null],
      ["coco-glucoside", 25],
      ["glycerin", 5],
    ]);
  });

  it("two US tablespoons of glycerin in what makes 500 g: 2 × 14.787 × 1.26 ⁄ 5 = 7.4526 %, an estimate", () => {
    const { shares } = sharesOf("Makes 500 g\n2 tbsp glycerin\nwater to 100 %");
    expect(shares[0]?.percent).toBeCloseTo(7.452648, 6);
    expect(shares[0]?.isEstimate).toBe(true);
  });

  it("a metric spoon is another spoon", () => {
    const text = "Makes 100 g\n1 tbsp glycerin\nrest water";
    expect(sharesOf(text, "metric").shares[0]?.percent).toBeCloseTo(15 * (materialOf("glycerin").densityGramsPerMl ?? 0), 9);
    expect(sharesOf(text, "us").shares[0]?.percent).toBeCloseTo(14.787 * 1.26, 6);
  });

  it("grams beside percent share what the percent leave: 45 g and 45 g beside 10 % are 45 % each", () => {
    expect(percents("glycerin 10 %\n45 g water\n45 g coco glucoside").map(([, percent]) => percent)).toEqual([10, 45, 45]);
  });

  it("says what is open, what was left behind and why", () => {
    const { openPercent, asked, left } = sharesOf("85 coco glucoside, 6 olive oil, the rest is up to you\ngummy stuff 5 g\nglycerin");
    expect(openPercent).toBeCloseTo(9, 9);
    expect(left).toEqual([{ row: 2, reason: "the material is not recognised" }]);
    expect(asked).toEqual([{ row: 3, material: "glycerin", phase: "A" }]);
  });

  it("two bars of 78 g are 156 g, and 20 + 20 g are 40: 78 and 20 % of 200 g", () => {
    expect(percents("two bars of 78 g grated bar soap\n20+20 g coco glucoside\n4 g glycerin").map(([, percent]) => percent)).toEqual([
      78, 20, 2,
    ]);
  });

  it("two tablespoons and a teaspoon are added by their volumes: (2 × 15 + 5) mL × 1.26 = 44.1 g of 100", () => {
    const { shares } = sharesOf("Makes 100 g\n2 tbsp + 1 tsp glycerin\nrest water", "metric");
    expect(shares[0]?.percent).toBeCloseTo(35 * (materialOf("glycerin").densityGramsPerMl ?? 0), 9);
    expect(shares[0]?.isEstimate).toBe(true);
  });

  it("what is dosed to a pH or to taste is a line whose percent is yet to be typed", () => {
    const { asked, shares, left } = sharesOf("water to 100\ncoco glucoside 20 %\ncitric acid to pH 5.5\nsalt to taste");
    expect(asked.map(({ material }) => material)).toEqual(["citric-acid-anhydrous", "sodium-chloride"]);
    expect(shares.map(({ percent }) => percent)).toEqual([null, 20]);
    expect(left).toEqual([]);
  });

  it("the strength of the bottle goes along as its assay", () => {
    expect(sharesOf("Betaine (31%) 20 g\nwater 80 g").shares[0]).toMatchObject({ assayPercent: 31, percent: 20 });
  });

  it("of nothing there is nothing", () => {
    expect(sharesOf("")).toEqual({ shares: [], openPercent: 100, batchGrams: null, asked: [], left: [] });
  });
});
