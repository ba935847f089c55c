import { describe, expect, it } from "vitest";
import { assess } from "../assessment/assess.ts";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { correctedTargets, deviationsOf, formulaAsMade } from "./deviations.ts";
import { evaporationTopUpGrams } from "./evaporation.ts";

// 600 g: coco-glucoside 12 g, panthenol 0.6 g, water the rest, 587.4 g
const wash = sheetOf([
  ["water-distilled", "q.s."],
  ["coco-glucoside", 2],
  ["panthenol-75", 0.1],
]);

const off = (id: string, grams: number) => deviationsOf(wash, new Map([[id, grams]]), library)[0];

describe("weights that are off", () => {
  it("12.24 g for 12 g is 2 % and passes, 12.25 g asks", () => {
    expect(off("coco-glucoside", 12.24)).toMatchObject({ targetGrams: 12, asks: false });
    expect(off("coco-glucoside", 12.25)?.asks).toBe(true);
    expect(off("coco-glucoside", 11.75)?.asks).toBe(true);
  });

  it("a line below 1 % is allowed 5 %: 0.63 g for 0.6 g passes, 0.631 g asks", () => {
    expect(off("panthenol-75", 0.63)?.asks).toBe(false);
    expect(off("panthenol-75", 0.631)?.asks).toBe(true);
  });

  it("refuses a line that is not there and a weight below nothing", () => {
    expect(() => off("moon-dust", 1)).toThrow("moon-dust");
    expect(() => off("panthenol-75", -1)).toThrow("cannot weigh");
  });
});

describe("what was really made", () => {
  it("15 g for 12 g in 603 g are 2.488 %, and the sums follow: 52 % of it is active", () => {
    const made = formulaAsMade(wash, new Map([["coco-glucoside", 15]]), library);
    expect(made.batchGrams).toBeCloseTo(603, 9);
    const { activeMatter, totalPercent } = assess(made, library);
    expect(activeMatter.percent).toBeCloseTo((52 * 15) / 603, 9);
    expect(totalPercent).toBeCloseTo(100, 9);
  });

  it("weighed as planned it is the formula again", () => {
    const planned = assess(wash, library);
    const made = assess(formulaAsMade(wash, new Map(planned.lines.map(({ id, grams }) => [id, grams])), library), library);
    expect(made.activeMatter.percent).toBeCloseTo(planned.activeMatter.percent, 9);
  });

  it("lines of a named part keep their share of it", () => {
    const splits = [{ name: "half", sharePercent: 50, lines: [{ id: "p", phase: "A", material: "lavender-oil", percent: 0.4 }] }];
    // 0.4 % of half of 600 g is 1.2 g
    const made = formulaAsMade({ ...wash, splits }, new Map([["p", 1.2]]), library);
    expect(made.splits?.[0]?.lines[0]?.percent).toBeCloseTo(0.4, 9);
    expect(() => formulaAsMade(sheetOf([]), new Map(), library)).toThrow("Nothing has been weighed");
  });
});

describe("the others in proportion", () => {
  it("12.6 g for 12 g makes everything 5 % larger: 616.77 g water, 0.63 g panthenol", () => {
    const corrected = correctedTargets(wash, { line: "coco-glucoside", actualGrams: 12.6 }, library);
    expect(corrected.get("water-distilled")).toBeCloseTo(587.4 * 1.05, 9);
    expect(corrected.get("panthenol-75")).toBeCloseTo(0.63, 9);
    expect(() => correctedTargets(wash, { line: "moon-dust", actualGrams: 1 }, library)).toThrow("moon-dust");
  });
});

describe("steam", () => {
  it("812 g before and 795.5 g after want 16.5 g of hot water", () => {
    expect(evaporationTopUpGrams(812, 795.5)).toBeCloseTo(16.5, 9);
    expect(evaporationTopUpGrams(800, 801)).toBe(0);
    expect(() => evaporationTopUpGrams(0, 5)).toThrow("above 0 g");
  });
});
