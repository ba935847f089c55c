import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { drawEnsemble, type EnsembleProblem } from "./ensemble.ts";
import { monotoneCurve } from "./monotone.ts";
import { cautiousLowQuantile, median, quantileOfSorted } from "./quantiles.ts";
import { randomFrom } from "./random.ts";
import { studentT95 } from "./studentT.ts";

describe("monotone interpolation", () => {
  it("passes through its knots and gives back a straight line", () => {
    const line = monotoneCurve([
      { x: 0, y: 1 },
      { x: 1, y: 3 },
      { x: 3, y: 7 },
    ]);
    for (const x of [-1, 0, 0.4, 1, 2.2, 3, 5]) expect(line(x)).toBeCloseTo(1 + 2 * x, 12);
  });

  it("knots that rise by next to nothing still make a number", () => {
    const curve = monotoneCurve([0, 0, 5e-324, 5.9e-16, 5.9e-16].map((y, k) => ({ x: k * 0.01, y })));
    for (let x = 0; x <= 0.04; x += 0.001) expect(curve(x)).toBeLessThanOrEqual(6e-16);
  });

  it("one knot is a level", () => expect(monotoneCurve([{ x: 2, y: 5 }])(9)).toBe(5));

  it("whatever the rising knots, it never turns back and stays between neighbours", () => {
    const step = fc.double({ min: 0, max: 10, noNaN: true });
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.double({ min: 0.01, max: 5, noNaN: true }), step), { minLength: 2, maxLength: 8 }), (steps) => {
        let [x, y] = [0, 0];
        const knots = steps.map(([dx, dy]) => ({ x: (x += dx), y: (y += dy) }));
        const curve = monotoneCurve(knots);
        let before = -Infinity;
        for (let k = 0; k <= 60; k += 1) {
          const here = curve(knots[0]!.x + ((knots.at(-1)!.x - knots[0]!.x) * k) / 60);
          expect(here).toBeGreaterThanOrEqual(before - 1e-9);
          before = here;
        }
      }),
    );
  });
});

describe("quantiles", () => {
  it("lie on the straight line between neighbours", () => {
    expect(quantileOfSorted([1, 2, 4], 0.75)).toBe(3);
    expect(median([9, 1, 5])).toBe(5);
    expect(median([1, Infinity, Infinity])).toBe(Infinity);
  });

  it("the cautious one is never above the empirical one, and 0 where the tail reaches 0", () => {
    const values = Array.from({ length: 1000 }, (_, k) => Math.exp(k / 200));
    expect(cautiousLowQuantile(values, 0.001)).toBeLessThanOrEqual(quantileOfSorted(values, 0.001));
    expect(cautiousLowQuantile([0, 0, ...values], 0.001)).toBe(0);
    // One in 1,000 may go: what is left for the others is half of 2 in 1,000.
    const withOne = cautiousLowQuantile([0, ...values], 0.002);
    expect(withOne).toBeGreaterThan(0);
    expect(withOne).toBeLessThanOrEqual(quantileOfSorted(values, 0.0011));
  });

  it("of a power tail it finds the quantile: u^(1/3) has its 0.1 % at 0.1", () => {
    const values = Array.from({ length: 4000 }, (_, k) => ((k + 0.5) / 4000) ** (1 / 3));
    expect(cautiousLowQuantile(values, 0.001)).toBeCloseTo(0.1, 1);
  });

  it("Student's t for 5 degrees of freedom is 2.571, and nears 1.96", () => {
    expect(studentT95(5)).toBe(2.571);
    expect(studentT95(1000)).toBeCloseTo(1.962, 3);
  });
});

describe("random numbers", () => {
  it("are the same for the same seed, and evenly spread", () => {
    const draw = (seed: number) => Array.from({ length: 2000 }, () => randomFrom(seed).uniform());
    expect(draw(3)[0]).toBe(draw(3)[0]);
    const random = randomFrom(3);
    const normals = Array.from({ length: 4000 }, () => random.normal());
    expect(normals.reduce((sum, value) => sum + value, 0) / 4000).toBeCloseTo(0, 1);
    expect(Math.sqrt(normals.reduce((sum, value) => sum + value * value, 0) / 4000)).toBeCloseTo(1, 1);
  });
});

describe("the ensemble", () => {
  /** One normal coordinate, observed with σ 0.1 at 1.5: the posterior is normal, mean 1.5 ⁄ 1.01, σ 0.0995. */
  const observed: EnsembleProblem = {
    uniformCount: 1,
    normalCount: 1,
    stages: 2,
    evaluate(coordinates, offset, stage, out) {
      const half = -((coordinates[offset + 1]! - 1.5) ** 2) / (4 * 0.1 ** 2);
      out[0] = stage === 0 ? 0 : half;
      out[1] = half;
    },
  };

  it("agrees with the closed form of a normal prior and a normal reading, taken in two halves", () => {
    const { coordinates, members } = drawEnsemble(observed, { members: 4000, seed: 5 });
    const values = Array.from({ length: members }, (_, k) => coordinates[2 * k + 1]!);
    const mean = values.reduce((sum, value) => sum + value, 0) / members;
    const deviation = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / members);
    expect(mean).toBeCloseTo(1.5 / 1.01, 1);
    expect(Math.abs(mean - 1.5 / 1.01)).toBeLessThan(0.012);
    expect(deviation).toBeGreaterThan(0.088);
    expect(deviation).toBeLessThan(0.11);
  });

  it("leaves what was not observed as it was: even between 0 and 1", () => {
    const { coordinates, members } = drawEnsemble(observed, { members: 4000, seed: 5 });
    const below = Array.from({ length: members }, (_, k) => coordinates[2 * k]!).filter((value) => value < 0.25).length;
    expect(below / members).toBeGreaterThan(0.22);
    expect(below / members).toBeLessThan(0.28);
  });

  it("does not shrink to a few members, however sharp the reading", () => {
    const { coordinates, members } = drawEnsemble(observed, { members: 1000, seed: 9 });
    expect(new Set(Array.from({ length: members }, (_, k) => coordinates[2 * k + 1])).size).toBeGreaterThan(400);
  });
});
