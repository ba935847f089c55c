import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { assess } from "../../assessment/assess.ts";
import type { Formula } from "../../formula/types.ts";
import { loadLinearSolver, type LinearSolver } from "../../numerics/linearProgram.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import type { PrintedIngredient } from "./printedList.ts";
import { unmix, unmixing } from "./unmix.ts";
import { usualAmounts } from "./usualAmounts.ts";

let solver: LinearSolver;

beforeAll(async () => {
  solver = await loadLinearSolver();
});

const read = (ingredients: readonly PrintedIngredient[], onePercentLineAfter: number | null = null) =>
  unmix({ ingredients, onePercentLineAfter }, library, solver);
const names = (...all: readonly string[]): readonly PrintedIngredient[] => all.map((name) => ({ name }));

describe("percentages behind a list", () => {
  it("three unknown names in descending order: 33.3 to 100, 0 to 50, 0 to 33.3 %", () => {
    const { ranges, feasible } = read(names("Qqqqq One", "Wwwww Two", "Zzzzz Three"));
    expect(feasible).toBe(true);
    const expected = [
      [100 / 3, 100],
      [0, 50],
      [0, 100 / 3],
    ];
    ranges.forEach(({ min, max }, at) => {
      expect(min).toBeCloseTo(expected[at]![0]!, 6);
      expect(max).toBeCloseTo(expected[at]![1]!, 6);
    });
  });

  it("their typical values are the centroid of the triangle: 61.1, 27.8, 11.1 %", () => {
    // Corners (100, 0, 0), (50, 50, 0) and (33.3, 33.3, 33.3): the mean of a triangle is that of its corners.
    const { ranges, converged } = read(names("Qqqqq One", "Wwwww Two", "Zzzzz Three"));
    expect(converged).toBe(true);
    expect(Math.abs(ranges[0]!.typical - 61.11)).toBeLessThan(1.5);
    expect(Math.abs(ranges[1]!.typical - 27.78)).toBeLessThan(1.5);
    expect(ranges.reduce((sum, { typical }) => sum + typical, 0)).toBeCloseTo(100, 6);
  });

  it("typed bounds count: at least 80 % of the first leaves at most 10 % each of two equal others", () => {
    const { ranges } = read([{ name: "Qqqqq One", min: 80 }, { name: "Wwwww Two" }, { name: "Zzzzz Three" }]);
    expect(ranges[1]!.max).toBeCloseTo(20, 6);
    expect(ranges[2]!.max).toBeCloseTo(10, 6);
  });

  it("the 1 % line: before it at least 1 %, after it at most 1 % in any order", () => {
    const { ranges } = read(names("Qqqqq One", "Wwwww Two", "Zzzzz Three", "Yyyyy Four"), 1);
    expect(ranges[1]!.min).toBeCloseTo(1, 6);
    expect(ranges[2]!.max).toBeCloseTo(1, 6);
    expect(ranges[3]!.max).toBeCloseTo(1, 6);
    expect(ranges[0]!.max).toBeCloseTo(99, 6);
  });

  it("one ingredient is all of it", () => {
    expect(read(names("Aqua")).ranges[0]).toMatchObject({ min: 100, max: 100, typical: 100 });
  });

  it("usual doses narrow it: phenoxyethanol is rarely above 1 %", () => {
    const { ranges } = read(names("Aqua", "Sodium Laureth Sulfate", "Cocamidopropyl Betaine", "Phenoxyethanol"));
    expect(ranges[3]!.max).toBeLessThan(8);
    expect(ranges[1]!.max).toBeLessThan(50);
  });

  it("a misspelt name is recognised, a made-up one is not", () => {
    const usual = usualAmounts(library);
    expect(usual("Cocoamidopropyl Betain")?.name).toBe("Cocamidopropyl Betaine");
    expect(usual("SODIUM LAURETH SULPHATE")?.name).toBe("Sodium Laureth Sulfate");
    expect(usual("Moon Dust Extract Nonsense")).toBeNull();
    expect(usual("Xyz")).toBeNull();
  });

  it("is the same for the same list", () => {
    const list = names("Aqua", "Glycerin", "Sodium Benzoate");
    expect(read(list)).toEqual(read(list));
  });
});

