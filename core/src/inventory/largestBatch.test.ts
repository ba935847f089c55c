import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { largestBatch } from "./largestBatch.ts";

const wash = sheetOf([
  ["water-distilled", "q.s."],
  ["cocamidopropyl-betaine", 12],
  ["glycerin", 5],
]);
const of = (betaine: number, glycerin: number) =>
  largestBatch(wash, new Map([["cocamidopropyl-betaine", betaine], ["glycerin", glycerin]]), library); // prettier-ignore

describe("the largest batch of the shelf", () => {
  it("84 g of a betaine at 12 % allow 700 g, whatever glycerin and water there is", () => {
    expect(of(84, 300)).toEqual({ grams: 700, limitedBy: ["cocamidopropyl-betaine"] });
    expect(of(840, 300)).toEqual({ grams: 6_000, limitedBy: ["glycerin"] });
  });

  it("names all that is not there", () => {
    expect(largestBatch(wash, new Map(), library)).toEqual({ grams: 0, limitedBy: ["cocamidopropyl-betaine", "glycerin"] });
    expect(of(0, 5)).toEqual({ grams: 0, limitedBy: ["cocamidopropyl-betaine"] });
  });

  it("water alone is limited by nothing; two lines of a material share what there is; the lines of a part count with it", () => {
    expect(largestBatch(sheetOf([["water-distilled", "q.s."]]), new Map(), library)).toEqual({ grams: null, limitedBy: [] });
    const parted = {
      ...wash,
      splits: [{ name: "half", sharePercent: 50, lines: [{ id: "g", phase: "A", material: "glycerin", percent: 10 }] }],
    };
    // 5 % of all and 10 % of a half
    expect(largestBatch(parted, new Map([["glycerin", 50], ["cocamidopropyl-betaine", 900]]), library).grams).toBeCloseTo(500, 6); // prettier-ignore
  });

  it("never takes more than there is, and leaves nothing of what limits it", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5_000 }), fc.integer({ min: 1, max: 5_000 }), (betaine, glycerin) => {
        const { grams } = of(betaine, glycerin);
        const [needs, needed] = [(0.12 * (grams ?? 0)) / betaine, (0.05 * (grams ?? 0)) / glycerin];
        expect(Math.max(needs, needed)).toBeCloseTo(1, 9);
      }),
    );
  });
});
