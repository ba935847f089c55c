import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { NARROW_STAIR, STAIR, stairGeometry } from "./geometry";

const band = { low: 4.5, high: 5.2 };

describe("the stair of a titration", () => {
  it("treads are doses, drops are readings, and the expected one stands at the end of a tread", () => {
    const readings = [
      { grams: 0, ph: 7.6 },
      { grams: 2, ph: 5.5 },
    ];
    const drawn = stairGeometry({ readings, curve: readings, band, expected: { grams: 2.8, ph: 4.9, low: 4.7, high: 5.1 } });
    const [first, second] = drawn.points;
    expect(drawn.path).toBe(`M${first?.x},${first?.y}L${second?.x},${first?.y}L${second?.x},${second?.y}`);
    expect(first?.x).toBe(STAIR.left);
    expect(second?.y).toBeGreaterThan(first?.y ?? 0);
    expect(drawn.expected?.path).toContain(`L${drawn.expected?.x},${second?.y}L${drawn.expected?.x},${drawn.expected?.y}`);
    expect(drawn.expected?.high).toBeLessThan(drawn.expected?.low ?? 0);
    expect(drawn.band.top).toBeLessThan(drawn.band.bottom);
    expect(drawn.curve.startsWith(`M${first?.x},${first?.y}`)).toBe(true);
  });

  it("with nothing read the corridor alone is there", () => {
    const drawn = stairGeometry({ readings: [], curve: [], band, expected: null });
    expect(drawn).toMatchObject({ path: "", points: [], curve: "", expected: null });
    expect(drawn.yTicks.length).toBeGreaterThan(1);
  });

  it.each([STAIR, NARROW_STAIR])("whatever is read and dosed lies inside the picture, with few ticks: %o", (frame) => {
    const reading = fc.record({ grams: fc.double({ min: 0, max: 500, noNaN: true }), ph: fc.double({ min: 0, max: 14, noNaN: true }) });
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 12 }), (readings) => {
        const { points, xTicks, yTicks } = stairGeometry({ readings, curve: readings, band, expected: null }, frame);
        for (const { x, y } of points) {
          expect(x).toBeGreaterThanOrEqual(frame.left);
          expect(x).toBeLessThanOrEqual(frame.width - frame.right);
          expect(y).toBeGreaterThanOrEqual(frame.top);
          expect(y).toBeLessThanOrEqual(frame.height - frame.bottom);
        }
        expect(xTicks.length).toBeLessThanOrEqual(8);
        expect(yTicks.length).toBeLessThanOrEqual(8);
      }),
    );
  });
});
