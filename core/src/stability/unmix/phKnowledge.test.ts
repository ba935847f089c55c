import { beforeAll, describe, expect, it } from "vitest";
import { acidityOf } from "../../acidity/rawPh.ts";
import { loadLinearSolver, type LinearSolver } from "../../numerics/linearProgram.ts";
import { randomFrom } from "../../numerics/random.ts";
import { library } from "../../testing/exampleSheet.ts";
import { phScales } from "./phKnowledge.ts";
import { unmixing, type Unmixing } from "./unmix.ts";

const [ACID, BASE] = ["lactic-acid-80", "sodium-hydroxide-pellets"] as const;
const materialOf = (slug: string) => library.get(slug)!;
const acidity = [[], [], acidityOf(materialOf(ACID), 1, library), acidityOf(materialOf(BASE), 1, library)];
const list = {
  ingredients: [
    { name: "Aqua" },
    { name: "Glycerin", min: 1, max: 10 },
    { name: "Lactic Acid", min: 0.3, max: 1.5 },
    { name: "Sodium Hydroxide", min: 0.02, max: 0.6 },
  ],
  onePercentLineAfter: null,
};

/** Textbook: pKa 3.86, 90.08 g/mol, the acid sold at 80 %; 40.00 g/mol, as pellets of 100 %. */
function world(acid: number, part: number) {
  return { acid, base: (part * (acid * 0.8) * 40) / 90.08, ph: 3.86 + Math.log10(part / (1 - part)) };
}

describe("the pH that was read of a list", () => {
  let solver: LinearSolver;
  beforeAll(async () => {
    solver = await loadLinearSolver();
  });
  const settled = (measured: number | null): Unmixing =>
    [...unmixing(list, () => null, solver, measured === null ? {} : { ph: { measured, acidity } })].at(-1)!;
  const ratio = ({ ranges }: Unmixing): number => Math.log(ranges[3]!.typical / ranges[2]!.typical);

  it("brings the base that goes with the acid nearer to the truth in nearly all of 30 drawn washes", () => {
    const random = randomFrom(77);
    const without = ratio(settled(null));
    let nearer = 0;
    for (let at = 0; at < 30; at += 1) {
      const { acid, base, ph } = world(0.4 + 0.9 * random.uniform(), 0.15 + 0.75 * random.uniform());
      const told = settled(ph);
      expect(told.byPh!.isUsed).toBe(true);
      const truth = Math.log(base / acid);
      if (Math.abs(ratio(told) - truth) <= Math.abs(without - truth)) nearer += 1;
    }
    expect(nearer).toBeGreaterThan(24);
  });

  it("a pH that no recipe comes out with narrows nothing, and says so", () => {
    const [free, far] = [settled(null), settled(0.5)];
    expect(far.byPh!.isUsed).toBe(false);
    expect(far.ranges).toEqual(free.ranges);
    expect(free.byPh).toBeNull();
  });

  it("bounds stay: it makes no recipe impossible", () => {
    const [free, told] = [settled(null), settled(4)];
    expect(told.ranges.map(({ min, max }) => [min, max])).toEqual(free.ranges.map(({ min, max }) => [min, max]));
  });

  it("before anything was weighed nothing fits", () => {
    expect(phScales({ measured: 5, acidity }, randomFrom(1)).state()).toEqual({ tried: 0, fitting: 0, isUsed: false });
  });
});
