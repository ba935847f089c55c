import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Charge } from "../../library/material.ts";
import { SEVERAL_MICELLE_TYPES } from "./binding.ts";
import type { Surfactant } from "./blend.ts";
import { interaction } from "./interactions.ts";
import { mixedMicelles, type MixedMicelles } from "./mixedMicelles.ts";
import { freeAnionicMillimolar, reliefOf } from "./relief.ts";

const surfactant = (charge: Charge, cmcMillimolar: number, moleFraction: number): Surfactant => ({ charge, cmcMillimolar, moleFraction });

function solved(total: number, surfactants: readonly Surfactant[]): MixedMicelles {
  const answer = mixedMicelles(total, surfactants);
  if (!answer.found) throw new Error(answer.reason);
  return answer.value;
}

/** ln f by the double sum of the paper, which the solver does not use. */
function lnActivityByPaper(surfactants: readonly Surfactant[], x: readonly number[], i: number): number {
  const beta = (a: number, b: number) => interaction(surfactants[a]!.charge, surfactants[b]!.charge);
  let sum = 0;
  for (let j = 0; j < x.length; j += 1) {
    if (j === i) continue;
    sum += beta(i, j) * x[j]! ** 2;
    for (let k = j + 1; k < x.length; k += 1) if (k !== i) sum += (beta(i, j) + beta(i, k) - beta(j, k)) * x[j]! * x[k]!;
  }
  return sum;
}

