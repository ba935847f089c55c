import { describe, expect, it } from "vitest";
import { assess } from "../assessment/assess.ts";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import type { Material } from "../library/material.ts";
import { percentAsSolution, soluteContentPercent, STOCK_WATER, stockMaterial } from "./stockMaterial.ts";

const citric = library.get("citric-acid-anhydrous") as Material;

describe("a stock solution as a material", () => {
  const solution = stockMaterial(citric, 25, "citric-25");

  it("25 % out of a 99.5 % powder: 25 × 100 ÷ 99.5 = 25.126 % of it, the rest water", () => {
    expect(soluteContentPercent(citric)).toBe(99.5);
    expect(solution.parts[0]?.percent).toBeCloseTo(25.1256, 4);
    expect(solution.parts[1]).toEqual({ material: STOCK_WATER, percent: 100 - (solution.parts[0]?.percent ?? 0) });
    expect(solution.name).toBe("Citric acid anhydrous 25 % solution");
  });

  it("0.3 % of the powder is 0.3 × 100 ÷ 25.126 = 1.194 % of the solution; what holds none of it cannot stand for it", () => {
    expect(percentAsSolution(0.3, solution.parts, citric.slug)).toBeCloseTo(1.194, 3);
    expect(percentAsSolution(0.3, solution.parts, "glycerin")).toBeNull();
  });

  it("on a sheet says the same as the powder: its water is water", () => {
    const base = [
      [STOCK_WATER, "q.s."],
      ["coco-glucoside", 20],
    ] as const;
    const dry = assess(sheetOf([...base, [citric.slug, 0.3]]), library);
    const wet = assess(
      sheetOf([...base, ["citric-25", percentAsSolution(0.3, solution.parts, citric.slug) ?? 0]]),
      new Map([...library, ["citric-25", solution]]),
    );
    const water = (of: typeof dry) => of.composition.find(({ inci }) => inci === "Aqua")?.percent ?? 0;
    expect(water(wet)).toBeCloseTo(water(dry), 9);
    expect(wet.activeMatter.percent).toBeCloseTo(dry.activeMatter.percent, 12);
  });
});
