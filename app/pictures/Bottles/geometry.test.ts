import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bottleRow } from "./geometry";

const row = (changes: Partial<Parameters<typeof bottleRow>[0]> = {}) =>
  bottleRow({ type: "bottle", planned: 100, count: 5, filled: [{ number: 1, grams: 50 }], current: 2, ...changes });

describe("a row of bottles", () => {
  it("one with half of its mass is half as full as one with all of it", () => {
    const half = row().places[0]!;
    const full = row({ filled: [{ number: 1, grams: 100 }] }).places[0]!;
    expect(half.fillHeight).toBeCloseTo(full.fillHeight / 2, 9);
    expect(half.fillY + half.fillHeight).toBeCloseTo(full.fillY + full.fillHeight, 9);
    expect(row({ filled: [{ number: 1, grams: 180 }] }).places[0]!.fillHeight).toBe(full.fillHeight);
  });

  it("tells the filled, the one being filled and those to come; of many it shows those around it", () => {
    expect(row().places.map(({ state }) => state)).toEqual(["filled", "current", "open", "open"]);
    const { places, hidden } = row({ count: 40, current: 20 });
    expect(places.map(({ number }) => number)).toEqual([18, 19, 20, 21]);
    expect(hidden).toEqual({ before: 17, behind: 19 });
  });

  it("never leaves its picture, and always shows the one being filled", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 0, max: 500 }),
        (count, current, grams) => {
          const { width, height, places } = row({ count, current, filled: [{ number: 1, grams }] });
          expect(places.some(({ number }) => number === current)).toBe(true);
          for (const { x, fillY, fillHeight } of places) {
            expect(x).toBeGreaterThanOrEqual(0);
            expect(x).toBeLessThan(width);
            expect(fillY).toBeGreaterThanOrEqual(0);
            expect(fillY + fillHeight).toBeLessThanOrEqual(height);
          }
        },
      ),
    );
  });
});
