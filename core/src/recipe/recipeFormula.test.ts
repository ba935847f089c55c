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

  it("a line without a material counts in the whole: 85 + 6 + 5 % leave 4 % open", () => {
    const { openPercent, shares } = sharesOf("85 coco glucoside, 6 olive oil, the rest is up to you\ngummy stuff 5 g\nglycerin");
    expect(openPercent).toBeCloseTo(4, 9);
    expect(shares.map(({ material, percent, text }) => [material, percent, text])).toEqual([
      ["coco-glucoside", 85, "85 coco glucoside"],
      ["olive-oil", 6, "6 olive oil"],
      [null, 5, "gummy stuff 5 g"],
      ["glycerin", null, "glycerin"],
    ]);
  });

  it("a guess is offered and not taken, and shares the whole all the same: 20 of 100 g", () => {
    const [guessed] = sharesOf("20 g cocamidopropil betain\n80 g water").shares;
    expect(guessed).toMatchObject({ material: null, offers: ["cocamidopropyl-betaine"], percent: 20 });
  });

  it("measures what nobody knows as water, as an estimate: 1 tbsp of 14.787 mL in 100 g", () => {
    const [open] = sharesOf("1 tbsp mystery gel\n85.213 g water").shares;
    expect(open).toMatchObject({ material: null, isEstimate: true });
    expect(open?.percent).toBeCloseTo(14.787, 6);
  });

  it("5 g of a 20 % citric acid solution are 2 g of the 50 % one and 3 g of water", () => {
    const { shares } = sharesOf("20 % citric acid solution 5 g\n95 g water");
    expect(shares.map(({ material }) => material)).toEqual(["citric-acid-solution-50", "water-distilled", "water-distilled"]);
    expect(shares[0]?.percent).toBeCloseTo(2, 9);
    expect(shares[1]?.percent).toBeCloseTo(3, 9);
  });

  it("4 g of 25 % sodium citrate are 1 ⁄ 0.88 g of what holds 88 % of it, and water", () => {
    const held = 100 - (materialOf("sodium-citrate").inci?.find(({ name }) => name === "Aqua")?.percent ?? 0);
    const [citrate, water] = sharesOf("25 % trisodium citrate dihydrate 4 g\n96 g water").shares;
    expect(citrate).toMatchObject({ material: "sodium-citrate" });
    expect(citrate?.percent).toBeCloseTo(100 / held, 9);
    expect((citrate?.percent ?? 0) + (water?.percent ?? 0)).toBeCloseTo(4, 9);
  });

  it("a strength chooses the material that is called so", () => {
    const materials = (text: string) => sharesOf(text).shares.map(({ material, percent }) => [material, percent]);
    expect(materials("90 % lactic acid 5 g\n95 g water")[0]).toEqual(["lactic-acid-90", 5]);
    expect(materials("50 % citric, 2 g\n98 g water")[0]).toEqual(["citric-acid-solution-50", 2]);
  });

  it("water without an amount takes the rest where the recipe's total leaves room, and only then", () => {
    const rest = (text: string) => sharesOf(text).shares.find(({ takesTheRest }) => takesTheRest)?.material ?? null;
    expect(rest("Makes 200 g\n50 g coco glucoside\nwater")).toBe("water-distilled");
    expect(rest("coco glucoside 25 %\nwater")).toBe("water-distilled");
    expect(rest("Makes 50 g\n50 g coco glucoside\nwater")).toBeNull();
    expect(rest("Makes 200 g\n50 g coco glucoside")).toBeNull();
  });

  it("an acid that is q.s. waits for its number, beside water that takes the rest", () => {
    const { shares } = sharesOf("coco glucoside 20 %\ncitric acid q.s.\nwater to 100");
    expect(shares.map(({ percent, takesTheRest }) => [percent, takesTheRest])).toEqual([
      [20, false],
      [null, false],
      [null, true],
    ]);
  });

  it("a bar of 100 g by the piece: two of them in 1 kg are 20 %, an estimate", () => {
    expect(sharesOf("2 bars of soap\n800 g water").shares[0]).toMatchObject({ material: "soap-bar", percent: 20, isEstimate: true });
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
    const { shares } = sharesOf("water to 100\ncoco glucoside 20 %\ncitric acid to pH 5.5\nsalt to taste");
    expect(shares.map(({ material, percent }) => [material, percent])).toEqual([
      ["water-distilled", null],
      ["coco-glucoside", 20],
      ["citric-acid-anhydrous", null],
      ["sodium-chloride", null],
    ]);
  });

  it("the strength of the bottle goes along as its assay", () => {
    expect(sharesOf("Betaine (31%) 20 g\nwater 80 g").shares[0]).toMatchObject({ assayPercent: 31, percent: 20 });
  });

  it("of nothing there is nothing", () => {
    expect(sharesOf("")).toEqual({ shares: [], openPercent: 100, batchGrams: null });
  });
});
