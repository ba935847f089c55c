import { describe, expect, it } from "vitest";
import { viscosityAt } from "../../rheology/salt/saltCurve.ts";
import { saltPeaksOf } from "./saltPeaks.ts";

const curve = { peakSaltPercent: 2.4, width: 0.6, baseline: -1, height: 1.6 };
const samplesOf = (base: string, salts: readonly number[], unit: "Pa·s" | "s" = "Pa·s") =>
  salts.map((saltPercent) => ({ base, saltPercent, viscosity: viscosityAt(curve, saltPercent), unit }));

describe("peaks of fitted salt curves", () => {
  it("seven samples of a known curve have its peak, 2.4 %, each base for itself", () => {
    const seven = [0.8, 1.2, 1.6, 2, 2.4, 2.8, 3.2];
    const peaks = saltPeaksOf([...samplesOf("a", seven), ...samplesOf("b", [1, 2, 2.4, 3])]);
    expect(Object.keys(peaks)).toEqual(["a"]);
    expect(peaks.a).toBeCloseTo(2.4, 4);
  });

  it("seconds of a funnel that was not calibrated draw none", () => {
    expect(saltPeaksOf(samplesOf("a", [0.8, 1.2, 1.6, 2, 2.4, 2.8, 3.2], "s"))).toEqual({});
  });
});
