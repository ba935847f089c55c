import { describe, expect, it } from "vitest";
import { resolveLines } from "../formula/resolveLines.ts";
import { library, sheetOf, type WrittenLine } from "../testing/exampleSheet.ts";
import type { Cleanser } from "./cleansers.ts";
import { foamOf, foamWords, looseOilPercent } from "./foam.ts";
import { irritationBand, irritationOf, zeinIndex } from "./irritation.ts";

const cleanser = (changes: Partial<Cleanser>): Cleanser => ({
  slug: "c",
  name: "C",
  charge: "anionic",
  molarMass: 300,
  cmcMillimolar: 1,
  zein: { low: 100, high: 200 },
  foam: { flash: 8, density: 6, stability: 5 },
  percent: 10,
  lines: ["c"],
  ...changes,
});

describe("irritation estimate", () => {
  it("zein 150 at relief 0.5 and 12 % active: 150 × 0.7 = 105, × 12 ⁄ 15 = 84, mild", () => {
    expect(irritationOf(150, 0.5, 12)).toEqual({ index: 105, load: 84, band: "mild" });
  });

  it("an undefined relief saves nothing", () => {
    expect(irritationOf(150, null, 15).index).toBe(150);
  });

  it.each([
    [59.999, "very mild"],
    [60, "mild"],
    [119.999, "mild"],
    [120, "moderate"],
    [199.999, "moderate"],
    [200, "strong"],
    [319.999, "strong"],
    [320, "harsh"],
  ])("a load of %d is %s", (load, band) => expect(irritationBand(load)).toBe(band));

  it("the zein number of a blend is weighted by active: (150 × 10 + 90 × 5) ⁄ 15 = 130", () => {
    expect(zeinIndex([cleanser({}), cleanser({ zein: { low: 80, high: 100 }, percent: 5 })])).toBeCloseTo(130, 12);
    expect(zeinIndex([cleanser({}), cleanser({ zein: null })])).toBeNull();
    expect(zeinIndex([])).toBeNull();
  });
});

describe("foam estimate", () => {
  it("10 % active: 8 × (1 − e^(−2.5)) = 7.3433", () => {
    expect(foamOf([cleanser({})], 0)?.flash).toBeCloseTo(7.34332, 5);
  });

  it("2 % loose oil takes 16 %; 10 % leaves 0.3", () => {
    expect(foamOf([cleanser({})], 2)?.flash).toBeCloseTo(7.34332 * 0.84, 5);
    expect(foamOf([cleanser({})], 10)?.flash).toBeCloseTo(7.34332 * 0.3, 5);
  });

  it.each([
    [14.99, 0],
    [15, 1],
    [50, 1],
    [50.01, 0],
  ])("%d %% of amphoterics add %d of stability, after the factors", (amphoteric, more) => {
    const blend = [cleanser({ percent: 100 - amphoteric }), cleanser({ charge: "amphoteric", percent: amphoteric })];
    expect(foamOf(blend, 0)?.stability).toBeCloseTo(5 + more, 6);
  });

  it("never above 10, none without actives or figures", () => {
    const strong = { flash: 10, density: 10, stability: 10 };
    const blend = [cleanser({ percent: 80, foam: strong }), cleanser({ charge: "amphoteric", percent: 20, foam: strong })];
    expect(foamOf(blend, 0)?.stability).toBe(10);
    expect(foamOf([], 0)).toBeNull();
    expect(foamOf([cleanser({ foam: null })], 0)).toBeNull();
  });

  it("says it in words", () => {
    expect(foamWords({ flash: 9, density: 6, stability: 5 })).toBe("large, loose bubbles that form quickly; collapses soon");
    expect(foamWords({ flash: 6, density: 9, stability: 8 })).toBe("small, dense bubbles that form slowly; stable");
    expect(foamWords({ flash: 7, density: 7.5, stability: 7 })).toBe("even, medium bubbles; stable");
    expect(foamWords({ flash: 2, density: 1, stability: 7 })).toBe("hardly any foam");
    expect(foamWords({ flash: 7, density: 7, stability: 6 })).toBe("even, medium bubbles; stable");
    expect(foamWords({ flash: 7, density: 7, stability: 5.99 })).toBe("even, medium bubbles; collapses soon");
  });
});

describe("loose oil", () => {
  const loose = (lines: readonly WrittenLine[], active: number) => looseOilPercent(resolveLines(sheetOf(lines), library).sheet, active);

  it("3 % sunflower oil and scent beside 12 % active and 4 % solubiliser: 3 − 1.2 − 1 = 0.8 %", () => {
    expect(
      loose(
        [
          ["water-distilled", "q.s."],
          ["sunflower-oil", 2.5],
          ["lavender-oil", 0.5],
          ["polysorbate-20", 4],
        ],
        12,
      ),
    ).toBeCloseTo(0.8, 12);
  });

  it("is never below 0", () =>
    expect(
      loose(
        [
          ["water-distilled", "q.s."],
          ["lavender-oil", 0.5],
        ],
        12,
      ),
    ).toBe(0));
});