describe("lists that cannot be", () => {
  it("names the two demands: 5 % after at most 3 %", () => {
    const { feasible, ranges, text } = read([{ name: "Aqua" }, { name: "Wwwww Two", max: 3 }, { name: "Zzzzz Three", min: 5 }]);
    expect([feasible, ranges.length]).toEqual([false, 0]);
    expect(text).toContain("Zzzzz Three is at least 5 %");
    expect(text).toContain("Wwwww Two is at most 3 %");
  });

  it("more than 100 % together, and less", () => {
    expect(
      read([
        { name: "Qqqqq One", min: 60 },
        { name: "Wwwww Two", min: 50 },
      ]).text,
    ).toContain("at least 110 %");
    expect(
      read([
        { name: "Qqqqq One", max: 60 },
        { name: "Wwwww Two", max: 30 },
      ]).text,
    ).toContain("at most 90 %");
  });

  it("one that contradicts itself", () => {
    expect(read([{ name: "Qqqqq One", min: 20, max: 10 }]).feasible).toBe(false);
  });

  it("before the 1 % line and at most half a percent", () => {
    const { text } = read([{ name: "Aqua" }, { name: "Wwwww Two", max: 0.5 }], 1);
    expect(text).toContain("stands before the 1 % line");
  });

  it("a usual dose that the order contradicts gives way and is named", () => {
    const { feasible, text } = read(names("Phenoxyethanol", "Aqua", "Glycerin"));
    expect(feasible).toBe(true);
    expect(text).toContain("usual dose of Phenoxyethanol");
  });
});

describe("true formulas", () => {
  const dosed = [...library.values()].filter(({ use, role }) => use !== null && role !== "water");
  const drawn = fc
    .uniqueArray(fc.constantFrom(...dosed), { minLength: 2, maxLength: 9, selector: ({ slug }) => slug })
    .chain((materials) =>
      fc.tuple(fc.constant(materials), fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 9, maxLength: 9 })),
    )
    .map(([materials, parts]): Formula => {
      const wanted = materials.map(({ slug, use }, at) => ({
        id: slug,
        phase: "A",
        material: slug,
        percent: use!.low + (use!.high - use!.low) * (parts[at] ?? 0),
      }));
      let sum = 0;
      const fitting = wanted.filter(({ percent }) => (sum + percent <= 95 ? ((sum += percent), true) : false));
      return { ...sheetOf([]), lines: [{ id: "w", phase: "A", material: "water-distilled", qs: true }, ...fitting] };
    });

  it("lie within the ranges, whatever is printed of them", () => {
    fc.assert(
      fc.property(drawn, fc.boolean(), (formula, hasLine) => {
        const printed = assess(formula, library).composition.filter(({ percent }) => percent > 0);
        const sorted = [...printed].sort((a, b) => b.percent - a.percent);
        const total = sorted.reduce((sum, { percent }) => sum + percent, 0);
        if (Math.abs(total - 100) > 1e-6) return;
        const last = sorted.findLastIndex(({ percent }) => percent >= 1);
        const { ranges, feasible } = read(
          sorted.map(({ inci }) => ({ name: inci })),
          hasLine ? last : null,
        );
        expect(feasible).toBe(true);
        sorted.forEach(({ inci, percent }, at) => {
          expect(percent, inci).toBeGreaterThanOrEqual(ranges[at]!.min - 1e-6);
          expect(percent, inci).toBeLessThanOrEqual(ranges[at]!.max + 1e-6);
        });
      }),
      { numRuns: 500 },
    );
  }, 120_000);

  it("every range has its typical value, and they sum to 100", () => {
    fc.assert(
      fc.property(drawn, (formula) => {
        const printed = [...assess(formula, library).composition]
          .sort((a, b) => b.percent - a.percent)
          .filter(({ percent }) => percent > 0);
        const { ranges } = read(printed.map(({ inci }) => ({ name: inci })));
        for (const { min, max, typical } of ranges) {
          expect(typical).toBeGreaterThanOrEqual(min - 1e-9);
          expect(typical).toBeLessThanOrEqual(max + 1e-9);
        }
        expect(Math.abs(ranges.reduce((sum, { typical }) => sum + typical, 0) - 100)).toBeLessThan(1e-6);
      }),
      { numRuns: 40 },
    );
  }, 60_000);

  it("200 ingredients", () => {
    const { ranges, feasible } = read(Array.from({ length: 200 }, (_, at) => ({ name: `Qzqz${at}` })));
    expect(feasible).toBe(true);
    expect(ranges[199]!.max).toBeCloseTo(0.5, 6);
  }, 60_000);
});

