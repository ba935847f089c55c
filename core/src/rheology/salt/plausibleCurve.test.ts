import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { climbedAt, plausibleLog10, plausibleSafeMax, plausibleSaltFor, type PlausibleCurve } from "./plausibleCurve.ts";
import { log10Viscosity, safeMaxPercent, saltFor } from "./saltCurve.ts";

const plain: PlausibleCurve = { peakSaltPercent: 2.4, width: 0.6, baseline: -1, height: 2, plateauPercent: 0, steepPart: 0 };
const anyCurve = fc.record({
  peakSaltPercent: fc.double({ min: 1.2, max: 3.5, noNaN: true }),
  width: fc.double({ min: 0.25, max: 1, noNaN: true }),
  baseline: fc.double({ min: -2, max: 0, noNaN: true }),
  height: fc.double({ min: 0.1, max: 3, noNaN: true }),
  plateauPercent: fc.double({ min: 0, max: 0.6, noNaN: true }),
  steepPart: fc.double({ min: 0, max: 0.7, noNaN: true }),
});

describe("a plausible salt curve", () => {
  it("without plateau and steep part is the fitted one", () => {
    for (const salt of [0.8, 1.5, 2.4, 3]) expect(plausibleLog10(plain, salt)).toBeCloseTo(log10Viscosity(plain, salt), 12);
    expect(plausibleSafeMax(plain)).toBe(safeMaxPercent(plain));
    expect(plausibleSaltFor(plain, Math.log10(3))).toBeCloseTo(saltFor(plain, 3)!, 9);
  });

  it("is as thick all over its plateau: 0.4 % before a peak at 2.4 %", () => {
    const flat = { ...plain, plateauPercent: 0.4 };
    expect(climbedAt(flat, 2)).toBe(1);
    expect(climbedAt(flat, 2.4)).toBe(1);
    expect(climbedAt(flat, 1.4)).toBeCloseTo(Math.exp(-0.5), 12);
    expect(plausibleSafeMax(flat)).toBeCloseTo(2, 12);
  });

  it("the salt for a thickness has that thickness, on the rising side, and what it never reaches has none", () => {
    fc.assert(
      fc.property(anyCurve, fc.double({ min: 0.05, max: 0.99, noNaN: true }), (curve, part) => {
        const log10 = curve.baseline + curve.height * part;
        const salt = plausibleSaltFor(curve, log10)!;
        expect(salt).toBeLessThanOrEqual(curve.peakSaltPercent);
        expect(plausibleLog10(curve, salt)).toBeCloseTo(log10, 2);
        expect(plausibleSaltFor(curve, curve.baseline + curve.height * 1.01)).toBeNull();
        expect(plausibleSaltFor(curve, curve.baseline - 0.01)).toBeNull();
      }),
    );
  });
});
