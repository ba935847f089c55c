import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bandsOf, edgeLabels, gridIndex, levelPath, OUTLINE, placeOf, sharesAt } from "./geometry";

describe("the triangle's geometry", () => {
  it("anionic lies at the lower left, amphoteric at the lower right, nonionic at the top", () => {
    expect(placeOf({ anionic: 100, amphoteric: 0, nonionic: 0 })).toEqual({ x: 40, y: 44 + 280 * Math.sqrt(3) });
    expect(placeOf({ anionic: 0, amphoteric: 100, nonionic: 0 }).x).toBe(600);
    expect(placeOf({ anionic: 0, amphoteric: 0, nonionic: 100 })).toEqual({ x: 320, y: 44 });
    expect(OUTLINE).toBe("M40.0,529.0L600.0,529.0L320.0,44.0Z");
  });

  it("a place gives its shares back", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 100 }), (a, b) => {
        const anionic = a;
        const amphoteric = Math.min(b, 100 - a);
        const shares = { anionic, amphoteric, nonionic: 100 - anionic - amphoteric };
        const back = sharesAt(placeOf(shares));
        expect(back.anionic).toBeCloseTo(shares.anionic, 9);
        expect(back.nonionic).toBeCloseTo(shares.nonionic, 9);
      }),
    );
  });

  it("outside it the nearest edge counts, and shares always sum to 100", () => {
    const below = sharesAt({ x: 320, y: 900 });
    expect(below.nonionic).toBe(0);
    expect(below.anionic + below.amphoteric).toBeCloseTo(100, 9);
  });

  it("points stand in the order of the core: 2 steps are 6 points", () => {
    expect([gridIndex(2, 0, 0), gridIndex(2, 0, 2), gridIndex(2, 1, 0), gridIndex(2, 1, 1), gridIndex(2, 2, 0)]).toEqual([0, 2, 3, 4, 5]);
  });

  // One step: values at nonionic, amphoteric and anionic are 0, 0 and 10.
  it("a level of 5 cuts half way: between the anionic corner and the two others", () => {
    expect(levelPath([0, 0, 10], 1, 5)).toBe("M180.0,286.5L320.0,529.0");
    const [low, high] = bandsOf([0, 0, 10], 1, [0, 5, 10]);
    expect(high?.path).toBe("M180.0,286.5L40.0,529.0L320.0,529.0Z");
    expect(low?.path).toContain("600.0,529.0");
  });

  it("nothing is drawn where a value is missing", () => {
    expect(bandsOf([Number.NaN, 0, 10], 1, [0, 10])[0]?.path).toBe("");
  });

  // Two steps along the left edge: 0 at the top, 5 half way, 10 at the anionic corner (40, 529).
  it("a name stands beside the middle of its stretch of the left edge, and none where there is no room", () => {
    const values = [0, 0, 0, 5, 0, 10];
    const names = [
      { from: 5, to: 20, words: "strong" },
      { from: 0, to: 5, words: "mild" },
    ];
    const [strong, ...others] = edgeLabels(values, 2, names);
    expect(strong).toMatchObject({ words: "strong", x: (180 + 40) / 2 - 12 });
    expect(strong?.y).toBeCloseTo((286.49 + 528.97) / 2 + 4, 1);
    expect(others).toEqual([]);
  });
});
