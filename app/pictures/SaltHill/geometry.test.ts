import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { SALT_HILL, saltHillGeometry } from "./geometry";

describe("thickness over salt", () => {
  it("more salt is further right, ten times as thick one decade up", () => {
    const readings = [
      { saltPercent: 0.9, viscosity: 0.2 },
      { saltPercent: 1.4, viscosity: 2 },
    ];
    const drawn = saltHillGeometry({ readings, target: 2.5, expected: { saltPercent: 1.6, viscosity: 2.4, low: 1.8, high: 3.2 } });
    const [first, second] = drawn.points;
    expect(second?.x).toBeGreaterThan(first?.x ?? 0);
    expect(second?.y).toBeLessThan(first?.y ?? 0);
    expect(drawn.path).toBe(`M${first?.x} ${first?.y}H${second?.x}V${second?.y}`);
    expect(drawn.expected?.high).toBeLessThan(drawn.expected?.low ?? 0);
    const [one, ten] = [0.2, 2].map((value) => drawn.yTicks.find((tick) => tick.value === value)?.y ?? Number.NaN);
    expect(first?.y).toBeCloseTo(one ?? 0, 0);
    expect(second?.y).toBeCloseTo(ten ?? 0, 0);
  });

  it("whatever is read lies inside the picture", () => {
    const reading = fc.record({
      saltPercent: fc.double({ min: 0, max: 12, noNaN: true }),
      viscosity: fc.double({ min: 0.001, max: 1_000, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 10 }), (readings) => {
        for (const { x, y } of saltHillGeometry({ readings, target: 2.5, expected: null }).points) {
          expect(x).toBeGreaterThanOrEqual(SALT_HILL.left);
          expect(x).toBeLessThanOrEqual(SALT_HILL.width - SALT_HILL.right);
          expect(y).toBeGreaterThanOrEqual(SALT_HILL.top);
          expect(y).toBeLessThanOrEqual(SALT_HILL.height - SALT_HILL.bottom);
        }
      }),
    );
  });
});
