import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answerSaltCurve } from "./answerSaltCurve.ts";
import { fitSaltCurve, type SaltPoint } from "./fitSaltCurve.ts";
import { log10Viscosity, safeMaxPercent, saltFor, viscosityAt, type SaltCurve } from "./saltCurve.ts";

const saltCurve: SaltCurve = { peakSaltPercent: 2.4, width: 0.6, baseline: -1, height: 2 };
const jarsAt = (salts: readonly number[], of: SaltCurve = saltCurve): readonly SaltPoint[] =>
  salts.map((saltPercent) => ({ saltPercent, viscosity: viscosityAt(of, saltPercent) }));
const usual = [1.2, 1.8, 2.1, 2.4, 2.7, 3];

describe("the salt curve", () => {
  it("is 10 at its peak, and 10^0.2131 one width away: −1 + 2 e^(−½) = 0.2131", () => {
    expect(viscosityAt(saltCurve, 2.4)).toBeCloseTo(10, 12);
    expect(log10Viscosity(saltCurve, 3)).toBeCloseTo(0.2130613, 7);
  });

  it("is safe to 2.4 − 0.6 ⁄ 3 = 2.2 %", () => expect(safeMaxPercent(saltCurve)).toBeCloseTo(2.2, 12));

  it("reaches 3 on the rising side at 1.9329 %, and never 0.1 or 11", () => {
    expect(saltFor(saltCurve, 3)).toBeCloseTo(1.932884, 5);
    expect(viscosityAt(saltCurve, saltFor(saltCurve, 3)!)).toBeCloseTo(3, 10);
    expect([saltFor(saltCurve, 0.1), saltFor(saltCurve, 11)]).toEqual([null, null]);
  });
});

describe("the fit", () => {
  it("recovers the salt curve the jars were laid on", () => {
    const fitted = fitSaltCurve(jarsAt(usual));
    expect(fitted.found).toBe(true);
    if (!fitted.found) return;
    expect(fitted.value.saltCurve.peakSaltPercent).toBeCloseTo(2.4, 6);
    expect(fitted.value.saltCurve.width).toBeCloseTo(0.6, 6);
    expect(fitted.value.saltCurve.baseline).toBeCloseTo(-1, 6);
    expect(fitted.value.saltCurve.height).toBeCloseTo(2, 6);
    expect(fitted.value.rmsLog10).toBeCloseTo(0, 8);
  });

  it("whatever the salt curve, as long as the jars bracket its peak", () => {
    const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(between(1.5, 3.2), between(0.3, 1), between(-2.5, 0), between(0.7, 3), (peakSaltPercent, width, baseline, height) => {
        const drawn = { peakSaltPercent, width, baseline, height };
        const salts = Array.from({ length: 9 }, (_, k) => peakSaltPercent + (k - 4) * 0.5 * width);
        const fitted = fitSaltCurve(jarsAt(salts, drawn));
        expect(fitted.found && fitted.value.saltCurve.peakSaltPercent).toBeCloseTo(peakSaltPercent, 4);
        expect(fitted.found && fitted.value.saltCurve.width).toBeCloseTo(width, 4);
      }),
    );
  });

  it("readings off by turns of 8 % keep the peak within its 95 % range, and the band holds the truth", () => {
    const noisy = jarsAt([1.2, 1.5, 1.8, 2.1, 2.4, 2.7, 3, 3.3]).map(({ saltPercent, viscosity }, k) => ({
      saltPercent,
      viscosity: viscosity * [1.08, 0.95, 1.02, 0.93, 1.05, 0.98, 1.06, 0.94][k]!,
    }));
    const fitted = fitSaltCurve(noisy);
    if (!fitted.found) throw new Error(fitted.reason);
    const { peakRange, band } = fitted.value;
    expect(peakRange!.low).toBeLessThan(2.4);
    expect(peakRange!.high).toBeGreaterThan(2.4);
    const { low, high } = band(2)!;
    expect(low).toBeLessThan(viscosityAt(saltCurve, 2));
    expect(high).toBeGreaterThan(viscosityAt(saltCurve, 2));
  });

  it("beats every salt curve near it: a least-squares solution", () => {
    const noisy = jarsAt(usual).map(({ saltPercent, viscosity }, k) => ({ saltPercent, viscosity: viscosity * (k % 2 === 0 ? 1.1 : 0.9) }));
    const fitted = fitSaltCurve(noisy);
    if (!fitted.found) throw new Error(fitted.reason);
    const squares = (of: SaltCurve) =>
      noisy.reduce((sum, { saltPercent, viscosity }) => sum + (Math.log10(viscosity) - log10Viscosity(of, saltPercent)) ** 2, 0);
    const best = squares(fitted.value.saltCurve);
    for (const key of ["peakSaltPercent", "width", "baseline", "height"] as const) {
      for (const step of [-1e-3, 1e-3]) {
        expect(squares({ ...fitted.value.saltCurve, [key]: fitted.value.saltCurve[key] + step })).toBeGreaterThan(best);
      }
    }
  });

  it.each([
    ["four jars", jarsAt([1, 2, 2.4, 3]), "fewer than 5 points"],
    ["jars that only rise", jarsAt([0.8, 1.1, 1.4, 1.7, 2, 2.2]), "bracket"],
    ["jars that never change", [1, 1.5, 2, 2.5, 3].map((saltPercent) => ({ saltPercent, viscosity: 1 })), "no peak"],
    ["five jars of two salts", [1, 1, 1, 2, 2].map((saltPercent, k) => ({ saltPercent, viscosity: 1 + k })), "too few different salts"],
  ])("does not converge on %s, and says why", (_title, points, reason) => {
    const fitted = fitSaltCurve(points);
    expect(fitted.found).toBe(false);
    expect(!fitted.found && fitted.reason).toContain(reason);
  });
});

describe("the answer for jars", () => {
  it("a target beyond the safe part is not recommended; the highest safe thickness is named", () => {
    const { recommendSaltPercent, text } = answerSaltCurve(jarsAt(usual), 9.9);
    expect(recommendSaltPercent).toBeNull();
    expect(text).toContain("highest safe thickness is 7.8");
    expect(viscosityAt(saltCurve, 2.2)).toBeCloseTo(7.797, 3);
  });

  it("a target thinner than the base is not either", () => {
    expect(answerSaltCurve(jarsAt(usual), 0.05)).toMatchObject({ recommendSaltPercent: null });
  });

  it("without a fit the dots keep their slope: 1 to 10 over 1 % is one decade per percent", () => {
    const points = [
      { saltPercent: 2, viscosity: 10 },
      { saltPercent: 1, viscosity: 1 },
    ];
    expect(answerSaltCurve(points, 3)).toMatchObject({
      fit: null,
      safeMaxPercent: null,
      recommendSaltPercent: null,
      slopeLog10PerPercent: 1,
    });
    expect(answerSaltCurve([], null).slopeLog10PerPercent).toBeNull();
  });
});
