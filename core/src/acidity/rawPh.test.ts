import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { resolveLines } from "../formula/resolveLines.ts";
import { library } from "../testing/exampleSheet.ts";
import { formulaOf } from "../testing/stepReading.ts";
import { rawPhForecast } from "./rawPh.ts";

const sheetOf = (...lines: readonly (readonly [string, number])[]) =>
  resolveLines(formulaOf("hand-wash", { A: [22, ["water-distilled", "q.s."], ...lines] }), library).sheet;
const forecast = (lines: readonly (readonly [string, number])[], target = 5.2) => rawPhForecast(sheetOf(...lines), target)!;

describe("the pH a wash comes out with", () => {
  it("a glucoside is alkaline, a betaine with ether sulfate about neutral to sour, amphodiacetate about 9", () => {
    // 18 % with 0.005 to 0.08 mmol/g free caustic: 0.9 to 14 mmol/kg, pH 11 to 12.2 less what the air brings
    const glucoside = forecast([["decyl-glucoside", 18]]);
    expect(glucoside.low).toBeLessThan(10.6);
    expect(glucoside.high).toBeGreaterThan(11.5);
    expect(glucoside.high).toBeLessThan(12.2);
    expect(forecast([["sles-2eo-28", 26], ["cocamidopropyl-betaine", 14]]).ph).toBeLessThan(6.5); // prettier-ignore
    expect(Math.abs(forecast([["disodium-cocoamphodiacetate", 5]]).ph - 8.8)).toBeLessThan(0.5);
  });

  it("soap keeps the pH it is bought with, whatever the water", () => {
    for (const percent of [10, 40]) expect(Math.abs(forecast([["liquid-potassium-soap", percent]]).ph - 9.9)).toBeLessThan(0.4);
  });

  it("acids of the formula wait for the first reading, and water alone tells little acid", () => {
    const without = forecast([["decyl-glucoside", 14]]);
    expect(forecast([["decyl-glucoside", 14], ["citric-acid-anhydrous", 1]]).ph).toBeCloseTo(without.ph, 3); // prettier-ignore
    const sheet = sheetOf(["decyl-glucoside", 14], ["citric-acid-anhydrous", 1]);
    expect(rawPhForecast(sheet, 5.2, () => false)!.ph).toBeLessThan(4);
  });

  it("at the pH it has already next to nothing is demanded; 40 mmol of caustic more in a kilogram demand about 40 mmol more", () => {
    const wash = [["disodium-cocoamphodiacetate", 5]] as const;
    expect(Math.abs(forecast(wash, forecast(wash).ph).demand.typical)).toBeLessThan(1.5);
    const caustic = library.get("sodium-hydroxide-pellets")!.buffers.find(({ pKa }) => pKa === 14)!.mmolPerGram;
    const grams = 40 / ((caustic.low + caustic.high) / 2);
    const more = rawPhForecast(sheetOf(...wash, ["sodium-hydroxide-pellets", grams / 10]), 5.2, () => false)!;
    expect(Math.abs(more.demand.typical - forecast(wash).demand.typical - 40)).toBeLessThan(4);
  });

  it("the range holds the middle, more alkali never lowers the pH, and less of a lower target is asked", () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 30, noNaN: true }), fc.double({ min: 1, max: 20, noNaN: true }), (base, more) => {
        const one = forecast([["coco-glucoside", base], ["cocamidopropyl-betaine", 8]]); // prettier-ignore
        const two = forecast([["coco-glucoside", base + more], ["cocamidopropyl-betaine", 8]]); // prettier-ignore
        expect(one.low <= one.ph && one.ph <= one.high).toBe(true);
        expect(two.ph).toBeGreaterThanOrEqual(one.ph - 1e-9);
        expect(forecast([["coco-glucoside", base]], 5).demand.typical).toBeGreaterThan(forecast([["coco-glucoside", base]], 7).demand.typical); // prettier-ignore
      }),
      { numRuns: 30 },
    );
  });
});
