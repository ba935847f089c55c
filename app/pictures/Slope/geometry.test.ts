import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { SLOPE, slopeGeometry } from "./geometry";

const endsOf = (before: number, now: number): readonly number[] =>
  [...slopeGeometry({ before, now }).line.matchAll(/,([\d.]+)/g)].map(([, y]) => Number(y));

describe("the way from one value to the next", () => {
  it("rises with more, falls with less, is level with the same", () => {
    const [from, to] = endsOf(2, 3);
    expect(to!).toBeLessThan(from!);
    expect(endsOf(3, 2)[1]!).toBeGreaterThan(endsOf(3, 2)[0]!);
    expect(slopeGeometry({ before: 5, now: 5 }).isLevel).toBe(true);
    expect(slopeGeometry({ before: 0, now: 0 }).isLevel).toBe(true);
  });

  it("is the steeper the more of it changed, and stays in its picture", () => {
    const rise = (now: number): number => endsOf(100, now)[0]! - endsOf(100, now)[1]!;
    expect(rise(110)).toBeLessThan(rise(130));
    fc.assert(
      fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), fc.double({ min: -1e6, max: 1e6, noNaN: true }), (before, now) => {
        for (const y of endsOf(before, now)) {
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(SLOPE.height);
        }
      }),
    );
  });
});
