import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { library } from "../testing/exampleSheet.ts";
import { answerRecipe, type AnsweredLine } from "./answerRecipe.ts";
import { recipeCorpus } from "./testing/recipeCorpus.ts";

function inWords({ phase, material, percent, qs, estimate, offers }: AnsweredLine): string {
  const named = material ?? ["?", ...offers.slice(0, 1)].join(" ");
  const counted = qs ? "qs" : percent === null ? "asked" : String(Number(percent.toFixed(percent < 1 ? 3 : 2)));
  return `${phase} ${named} ${counted}${estimate ? " ~" : ""}`;
}

describe("recipes in many hands", () => {
  it("are at least forty, each with its own text", () => {
    expect(recipeCorpus.length).toBeGreaterThanOrEqual(40);
    expect(new Set(recipeCorpus.map(({ text }) => text)).size).toBe(recipeCorpus.length);
  });

  it.each(recipeCorpus)("$title", ({ text, batchGrams, ingredientList, lines }) => {
    const answer = answerRecipe(text, library);
    expect(answer.lines.map(inWords)).toEqual(lines);
    expect(answer.ingredientList).toBe(ingredientList);
    expect(answer.batchGrams === null ? null : Number(answer.batchGrams.toFixed(2))).toBe(batchGrams);
  });
});

describe("nothing is lost and nothing invented", () => {
  const name = fc.constantFrom("glycerin", "coco betaine", "moon dust", "frog jelly", "xanthan gum", "betaine", "cocamidopropil betain");
  const grams = fc.integer({ min: 1, max: 400 });

  it("every line with an amount is there with its mass, known or not", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(grams, name), { minLength: 1, maxLength: 12 }), (lines) => {
        const answer = answerRecipe(lines.map(([mass, called]) => `${mass} g ${called}`).join("\n"), library);
        const whole = lines.reduce((sum, [mass]) => sum + mass, 0);
        expect(answer.batchGrams).toBeCloseTo(whole, 6);
        expect(answer.lines.map((line) => Number(line.grams?.toFixed(6)))).toEqual(lines.map(([mass]) => mass));
        expect(answer.lines.every(({ material, offers }) => material === null || (library.has(material) && offers.length === 0))).toBe(
          true,
        );
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    ["right to left", "גליצרין 5 g\nwater 95 g"],
    ["signs and pictures", "🌿🌿 20 g\n✨ glycerin ✨ 5 g\nwater 75 g"],
    ["tabs", "\t\tglycerin\t\t5 g\t\n\twater\t95 g"],
    ["comma beside point", "glycerin 1,5 g\nsalt 1.5 g\nwater 97 g"],
  ])("%s", (_, text) => {
    const { lines, batchGrams } = answerRecipe(text, library);
    expect(lines.filter(({ grams: mass }) => mass !== null).reduce((sum, { grams: mass }) => sum + (mass ?? 0), 0)).toBeCloseTo(
      batchGrams ?? -1,
      6,
    );
    expect(batchGrams).toBe(100);
  });

  it("of nonsense there is nothing", () => {
    expect(answerRecipe("asdf jkl\n%%%\n- - -\n???", library)).toEqual({ lines: [], batchGrams: null, ingredientList: false });
  });
});
