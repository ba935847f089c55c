import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { lotsToUseFirst } from "./lotsToUseFirst.ts";
import type { ShelfLot } from "./shelfLot.ts";

const lot = (code: string, leftGrams: number, endsOn: string | null, material = "coco-glucoside"): ShelfLot => ({
  ...{ id: code, material, code, leftGrams, packGrams: 1000, assayPercent: null, price: null, solutionOf: null, endsOn },
});
const told = (lots: readonly ShelfLot[], grams: number) =>
  lotsToUseFirst(lots, "coco-glucoside", grams).map(({ lot: { code }, grams: of }) => [code, of]);

describe("lots a new line is weighed from", () => {
  const shelf = [
    lot("open end", 900, null),
    lot("March", 40, "2027-03-01"),
    lot("June", 300, "2027-06-01"),
    lot("other", 500, null, "aos"),
  ];

  it("the one that ends first, alone where it reaches", () => {
    expect(told(shelf, 40)).toEqual([["March", null]]);
  });

  it("and the next ones for what it leaves", () => {
    expect(told(shelf, 100)).toEqual([
      ["March", 40],
      ["June", null],
    ]);
  });

  it("all of them where they do not reach, and none where none stands there", () => {
    expect(told(shelf, 5000)).toEqual([
      ["March", 40],
      ["June", 300],
      ["open end", null],
    ]);
    expect(told([lot("empty", 0, null)], 10)).toEqual([]);
  });

  it("takes no more of a lot than there is, but of the last", () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 900, noNaN: true })),
        fc.double({ min: 0.1, max: 3000, noNaN: true }),
        (left, grams) => {
          const lots = left.map((grams_, at) => lot(`L${at}`, grams_, null));
          const taken = lotsToUseFirst(lots, "coco-glucoside", grams);
          const said = taken.reduce((sum, { grams: of }) => sum + (of ?? 0), 0);
          expect(said).toBeLessThan(grams);
          expect(taken.filter(({ grams: of }) => of === null)).toHaveLength(lots.length === 0 ? 0 : 1);
        },
      ),
    );
  });
});
