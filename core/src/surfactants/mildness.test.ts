import { describe, expect, it } from "vitest";
import { cleansersOf } from "./cleansers.ts";
import { assess } from "../assessment/assess.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula } from "../formula/types.ts";
import type { Material } from "../library/material.ts";
import { library, materialOf, sheetOf, type WrittenLine } from "../testing/exampleSheet.ts";
import { blendInUse } from "./micelles/inUse.ts";
import { triangleOf, trianglePoints } from "./blend/triangle.ts";

const water: WrittenLine = ["water-distilled", "q.s."];
const cleansersIn = (formula: Formula) => cleansersOf(resolveLines(formula, library).sheet);
const missing = (formula: Formula) => assess(formula, library).notJudged;

describe("the blend in use", () => {
  it("10 % of a 30 % betaine of 350 g/mol: 30 g/kg, 85.71 mmol/kg, a tenth of it on wet skin", () => {
    const blend = blendInUse(cleansersIn(sheetOf([water, ["cocamidopropyl-betaine", 10]])));
    expect(blend?.totalMillimolar).toBeCloseTo(8.5714, 4);
    expect(blend?.surfactants).toEqual([{ charge: "amphoteric", cmcMillimolar: 0.3, moleFraction: 1 }]);
  });

  it("one surfactant in two lines is one entry, with both lines", () => {
    const formula = sheetOf([], {
      lines: [
        { id: "a", phase: "A", material: "decyl-glucoside", percent: 5 },
        { id: "b", phase: "A", material: "decyl-glucoside", percent: 5, assayPercent: 50 },
      ],
    });
    const [only, ...others] = cleansersIn(formula);
    expect(others).toEqual([]);
    expect(only).toMatchObject({ slug: "decyl-glucoside", lines: ["a", "b"] });
    expect(only?.percent).toBeCloseTo(2.6 + 2.5, 12);
  });

  it("a ready-made base gives its three surfactants", () => {
    const percents = cleansersIn(sheetOf([water, ["mild-anionic-preblend", 40]])).map(({ percent }) => percent);
    // 0.4 × (50 × 0.32, 30 × 0.30, 8.42 × 0.95)
    expect(percents.map((percent) => percent.toFixed(4))).toEqual(["6.4000", "3.6000", "3.1996"]);
  });
});

describe("mildness in an assessment", () => {
  it("betaine alone: relief undefined, index its own zein 120, load 120 × 6 ⁄ 15 = 48, very mild", () => {
    const { micelles, irritation, notJudged } = assess(sheetOf([water, ["cocamidopropyl-betaine", 20]]), library);
    expect(micelles?.relief).toBeNull();
    expect(micelles?.freeAnionicMillimolar).toBe(0);
    expect(irritation).toEqual({ index: 120, load: 48, band: "very mild" });
    expect(notJudged.map(({ what }) => what)).not.toContain("irritation");
  });

  it("a sulfate alone has no relief; half of it as betaine does, and is milder than the mean of both", () => {
    const alone = assess(sheetOf([water, ["sles-2eo-28", 40]]), library);
    const shared = assess(sheetOf([water, ["sles-2eo-28", 20], ["cocamidopropyl-betaine", 18]]), library);
    expect(alone.micelles?.relief).toBeCloseTo(0, 12);
    expect(alone.irritation?.index).toBeCloseTo(275, 9);
    expect(shared.irritation!.index).toBeLessThan((275 * 5.5 + 120 * 5.4) / 10.9);
    expect(shared.micelles!.relief!).toBeGreaterThan(0.5);
  });

  it("without actives micelles, irritation and foam are null and say so", () => {
    const { micelles, irritation, foam, notJudged } = assess(sheetOf([water, ["glycerin", 5]]), library);
    expect([micelles, irritation, foam]).toEqual([null, null, null]);
    for (const what of ["micelles", "irritation", "foam"]) {
      expect(notJudged).toContainEqual({ what, lacks: "surfactants", missing: "cleansing actives in the formula", lines: [] });
    }
  });

  const unknown: Material = { ...materialOf("aos-40"), slug: "unknown-sulfonate", cmcMillimolar: null, zein: null, foam: null };

  it("names the lines whose facts are missing", () => {
    const formula = sheetOf([water, ["unknown-sulfonate", 10], ["decyl-glucoside", 5]], { materials: [unknown] });
    const { micelles, irritation, foam } = assess(formula, library);
    expect([micelles, irritation, foam]).toEqual([null, null, null]);
    expect(missing(formula)).toContainEqual({
      what: "foam",
      lacks: "foam-figures",
      missing: "foam figures of these materials",
      lines: ["unknown-sulfonate"],
    });
    expect(missing(formula)).toContainEqual({
      what: "irritation",
      lacks: "zein",
      missing: "zein number of these materials",
      lines: ["unknown-sulfonate"],
    });
    expect(missing(formula)).toContainEqual({
      what: "micelles",
      lacks: "cmc",
      missing: "molar mass or cmc of these materials",
      lines: ["unknown-sulfonate"],
    });
  });

  it("an anionic whose cmc alone is missing leaves irritation unjudged too: its relief is not known", () => {
    const formula = sheetOf([water, ["half-known", 10]], {
      materials: [{ ...materialOf("aos-40"), slug: "half-known", cmcMillimolar: null }],
    });
    expect(assess(formula, library).irritation).toBeNull();
    expect(missing(formula)).toContainEqual({ what: "irritation", lacks: "micelles", missing: "mixed micelles of the blend", lines: [] });
  });
});

