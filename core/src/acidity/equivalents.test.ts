import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { equivalentsPerMole, gramsOf, millimolesIn, type Agent } from "./equivalents.ts";

const citric: Agent = { kind: "acid", molarMass: 192.12, pKas: [3.13, 4.76, 6.4], strengthPercent: 25 };

/** The closed form for three protons, as the textbooks print it. */
function triprotic([a, b, c]: readonly number[], ph: number): number {
  const h = 10 ** -ph;
  const [k1, k2, k3] = [10 ** -a!, 10 ** -b!, 10 ** -c!];
  return (k1 * h ** 2 + 2 * k1 * k2 * h + 3 * k1 * k2 * k3) / (h ** 3 + k1 * h ** 2 + k1 * k2 * h + k1 * k2 * k3);
}

describe("equivalents of a mole", () => {
  it("lactic acid is half given off at its pKa", () => {
    expect(equivalentsPerMole({ kind: "acid", pKas: [3.86] }, 3.86)).toBeCloseTo(0.5, 12);
  });

  it("citric acid follows the closed form for three protons from pH 0 to 14", () => {
    for (let ph = 0; ph <= 14; ph += 0.25) expect(equivalentsPerMole(citric, ph)).toBeCloseTo(triprotic(citric.pKas, ph), 12);
    expect(equivalentsPerMole(citric, 4.76)).toBeCloseTo(1.4996, 4);
  });

  it("a base takes up h ⁄ (h + K) at each site: carbonate at pH 8.34 one of its two", () => {
    expect(equivalentsPerMole({ kind: "base", pKas: [6.35, 10.33] }, 8.34)).toBeCloseTo(1, 1);
    expect(equivalentsPerMole({ kind: "base", pKas: [7.76] }, 7.76)).toBeCloseTo(0.5, 12);
  });

  it("strong ones give one equivalent, with no pKa or with 14", () => {
    expect(equivalentsPerMole({ kind: "acid", pKas: [] }, 3)).toBe(1);
    expect(equivalentsPerMole({ kind: "base", pKas: [14] }, 7)).toBeCloseTo(1, 6);
  });

  it("whatever the pKas, an acid gives more as the pH rises, from nothing to all", () => {
    const pKa = fc.double({ min: 0, max: 14, noNaN: true });
    fc.assert(
      fc.property(fc.array(pKa, { minLength: 1, maxLength: 20 }), pKa, (pKas, ph) => {
        const here = equivalentsPerMole({ kind: "acid", pKas }, ph);
        expect(here).toBeGreaterThanOrEqual(0);
        expect(here).toBeLessThanOrEqual(pKas.length + 1e-9);
        expect(equivalentsPerMole({ kind: "acid", pKas }, ph + 0.1)).toBeGreaterThanOrEqual(here - 1e-12);
      }),
    );
  });

  it("2 g of 25 % citric acid are 2.6025 mmol, and back", () => {
    expect(millimolesIn(citric, 2)).toBeCloseTo((2 * 0.25 * 1000) / 192.12, 12);
    expect(gramsOf(citric, millimolesIn(citric, 2))).toBeCloseTo(2, 12);
  });
});
