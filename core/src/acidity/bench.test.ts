import { describe, expect, it } from "vitest";
import { calibrationOf, correctedPh } from "./calibration.ts";
import { dropMassGrams } from "./dropMass.ts";
import { percentOfBatch, startingDoseGrams } from "./startingDose.ts";
import { planStock } from "./stockSolution.ts";

describe("two-point calibration", () => {
  const four = { bufferPh: 4, readingPh: 4.1 };
  const seven = { bufferPh: 7, readingPh: 6.95 };

  it("4.1 and 6.95 in buffers 4 and 7: slope 95 %, offset −0.05", () => {
    const calibration = calibrationOf(four, seven);
    expect(calibration?.slopePercent).toBeCloseTo(95, 9);
    expect(calibration?.offsetPh).toBeCloseTo(-0.05, 9);
    expect(calibration?.isSound).toBe(true);
  });

  it.each([
    [2.69, false],
    [2.701, true],
    [3.149, true],
    [3.16, false],
  ])("a span of %d over three pH is sound: %s", (span, isSound) => {
    expect(calibrationOf({ bufferPh: 4, readingPh: 4 }, { bufferPh: 7, readingPh: 4 + span })?.isSound).toBe(isSound);
  });

  it("puts a reading back on the scale of the buffers", () => {
    expect(correctedPh(4.1, four, seven)).toBeCloseTo(4, 12);
    expect(correctedPh(6.95, four, seven)).toBeCloseTo(7, 12);
    expect(correctedPh(5.525, four, seven)).toBeCloseTo(5.5, 12);
  });

  it("two buffers of one pH, or a dead electrode, calibrate nothing", () => {
    expect(calibrationOf(four, four)).toBeNull();
    expect(correctedPh(5, { bufferPh: 4, readingPh: 5 }, { bufferPh: 7, readingPh: 5 })).toBeNull();
  });
});

describe("a stock solution", () => {
  const wish = {
    solute: "citric acid",
    kind: "acid" as const,
    strengthPercent: 25,
    percentOfMaterial: 99.5,
    grams: 100,
    madeOn: "2026-11-30",
  };

  it("100 g of 25 % out of a 99.5 % powder: 25.126 g and 74.874 g of water, kept three months", () => {
    const plan = planStock(wish);
    expect(plan.soluteGrams).toBeCloseTo(25.1256, 4);
    expect(plan.soluteGrams + plan.waterGrams).toBeCloseTo(100, 12);
    expect(plan.discardOn).toBe("2027-02-28");
    expect(plan.steps[1]).toMatch(/^Add the citric acid to the water/);
  });

  it("can be kept up to twelve months and no longer", () => {
    expect(planStock({ ...wish, monthsToKeep: 12 }).discardOn).toBe("2027-11-30");
    expect(() => planStock({ ...wish, monthsToKeep: 13 })).toThrow("up to 12 months");
  });

  it("cannot be stronger than what it is made of", () => {
    expect(() => planStock({ ...wish, percentOfMaterial: 20 })).toThrow("holds 20 %");
  });

  it("of a base warns of gloves and eyes; of salt of nothing", () => {
    expect(planStock({ ...wish, kind: "base" }).cautions.join(" ")).toMatch(/gloves and eye protection/);
    expect(planStock({ ...wish, kind: null }).cautions).toEqual([]);
  });
});

describe("the first dose of the next batch", () => {
  it("3 g of a 50 % solution in 500 g are 0.6 %; 90 % of it for 1,000 g of a 25 % one is 10.8 g", () => {
    const earlier = { totalGrams: 3, batchGrams: 500, strengthPercent: 50 };
    expect(percentOfBatch(earlier)).toBeCloseTo(0.6, 12);
    expect(startingDoseGrams(earlier, 1000, 25)).toBeCloseTo(10.8, 12);
  });
});

describe("the mass of a drop", () => {
  it("20 drops of 0.94 g are 0.047 g each; 19 are too few", () => {
    expect(dropMassGrams(0.94, 20)).toBeCloseTo(0.047, 12);
    expect(() => dropMassGrams(0.94, 19)).toThrow("19 drops");
    expect(() => dropMassGrams(0, 20)).toThrow("do not tell");
  });
});
