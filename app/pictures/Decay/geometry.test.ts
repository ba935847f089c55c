import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { DECAY, decayGeometry } from "./geometry";

const heights = (atOnceMm: number, afterOneMinuteMm: number, afterFiveMinutesMm: number) => ({
  atOnceMm,
  afterOneMinuteMm,
  afterFiveMinutesMm,
});

describe("foam over five minutes", () => {
  it("falls by half in its half-life: 60 mm stand at 30 after five minutes", () => {
    const mean = heights(60, 50, 30);
    const { fall, end, tests } = decayGeometry({ tests: [mean], mean, halfLifeMinutes: 5 }, DECAY);
    expect(end?.mm).toBeCloseTo(30, 9);
    expect(tests[0]!.dots[2]!.y).toBe(end!.y);
    expect(fall?.startsWith(`M${tests[0]!.dots[0]!.x},${tests[0]!.dots[0]!.y}`)).toBe(true);
  });

  it("without a test draws its axes alone, and foam that stands stays level", () => {
    expect(decayGeometry({ tests: [], mean: null, halfLifeMinutes: null }, DECAY)).toMatchObject({ tests: [], fall: null, end: null });
    const still = heights(60, 60, 60);
    expect(decayGeometry({ tests: [still], mean: still, halfLifeMinutes: null }, DECAY).end?.mm).toBe(60);
  });

  it("whatever was read lies inside the picture", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1000, noNaN: true }), (mm) => {
        const { tests } = decayGeometry({ tests: [heights(mm, mm / 2, 0)], mean: null, halfLifeMinutes: null }, DECAY);
        for (const { x, y } of tests.flatMap(({ dots }) => dots)) {
          expect(x).toBeLessThanOrEqual(DECAY.width - DECAY.right);
          expect(y).toBeGreaterThanOrEqual(DECAY.top);
          expect(y).toBeLessThanOrEqual(DECAY.height - DECAY.bottom);
        }
      }),
    );
  });
});
