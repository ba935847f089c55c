import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { NEARNESS, nearnessGeometry } from "./geometry";

describe("rounds beside the one to come close to", () => {
  it("lie in the band where nobody would notice, on the side they are off", () => {
    const { band, middle, rows } = nearnessGeometry([{ what: "slip", offs: [-2, 0.5, 1] }]);
    const [low, near, edge] = rows[0]!.dots;
    expect(low!.x).toBeLessThan(band.from);
    expect(near!.x).toBeGreaterThan(middle);
    expect(edge!.x).toBeCloseTo(band.from + band.width, 6);
    expect(edge!.isLast).toBe(true);
  });

  it("what nobody measured has no dot, and what is far off stays in the picture", () => {
    expect(nearnessGeometry([{ what: "pH", offs: [null, 1, null] }]).rows[0]!.dots).toHaveLength(1);
    fc.assert(
      fc.property(fc.double(), (off) => {
        fc.pre(!Number.isNaN(off));
        const [dot] = nearnessGeometry([{ what: "pH", offs: [off] }]).rows[0]!.dots;
        expect(dot!.x).toBeGreaterThanOrEqual(NEARNESS.left);
        expect(dot!.x).toBeLessThanOrEqual(NEARNESS.width - NEARNESS.right);
      }),
    );
  });
});
