import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { LATHER, latherGeometry } from "./geometry";

describe("three cylinders of foam", () => {
  it("are of one scale: twice the foam is twice as high", () => {
    const [first, , last] = latherGeometry({ atOnceMm: 100, afterOneMinuteMm: 80, afterFiveMinutesMm: 50 });
    expect(first!.liquid - first!.foam).toBeCloseTo(2 * (last!.liquid - last!.foam), 9);
    expect(first!.liquid).toBe(last!.liquid);
  });

  it("hold whatever was read", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1000, noNaN: true }), (atOnceMm) => {
        for (const jar of latherGeometry({ atOnceMm, afterOneMinuteMm: atOnceMm / 2, afterFiveMinutesMm: 0 })) {
          expect(jar.foam).toBeGreaterThanOrEqual(jar.top);
          expect(jar.foam).toBeLessThanOrEqual(jar.liquid);
          expect(jar.x + jar.width).toBeLessThanOrEqual(LATHER.width);
        }
      }),
    );
  });
});
