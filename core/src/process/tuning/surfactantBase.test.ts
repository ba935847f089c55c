import { describe, expect, it } from "vitest";
import { drawnCurveOf, fittedCurve, safeMaxPercent, viscosityAt } from "../../rheology/index.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { planBatch } from "../batch/planBatch.ts";
import { surfactantBaseOf } from "./surfactantBase.ts";

type Line = readonly [string, number | "q.s."];
const base = (...lines: Line[]) => surfactantBaseOf(planBatch(sheetOf([["water-distilled", "q.s."], ...lines]), 500, library));
const SLES: Line = ["sles-2eo-28", 30];
const BETAINE: Line = ["cocamidopropyl-betaine", 15];

describe("the surfactant part of a formula", () => {
  const found = base(SLES, BETAINE);

  it("is the same whatever else is in it, and in whatever order it stands", () => {
    expect(found?.hash).toMatch(/^[0-9a-f]{64}$/);
    expect(base(BETAINE, ["glycerin", 3], ["citric-acid-solution-50", 0.3], SLES)?.hash).toBe(found?.hash);
    expect(base(SLES, BETAINE, ["sodium-chloride", 2])?.hash).toBe(found?.hash);
  });

  it("is another one with a surfactant more or a percent more of one", () => {
    expect(base(SLES, ["cocamidopropyl-betaine", 18])?.hash).not.toBe(found?.hash);
    expect(base(SLES)?.hash).not.toBe(found?.hash);
  });

  it("tells its strongest first and the salt it brings along, not the salt that is added", () => {
    expect(found?.cleansers[0]?.percent).toBeCloseTo(8.4, 0);
    expect(found?.hiddenSaltPercent).toBeGreaterThan(0.5);
    expect(base(SLES, BETAINE, ["sodium-chloride", 2])?.hiddenSaltPercent).toBeCloseTo(found?.hiddenSaltPercent ?? 0, 1);
  });

  it("is none without a surfactant", () => {
    expect(base(["glycerin", 5])).toBeNull();
  });
});

describe("a salt curve for a picture", () => {
  const saltCurve = { peakSaltPercent: 2.4, width: 0.6, baseline: -1, height: 1.6 };
  const jars = [0.8, 1.2, 1.6, 2, 2.4, 2.8, 3.2].map((saltPercent) => ({ saltPercent, viscosity: viscosityAt(saltCurve, saltPercent) }));

  it("fitted through jars of a known salt curve it has that peak and that safe part", () => {
    const drawn = fittedCurve(jars);
    expect(drawn?.peakSaltPercent).toBeCloseTo(2.4, 4);
    expect(drawn?.safeMaxPercent).toBeCloseTo(safeMaxPercent(saltCurve), 4);
    expect(drawn?.peakViscosity).toBeCloseTo(10 ** 0.6, 3);
    expect(drawn?.typicalMissPercent).toBeCloseTo(0, 3);
    expect(drawn?.points.every(({ viscosity, low, high }) => low !== null && high !== null && low <= viscosity && viscosity <= high)).toBe(
      true,
    );
  });

  it("four jars draw no salt curve", () => {
    expect(fittedCurve(jars.slice(0, 4))).toBeNull();
  });

  it("a known salt curve goes from end to end without a band", () => {
    const { points, typicalMissPercent } = drawnCurveOf(saltCurve, { from: 1, to: 3 });
    expect([points[0]?.saltPercent, points.at(-1)?.saltPercent]).toEqual([1, 3]);
    expect(points[0]).toMatchObject({ low: null, high: null });
    expect(typicalMissPercent).toBeNull();
  });
});
