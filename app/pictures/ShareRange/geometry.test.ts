import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shareAt, shareRangeGeometry, shareTicks, SHARE_RANGE } from "./geometry";

describe("a share on a logarithmic scale", () => {
  it("ten times as much is as far to the right, wherever it begins", () => {
    const steps = shareTicks.slice(1).map(({ x }, at) => x - shareTicks[at]!.x);
    for (const step of steps) expect(step).toBeCloseTo(steps[0]!, 0);
  });

  it("where one points is what was drawn there, to two digits", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.002, max: 99, noNaN: true }), (percent) => {
        const { typical } = shareRangeGeometry({ min: percent, max: percent, typical: percent });
        expect(shareAt(typical) / percent).toBeCloseTo(1, 1);
      }),
    );
  });

  it("nothing and everything lie inside the picture, and a share that is certain can be seen", () => {
    const { from, width } = shareRangeGeometry({ min: 0, max: 100, typical: 50 });
    expect(from).toBeGreaterThanOrEqual(0);
    expect(from + width).toBeLessThanOrEqual(SHARE_RANGE.width);
    expect(shareRangeGeometry({ min: 3, max: 3, typical: 3 }).width).toBeGreaterThan(0);
  });
});