/** The published equations hold: Σ x = 1, monomer = x f C, mass balance. */
function expectBalance(total: number, surfactants: readonly Surfactant[], answer: MixedMicelles): void {
  const { micelleFractions: x, monomerMillimolar: monomer, micellarMillimolar: micellar } = answer;
  const whole = surfactants.reduce((sum, { moleFraction }) => sum + moleFraction, 0);
  expect(x.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
  surfactants.forEach(({ moleFraction, cmcMillimolar }, i) => {
    const all = (moleFraction / whole) * total;
    expect(Math.abs(monomer[i]! + x[i]! * micellar - all)).toBeLessThanOrEqual(1e-9 * all);
    if (micellar === 0) return;
    const byPaper = x[i]! * Math.exp(lnActivityByPaper(surfactants, x, i)) * cmcMillimolar;
    expect(Math.abs(monomer[i]! - byPaper)).toBeLessThanOrEqual(1e-9 * monomer[i]!);
  });
}

describe("mixed micelles by hand", () => {
  it("one surfactant: the monomer stays at its cmc, the rest is bound", () => {
    const { mixedCmcMillimolar, monomerMillimolar, micellarMillimolar, micelleFractions } = solved(12, [surfactant("anionic", 1.5, 1)]);
    expect(mixedCmcMillimolar).toBeCloseTo(1.5, 12);
    expect(monomerMillimolar[0]).toBeCloseTo(1.5, 10);
    expect(micellarMillimolar).toBeCloseTo(10.5, 10);
    expect(micelleFractions).toEqual([1]);
  });

  it("two of one charge mix ideally: 1 ⁄ C* = 0.25 ⁄ 1 + 0.75 ⁄ 3 = 0.5, C* = 2", () => {
    expect(solved(1, [surfactant("anionic", 1, 0.25), surfactant("anionic", 3, 0.75)]).mixedCmcMillimolar).toBeCloseTo(2, 12);
  });

  it("two of one charge above it follow the quadratic of the ideal mixture", () => {
    // x₁ from x₁² (C₂ − C₁) + x₁ (C − (C₂ − C₁)) − α₁ C = 0 (Clint 1975): C₁ 1, C₂ 3, C 10, α₁ 0.25
    const x1 = (-8 + Math.sqrt(64 + 4 * 2 * 2.5)) / 4;
    const { micelleFractions, monomerMillimolar } = solved(10, [surfactant("anionic", 1, 0.25), surfactant("anionic", 3, 0.75)]);
    expect(micelleFractions[0]).toBeCloseTo(x1, 10);
    expect(monomerMillimolar[0]).toBeCloseTo(x1, 10);
    expect(monomerMillimolar[1]).toBeCloseTo(3 * (1 - x1), 10);
  });

  it("equal amounts of an anionic and an amphoteric of one cmc: x = ½, f = e^(−6 ⁄ 4), C* = 2 f = 0.4463", () => {
    const blend = [surfactant("anionic", 2, 0.5), surfactant("amphoteric", 2, 0.5)];
    expect(solved(20, blend).mixedCmcMillimolar).toBeCloseTo(2 * Math.exp(-1.5), 10);
    expect(solved(20, blend).monomerMillimolar[0]).toBeCloseTo(0.5 * Math.exp(-1.5) * 2, 10);
  });

  it("two types: the first micelle solves x₁² ln(α₁ C* ⁄ x₁ C₁) = x₂² ln(α₂ C* ⁄ x₂ C₂) (Rubingh 1979)", () => {
    const blend = [surfactant("anionic", 1.5, 0.6), surfactant("amphoteric", 0.3, 0.4)];
    const { mixedCmcMillimolar: c, micelleFractions: x } = solved(0.01, blend);
    const left = x[0]! ** 2 * Math.log((0.6 * c) / (x[0]! * 1.5));
    const right = x[1]! ** 2 * Math.log((0.4 * c) / (x[1]! * 0.3));
    expect(left).toBeCloseTo(right, 10);
    expect(Math.log((0.6 * c) / (x[0]! * 1.5)) / x[1]! ** 2).toBeCloseTo(-6, 8);
  });

  it("far above the mixed cmc the micelle is the blend", () => {
    const { micelleFractions } = solved(1e7, [surfactant("anionic", 1.5, 0.6), surfactant("nonionic", 0.3, 0.4)]);
    expect(micelleFractions[0]).toBeCloseTo(0.6, 6);
  });

  it("below the mixed cmc all is single and the fractions are those of the first micelle", () => {
    const blend = [surfactant("anionic", 2, 0.5), surfactant("amphoteric", 2, 0.5)];
    const { micellarMillimolar, monomerMillimolar, micelleFractions } = solved(0.1, blend);
    expect([micellarMillimolar, ...monomerMillimolar]).toEqual([0, 0.05, 0.05]);
    expect(micelleFractions[0]).toBeCloseTo(0.5, 12);
  });

  it("a surfactant with a share of 0 is not there", () => {
    const { micelleFractions, monomerMillimolar } = solved(10, [surfactant("anionic", 1.5, 1), surfactant("cationic", 1, 0)]);
    expect([micelleFractions[1], monomerMillimolar[1]]).toEqual([0, 0]);
    expect(monomerMillimolar[0]).toBeCloseTo(1.5, 10);
  });

  it("no surfactant at all is no micelle", () => {
    expect(mixedMicelles(10, [])).toEqual({ found: false, reason: "there is no surfactant" });
    expect(mixedMicelles(10, [surfactant("anionic", 1, 0)]).found).toBe(false);
  });
});

const member = (charges: readonly Charge[]) =>
  fc
    .tuple(fc.constantFrom(...charges), fc.double({ min: -2, max: 2, noNaN: true }), fc.double({ min: -6, max: 0, noNaN: true }))
    .map(([charge, lgCmc, lgShare]) => surfactant(charge, 10 ** lgCmc, 10 ** lgShare));
const usual: readonly Charge[] = ["anionic", "amphoteric", "nonionic"];
/** ln of the total over the mixed cmc: from a tenth to a thousand times. */
const over = fc.double({ min: -1, max: 3, noNaN: true });

describe("whatever the blend of −, ± and 0", () => {
  it("it converges to a balance that obeys the published equations", () => {
    fc.assert(
      fc.property(fc.array(member(usual), { minLength: 2, maxLength: 12 }), over, (blend, lgOver) => {
        const total = solved(1, blend).mixedCmcMillimolar * 10 ** lgOver;
        expectBalance(total, blend, solved(total, blend));
      }),
      { numRuns: 1500 },
    );
  });

  it("attraction never raises the mixed cmc above that of the ideal mixture", () => {
    fc.assert(
      fc.property(fc.array(member(usual), { minLength: 2, maxLength: 8 }), (blend) => {
        const ideal = blend.map((one) => ({ ...one, charge: "anionic" as const }));
        expect(solved(1, blend).mixedCmcMillimolar).toBeLessThanOrEqual(solved(1, ideal).mixedCmcMillimolar * (1 + 1e-9));
      }),
    );
  });

  it("trading anionic for betaine at one total never raises the free anionic", () => {
    const part = fc.double({ min: 0.02, max: 1, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(part, part, part), fc.tuple(member(usual), member(usual)), over, ([a, b, n], [x, y], lgOver) => {
        const blendAt = (anionic: number) => [
          surfactant("anionic", x.cmcMillimolar, anionic),
          surfactant("amphoteric", y.cmcMillimolar, a + b - anionic),
          surfactant("nonionic", 0.4, n),
        ];
        const total = solved(1, blendAt(a)).mixedCmcMillimolar * 10 ** lgOver;
        const free = (anionic: number) => freeAnionicMillimolar(blendAt(anionic), solved(total, blendAt(anionic)));
        expect(free(a * 0.8)).toBeLessThanOrEqual(free(a) * (1 + 1e-9));
      }),
      { numRuns: 500 },
    );
  });
});

describe("anionic beside cationic", () => {
  it("equal amounts of one cmc bind strongly: C* = C e^(−22 ⁄ 4)", () => {
    const blend = [surfactant("anionic", 2, 0.5), surfactant("cationic", 2, 0.5)];
    expect(solved(1, blend).mixedCmcMillimolar).toBeCloseTo(2 * Math.exp(-5.5), 10);
  });

  it("with much nonionic one micelle cannot describe it: the pairs leave the nonionic", () => {
    const blend = [surfactant("anionic", 2, 0.25), surfactant("cationic", 2, 0.25), surfactant("nonionic", 2, 0.5)];
    expect(mixedMicelles(500, blend)).toEqual({ found: false, reason: SEVERAL_MICELLE_TYPES });
  });

  it("either finds a balance or says why not", () => {
    fc.assert(
      fc.property(fc.array(member([...usual, "cationic"]), { minLength: 2, maxLength: 8 }), over, (blend, lgOver) => {
        const total = solved(1e-12, blend).mixedCmcMillimolar * 10 ** lgOver;
        const answer = mixedMicelles(total, blend);
        if (answer.found) expectBalance(total, blend, answer.value);
        else expect(answer.reason).toBe(SEVERAL_MICELLE_TYPES);
      }),
      { numRuns: 300 },
    );
  });
});

describe("relief", () => {
  it("is 1 − free anionic ⁄ free anionic of the same anionics alone: 1 − 0.2231 ⁄ 2 = 0.8884", () => {
    const blend = [surfactant("anionic", 2, 0.5), surfactant("amphoteric", 2, 0.5)];
    const free = freeAnionicMillimolar(blend, solved(20, blend));
    expect(free).toBeCloseTo(0.22313, 5);
    expect(reliefOf(20, blend, free)).toBeCloseTo(1 - 0.22313016 / 2, 7);
  });

  it("is 0 for anionics alone and undefined without any", () => {
    const alone = [surfactant("anionic", 2, 0.5), surfactant("anionic", 1, 0.5)];
    expect(reliefOf(20, alone, freeAnionicMillimolar(alone, solved(20, alone)))).toBeCloseTo(0, 12);
    expect(reliefOf(20, [surfactant("nonionic", 1, 1)], 0)).toBeNull();
  });
});
