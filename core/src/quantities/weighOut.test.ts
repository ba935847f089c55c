import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { weighOut, type MassToWeigh } from "./weighOut.ts";
import type { Scale } from "./scales.ts";

const bench: Scale = { name: "bench", readabilityGrams: 0.1, capacityGrams: 3000 };
const fine: Scale = { name: "fine", readabilityGrams: 0.01, capacityGrams: 200 };

const plain = (massGrams: number): MassToWeigh => ({ massGrams, takesTheRest: false });
const rest = (massGrams: number): MassToWeigh => ({ massGrams, takesTheRest: true });
const gramsOf = (masses: readonly MassToWeigh[], total: number, scales: readonly Scale[]) =>
  weighOut(masses, total, scales).map((line) => line.gramsToWeigh);

describe("weighing out with a q.s. line", () => {
  it("600 g: 352.174 g of water, 243.826 g on the bench scale, 4.004 g on the fine one", () => {
    // 243.826 → 243.8 (0.1 g), 4.004 → 4.00 (0.01 g); water takes 600 − 247.80 = 352.20
    expect(gramsOf([rest(352.17), plain(243.826), plain(4.004)], 600, [bench, fine])).toEqual([352.2, 243.8, 4]);
  });

  it("weighs each line on the finest scale that holds it", () => {
    const scales = weighOut([rest(400), plain(200), plain(200.01)], 800, [bench, fine]).map((line) => line.scale?.name);
    expect(scales).toEqual(["bench", "fine", "bench"]);
  });

  it("a mass beyond every scale goes on the strongest", () => {
    expect(weighOut([plain(5000)], 5000, [bench, fine])[0]?.scale).toBe(bench);
  });

  it("never asks for less than nothing when the lines are over the batch", () => {
    expect(gramsOf([rest(0), plain(101)], 100, [bench])).toEqual([0, 101]);
  });
});

describe("weighing out without one", () => {
  it("three thirds of 100 g on a 0.1 g scale: the first takes the odd step", () => {
    expect(gramsOf([plain(100 / 3), plain(100 / 3), plain(100 / 3)], 100, [bench])).toEqual([33.4, 33.3, 33.3]);
  });

  it("the coarse scale is rounded up first, the fine one takes what is left", () => {
    // floors 250.0 + 1.23 = 251.23; 0.07 left of 251.30: less than one coarse step, so one fine step,
    // and the 0.06 no step can carry stays with the heavy line
    expect(gramsOf([plain(250.065), plain(1.235)], 251.3, [bench, fine])).toEqual([250.06, 1.24]);
  });

  it("an empty sheet weighs nothing", () => {
    expect(weighOut([], 600, [bench])).toEqual([]);
  });

  it("without scales the exact masses stand", () => {
    expect(weighOut([plain(1.23456)], 1.23456, [])).toEqual([{ gramsToWeigh: 1.23456, scale: undefined }]);
  });
});

describe("the sheet always adds up", () => {
  const readability = fc.constantFrom(0.001, 0.01, 0.02, 0.05, 0.1, 0.5, 1);
  const scales = fc
    .array(fc.tuple(readability, fc.integer({ min: 20, max: 20_000 })), { minLength: 1, maxLength: 3 })
    .map((pairs) => pairs.map(([readabilityGrams, capacityGrams], i) => ({ name: `s${i}`, readabilityGrams, capacityGrams })));
  const shares = fc.array(fc.integer({ min: 1, max: 100_000 }), { minLength: 1, maxLength: 40 });
  const batchGrams = fc.integer({ min: 500, max: 2_000_000 }).map((hundredths) => hundredths / 100);
  const sum = (values: readonly number[]) => Number(values.reduce((a, b) => a + b, 0).toFixed(6));

  it("to the batch, with a rest line: exact and within one step of every target", () => {
    fc.assert(
      fc.property(shares, batchGrams, scales, (weights, batch, own) => {
        const total = weights.reduce((a, b) => a + b, 0) * 2;
        const others = weights.map((weight) => plain((batch * weight) / total));
        const lines = [rest(batch / 2), ...others];
        const weighed = weighOut(lines, batch, own);
        fc.pre((weighed[0]?.gramsToWeigh ?? 0) > 0);
        expect(sum(weighed.map((line) => line.gramsToWeigh))).toBe(batch);
        weighed.slice(1).forEach((line, i) => {
          const step = line.scale?.readabilityGrams ?? 0;
          expect(Math.abs(line.gramsToWeigh - (others[i]?.massGrams ?? 0))).toBeLessThanOrEqual(step / 2 + 1e-9);
        });
      }),
    );
  });

  it("to the batch, without a rest line: exact and within two steps of every target", () => {
    fc.assert(
      fc.property(shares, batchGrams, scales, (weights, batch, own) => {
        const total = weights.reduce((a, b) => a + b, 0);
        const lines = weights.map((weight) => plain((batch * weight) / total));
        const weighed = weighOut(lines, batch, own);
        expect(sum(weighed.map((line) => line.gramsToWeigh))).toBe(batch);
        weighed.forEach((line, i) => {
          const step = line.scale?.readabilityGrams ?? 0;
          expect(Math.abs(line.gramsToWeigh - (lines[i]?.massGrams ?? 0))).toBeLessThanOrEqual(step * 2 + 1e-9);
        });
      }),
    );
  });
});