describe("the blend triangle", () => {
  const blend = cleansersIn(sheetOf([water, ["sles-2eo-28", 20], ["cocamidopropyl-betaine", 18], ["decyl-glucoside", 6]]));
  const activePercent = blend.reduce((sum, { percent }) => sum + percent, 0);
  const triangle = triangleOf(blend, 0, 10);

  it("70 steps make 2,556 points", () => expect(trianglePoints(70)).toBe(2556));

  it("every point's shares sum to 100 and every point of a full blend is judged", () => {
    for (let k = 0; k < trianglePoints(10); k += 1) {
      expect(triangle.anionicPercent[k]! + triangle.amphotericPercent[k]! + triangle.nonionicPercent[k]!).toBeCloseTo(100, 9);
      expect(triangle.irritationLoad[k]).toBeGreaterThan(0);
      expect(triangle.foamFlash[k]).toBeGreaterThan(0);
    }
  });

  it("its corners are the pure types: anionic alone load 275 × active ⁄ 15 without relief, no relief without anionic", () => {
    const anionic = triangle.anionicPercent.indexOf(100);
    expect(triangle.relief[anionic]).toBeCloseTo(0, 9);
    expect(triangle.irritationLoad[anionic]).toBeCloseTo((275 * activePercent) / 15, 9);
    expect(triangle.relief[triangle.nonionicPercent.indexOf(100)]).toBeNaN();
    expect(triangle.irritationLoad[triangle.nonionicPercent.indexOf(100)]).toBeCloseTo((65 * activePercent) / 15, 9);
  });

  it("at the sheet's own shares it agrees with the assessment", () => {
    // 6 % of each: betaine 20 × 0.30, sulfonate 6 ⁄ 0.39, glucoside 6 ⁄ 0.52
    const thirds = sheetOf([water, ["aos-40", 6 / 0.39], ["cocamidopropyl-betaine", 20], ["decyl-glucoside", 6 / 0.52]]);
    const grid = triangleOf(cleansersIn(thirds), 0, 3);
    const middle = grid.anionicPercent.findIndex(
      (share, k) => Math.abs(share - 100 / 3) < 1e-9 && Math.abs(grid.amphotericPercent[k]! - 100 / 3) < 1e-9,
    );
    const whole = assess(thirds, library);
    expect(grid.irritationLoad[middle]).toBeCloseTo(whole.irritation!.load, 9);
    expect(grid.mixedCmcMillimolar[middle]).toBeCloseTo(whole.micelles!.mixedCmcMillimolar, 9);
    expect(grid.foamStability[middle]).toBeCloseTo(whole.foam!.stability, 9);
  });

  it("a type that is not there leaves its points unjudged", () => {
    const two = triangleOf(cleansersIn(sheetOf([water, ["sles-2eo-28", 20], ["cocamidopropyl-betaine", 18]])), 0, 10);
    two.nonionicPercent.forEach((nonionic, k) => expect(Number.isNaN(two.irritationLoad[k])).toBe(nonionic > 0));
  });

  it("without a blend nothing is judged", () => {
    expect(triangleOf([], 0, 4).irritationLoad.every(Number.isNaN)).toBe(true);
  });
});
