import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { assessSums } from "../assessment/readings.ts";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { joinedPortions, withPortions } from "./portions.ts";
import type { Formula, LinePortion } from "./types.ts";

// 75 % of water q.s., 20 % betaine, 5 % glycerin
const wash = sheetOf([
  ["water-distilled", "q.s."],
  ["cocamidopropyl-betaine", 20],
  ["glycerin", 5],
]);
const parted = (...portions: readonly LinePortion[]): Formula => ({ ...wash, process: { steps: [], portions } });
const gramsOf = (formula: Formula) =>
  new Map(assessSums({ ...formula, batchGrams: 400 }, library).lines.map(({ id, gramsToWeigh }) => [id, gramsToWeigh]));

describe("a line that is weighed in parts", () => {
  it("40 % of 75 % water are 30 %, of 400 g 120 g; the water that fills up is 180 g", () => {
    const formula = withPortions(parted({ id: "hot", of: "water-distilled", percentOfLine: 40 }), library);
    const grams = gramsOf(formula);
    expect(grams.get("hot")).toBeCloseTo(120, 6);
    expect(grams.get("water-distilled")).toBeCloseTo(180, 6);
    expect(formula.lines.map(({ id }) => id)).toEqual(["water-distilled", "hot", "cocamidopropyl-betaine", "glycerin"]);
  });

  it("of a line with a share of its own the rest stays: 5 % glycerin in 20 and 80 parts are 1 % and 4 %", () => {
    const formula = withPortions(parted({ id: "late", of: "glycerin", percentOfLine: 20 }), library);
    expect(gramsOf(formula).get("late")).toBeCloseTo(4, 9);
    expect(gramsOf(formula).get("glycerin")).toBeCloseTo(16, 9);
  });

  it("is parted once, and joined again is what it was", () => {
    const once = withPortions(parted({ id: "late", of: "glycerin", percentOfLine: 20 }), library);
    expect(withPortions(once, library)).toBe(once);
    expect(joinedPortions(once).map(({ id, percent }) => [id, percent])).toEqual(wash.lines.map(({ id, percent }) => [id, percent]));
    expect(withPortions(wash, library)).toBe(wash);
  });

  it("neither sums nor active matter change, however it is parted", () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 99, noNaN: true }), fc.constantFrom(...wash.lines.map(({ id }) => id)), (percentOfLine, of) => {
        const formula = withPortions(parted({ id: "part", of, percentOfLine }), library);
        const [before, after] = [assessSums(wash, library), assessSums(formula, library)];
        expect(after.totalPercent).toBeCloseTo(before.totalPercent, 9);
        expect(after.activeMatter.percent).toBeCloseTo(before.activeMatter.percent, 9);
        expect(after.saltPercent).toBeCloseTo(before.saltPercent, 9);
      }),
    );
  });
});
