import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { assess } from "../../assessment/assess.ts";
import { cornerShares, rebalance, type CornerShares } from "./rebalance.ts";

// aos-40 is 39 % active, cocamidopropyl-betaine 30 %, coco-glucoside 52 %
const even = sheetOf([
  ["water-distilled", "q.s."],
  ["aos-40", 600 / 39],
  ["cocamidopropyl-betaine", 20],
]);

describe("moving the balance", () => {
  it("from 6 and 6 % to 25 : 75 the anionic halves and the amphoteric grows by a half", () => {
    const { percents, shares, stopped } = rebalance(even, { anionic: 25, amphoteric: 75, nonionic: 0 }, library);
    expect(percents[0]).toMatchObject({ line: "aos-40" });
    expect(percents[0]?.percent).toBeCloseTo(300 / 39, 9);
    expect(percents[1]?.percent).toBeCloseTo(30, 9);
    expect(shares.anionic).toBeCloseTo(25, 9);
    expect(stopped).toBeNull();
  });

  it("goes only along the types present", () => {
    const { shares, stopped } = rebalance(even, { anionic: 30, amphoteric: 30, nonionic: 40 }, library);
    expect(shares).toMatchObject({ nonionic: 0 });
    expect(shares.anionic).toBeCloseTo(50, 9);
    expect(stopped).toBe("type-missing");
  });

  it("stops where the rest is used up", () => {
    const full = sheetOf([
      ["water-distilled", "q.s."],
      ["glycerin", 62],
      ["aos-40", 600 / 39],
      ["cocamidopropyl-betaine", 20],
    ]);
    const { formula, stopped, shares } = rebalance(full, { anionic: 0, amphoteric: 100, nonionic: 0 }, library);
    expect(stopped).toBe("rest-used-up");
    expect(shares.amphoteric).toBeLessThan(100);
    expect(assess(formula, library).lines[0]?.percent).toBeCloseTo(0, 6);
  });

  it("a blend of several types stays, and so does a cationic", () => {
    const mixed = sheetOf([
      ["water-distilled", "q.s."],
      ["mild-anionic-preblend", 20],
      ["coco-glucoside", 10],
      ["cetrimonium-chloride", 1],
    ]);
    const { percents } = rebalance(mixed, { anionic: 10, amphoteric: 10, nonionic: 80 }, library);
    expect(percents.map(({ line }) => line)).toEqual(["coco-glucoside"]);
  });

  it("keeps the active matter, whatever is wished", () => {
    const part = fc.integer({ min: 0, max: 100 });
    fc.assert(
      fc.property(part, part, (a, b) => {
        const anionic = Math.min(a, 100 - 0);
        const amphoteric = Math.min(b, 100 - anionic);
        const wish: CornerShares = { anionic, amphoteric, nonionic: 100 - anionic - amphoteric };
        const three = sheetOf([
          ["water-distilled", "q.s."],
          ["aos-40", 12],
          ["cocamidopropyl-betaine", 12],
          ["coco-glucoside", 6],
        ]);
        const { formula, shares } = rebalance(three, wish, library);
        expect(assess(formula, library).activeMatter.percent).toBeCloseTo(assess(three, library).activeMatter.percent, 6);
        expect(shares.anionic + shares.amphoteric + shares.nonionic).toBeCloseTo(100, 9);
        const reached = cornerShares(formula, library);
        expect(reached?.anionic).toBeCloseTo(shares.anionic, 6);
      }),
    );
  });

  it("without cleansers there is nothing to move", () => {
    expect(cornerShares(sheetOf([["water-distilled", "q.s."]]), library)).toBeNull();
  });
});