describe("a list step by step", () => {
  const last = (list: Parameters<typeof unmixing>[0], watch?: readonly number[]) =>
    [...unmixing(list, usualAmounts(library), solver, watch === undefined ? {} : { watch })].at(-1)!;

  it("first tells the ranges with a coarse middle, then settles", () => {
    const all = [
      ...unmixing(
        { ingredients: names("Qqqqq One", "Wwwww Two", "Zzzzz Three"), onePercentLineAfter: null },
        usualAmounts(library),
        solver,
      ),
    ];
    expect(all[0]).toMatchObject({ done: 0, spread: null, converged: false });
    expect(all[0]!.ranges.map(({ min, max }) => [min, max])).toEqual(all.at(-1)!.ranges.map(({ min, max }) => [min, max]));
    expect(all.at(-1)).toMatchObject({ done: 1, converged: true });
    expect(all.at(-1)!.spread).toBeLessThan(1.03);
  });

  it("20 % that stay when it is dried are what is not water, and narrow the others", () => {
    const ingredients = names("Aqua", "Wwwww Two", "Zzzzz Three");
    const { ranges } = last({ ingredients, onePercentLineAfter: null, dryMatter: { percent: 20, spread: 1 } });
    expect(ranges[0]!.min).toBeCloseTo(79, 6);
    expect(ranges[0]!.max).toBeCloseTo(81, 6);
    expect(ranges[2]!.max).toBeCloseTo(10.5, 6);
    expect(last({ ingredients, onePercentLineAfter: null }).ranges[0]!.min).toBeLessThan(40);
  });

  it("12 to 15 % active matter hold its names to that, and a bottle of 40 % leaves room for its water", () => {
    const ingredients = names("Aqua", "Wwwww Two", "Zzzzz Three");
    const together = { places: [1, 2], low: 12, high: 15, what: "active matter" };
    const { ranges } = last({ ingredients, onePercentLineAfter: null, together });
    expect(ranges[0]!.min).toBeCloseTo(85, 6);
    expect(ranges[0]!.max).toBeCloseTo(88, 6);
    // 40 % in a bottle bring 1.5 parts of water for one of it: at most 40 % of it fit into the whole.
    const watered = last({ ingredients: names("Aqua", "Wwwww Two"), onePercentLineAfter: null, broughtWater: [0, 1.5] });
    expect(watered.ranges[1]!.max).toBeCloseTo(40, 6);
    // What no bottle of ours allows is not held against the list.
    const stronger = last({
      ingredients: [
        { name: "Aqua", max: 50 },
        { name: "Wwwww Two", min: 50 },
      ],
      onePercentLineAfter: null,
      broughtWater: [0, 1.5],
    });
    expect(stronger.feasible).toBe(true);
    const clash = last({
      ingredients: [{ name: "Aqua" }, { name: "Wwwww Two", min: 19.9, max: 20.1 }],
      onePercentLineAfter: null,
      together: { ...together, places: [1] },
    });
    expect(clash.contradicts).toEqual(["Wwwww Two is 20 %", "active matter is 12 to 15 %"]);
  });

  it("tells a sum that is watched with its range, inside what is possible", () => {
    const { watched, ranges } = last({ ingredients: names("Qqqqq One", "Wwwww Two", "Zzzzz Three"), onePercentLineAfter: null }, [0, 1, 1]);
    expect(watched!.low).toBeGreaterThanOrEqual(0);
    expect(watched!.low).toBeLessThan(ranges[1]!.typical + ranges[2]!.typical);
    expect(watched!.high).toBeLessThanOrEqual(100 - ranges[0]!.min + 1e-6);
  });

  it.each([
    [
      [{ name: "Qqqqq One" }, { name: "Wwwww Two", min: 60 }, { name: "Zzzzz Three", min: 5 }],
      null,
      undefined,
      ["Wwwww Two is at least 60 %"],
    ],
    [
      [
        { name: "Qqqqq One", max: 40 },
        { name: "Wwwww Two", min: 3 },
        { name: "Zzzzz Three", max: 10 },
      ],
      null,
      undefined,
      ["Qqqqq One is at most 40 %", "Zzzzz Three is at most 10 %"],
    ],
    [
      [{ name: "Qqqqq One", min: 20 }, { name: "Wwwww Two", max: 0.5 }, { name: "Zzzzz Three" }],
      1,
      undefined,
      ["Wwwww Two is at most 0.5 %", "the 1 % line stands after Wwwww Two"],
    ],
    [
      [{ name: "Aqua", min: 90 }, { name: "Wwwww Two", min: 0.5 }, { name: "Zzzzz Three" }],
      null,
      { percent: 20, spread: 1 },
      ["Aqua is at least 90 %", "20 % of it stay when it is dried"],
    ],
  ] as const)("%o contradict by as few demands as do", (ingredients, onePercentLineAfter, dryMatter, contradicts) => {
    const list = { ingredients, onePercentLineAfter, ...(dryMatter === undefined ? {} : { dryMatter }) };
    expect(last(list)).toMatchObject({ feasible: false, contradicts });
  });

  it("three demands that only together cannot be are named together, and none that could be spared", () => {
    const ingredients = [
      { name: "Qqqqq One", max: 40 },
      { name: "Wwwww Two", max: 35 },
      { name: "Zzzzz Three", max: 20 },
      { name: "Yyyyy Four", min: 0.1 },
    ];
    // 40 + 35 + 20 + at most 20 of the last are more than 100; with at most 3 of it they are not.
    const more = [...ingredients.slice(0, 3), { name: "Yyyyy Four", min: 0.1, max: 3 }];
    expect(last({ ingredients, onePercentLineAfter: null }).feasible).toBe(true);
    const { contradicts } = last({ ingredients: more, onePercentLineAfter: null });
    expect(contradicts).toHaveLength(4);
    expect(contradicts.join()).not.toContain("at least");
  });
});
