import { drawnCurveOf } from "@tensidrum/core/rheology";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { NARROW_SALT_CURVE, SALT_CURVE, saltCurveGeometry } from "./geometry";

describe("thickness over salt", () => {
  it("more salt is further right, ten times as thick one decade up", () => {
    const readings = [
      { saltPercent: 0.9, viscosity: 0.2 },
      { saltPercent: 1.4, viscosity: 2 },
    ];
    const drawn = saltCurveGeometry({ readings, target: 2.5, expected: { saltPercent: 1.6, viscosity: 2.4, low: 1.8, high: 3.2 } });
    const [first, second] = drawn.points;
    expect(second?.x).toBeGreaterThan(first?.x ?? 0);
    expect(second?.y).toBeLessThan(first?.y ?? 0);
    expect(drawn.path).toBe(`M${first?.x},${first?.y}L${second?.x},${first?.y}L${second?.x},${second?.y}`);
    expect(drawn.expected?.high).toBeLessThan(drawn.expected?.low ?? 0);
    const [one, ten] = [0.2, 2].map((value) => drawn.yTicks.find((tick) => tick.value === value)?.y ?? Number.NaN);
    expect(first?.y).toBeCloseTo(one ?? 0, 0);
    expect(second?.y).toBeCloseTo(ten ?? 0, 0);
  });

  it.each([SALT_CURVE, NARROW_SALT_CURVE])("whatever is read lies inside the picture, with few ticks: %o", (frame) => {
    const reading = fc.record({
      saltPercent: fc.double({ min: 0, max: 12, noNaN: true }),
      viscosity: fc.double({ min: 0.001, max: 1_000, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 10 }), (readings) => {
        const { points, xTicks } = saltCurveGeometry({ readings, target: 2.5, expected: null }, frame);
        for (const { x, y } of points) {
          expect(x).toBeGreaterThanOrEqual(frame.left);
          expect(x).toBeLessThanOrEqual(frame.width - frame.right);
          expect(y).toBeGreaterThanOrEqual(frame.top);
          expect(y).toBeLessThanOrEqual(frame.height - frame.bottom);
        }
        expect(xTicks.length).toBeGreaterThan(1);
        expect(xTicks.length).toBeLessThanOrEqual(8);
      }),
    );
  });
});

describe("the salt curve under the dots", () => {
  const saltCurve = drawnCurveOf({ peakSaltPercent: 2.4, width: 0.6, baseline: -1, height: 1.6 }, { from: 0.8, to: 3.2 });
  const saltSamples = [
    { saltPercent: 0.8, viscosity: 0.12 },
    { saltPercent: 2.4, viscosity: 4 },
    { saltPercent: 3.2, viscosity: 0.5 },
  ];
  const drawn = saltCurveGeometry({ readings: [], saltSamples, saltCurve, target: 2.5, expected: null });

  it("the safe part ends at the peak, left of the peak, and the rest is beyond", () => {
    expect(drawn.saltCurve?.peakX).toBeLessThan(drawn.saltCurve?.peak.x ?? 0);
    const ends = (path: string) => [...path.matchAll(/[ML]([\d.]+),/g)].map(([, x]) => Number(x));
    expect(Math.max(...ends(drawn.saltCurve?.safe ?? ""))).toBeLessThanOrEqual(drawn.saltCurve?.peakX ?? 0);
    expect(Math.min(...ends(drawn.saltCurve?.beyond ?? ""))).toBeGreaterThanOrEqual(drawn.saltCurve?.peakX ?? 0);
  });

  it("samples lie on it, and a known salt curve has no band", () => {
    expect(drawn.saltSamples).toHaveLength(3);
    expect(drawn.saltSamples[1]?.x).toBe(drawn.saltCurve?.peak.x);
    expect(Math.abs((drawn.saltSamples[1]?.y ?? 0) - (drawn.saltCurve?.peak.y ?? 0))).toBeLessThan(1);
    expect(drawn.saltCurve?.band).toBe("");
  });

  it("the band of a fit goes out above and comes back below", () => {
    const fitted = {
      ...saltCurve,
      points: saltCurve.points.map((one) => ({ ...one, low: one.viscosity * 0.8, high: one.viscosity * 1.25 })),
    };
    const band = saltCurveGeometry({ readings: [], saltSamples, saltCurve: fitted, target: 2.5, expected: null }).saltCurve?.band ?? "";
    expect(band.startsWith("M")).toBe(true);
    expect(band.endsWith("Z")).toBe(true);
    expect(band.match(/[ML]/g)).toHaveLength(2 * saltCurve.points.length);
  });
});
