import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { claimsIn } from "./claims.ts";
import { costOf } from "./cost.ts";
import { bestMix } from "./filling/bestMix.ts";
import { fillCount, fillMassGrams } from "./filling/fillMass.ts";
import { labelOf } from "./label.ts";
import { bestBefore, netWeightText } from "./labelDetails.ts";
import { costOfParts } from "./costOfParts.ts";
import { formulaOfPart } from "./parts.ts";

describe("filling", () => {
  const bottle = { name: "bottle", nominalMl: 250, brimfulMl: 268, headspaceMl: 12, dipTubeMl: 9 };

  it("min(250, 268 − 12 − 9) × 1.03 = 254.41 g", () => {
    expect(fillMassGrams(bottle, 1.03)).toBeCloseTo(254.41, 9);
    expect(fillMassGrams({ ...bottle, brimfulMl: 300 }, 1.03)).toBeCloseTo(257.5, 9);
    expect(() => fillMassGrams({ ...bottle, brimfulMl: 20 }, 1)).toThrow("Nothing fits");
  });

  it("3,050 g in bottles of 254.41 g fill 11 and leave 251.49 g", () => {
    const { containers, leftoverGrams } = fillCount(3050, 254.41);
    expect(containers).toBe(11);
    expect(leftoverGrams).toBeCloseTo(251.49, 9);
    expect(fillCount(0.3, 0.1)).toMatchObject({ containers: 3 });
    expect(fillCount(100, 250)).toEqual({ containers: 0, leftoverGrams: 100 });
  });
});

describe("the best mix of sizes", () => {
  it("1,000 g in bottles of 250 and 400 g: four of 250 leave nothing", () => {
    expect(
      bestMix(1000, [
        { name: "small", fillGrams: 250 },
        { name: "large", fillGrams: 400 },
      ]),
    ).toMatchObject({ counts: [4, 0], leftoverGrams: 0 });
  });

  it("with two small ones on the shelf: two of 250 and one of 400 leave 100 g", () => {
    const mix = bestMix(1000, [
      { name: "small", fillGrams: 250, available: 2 },
      { name: "large", fillGrams: 400 },
    ]);
    expect(mix.counts).toEqual([2, 1]);
    expect(mix.leftoverGrams).toBeCloseTo(100, 6);
  });

  it("of equal leftovers the fewest containers: one of 500 rather than two of 250", () => {
    expect(
      bestMix(500, [
        { name: "small", fillGrams: 250 },
        { name: "large", fillGrams: 500 },
      ]).counts,
    ).toEqual([0, 1]);
  });

  it("is never worse than any other mix, and never takes more than there is", () => {
    const choice = fc.record({
      fill: fc.integer({ min: 20, max: 400 }),
      available: fc.option(fc.integer({ min: 0, max: 4 }), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1500 }), fc.array(choice, { minLength: 1, maxLength: 3 }), (yieldGrams, drawn) => {
        const choices = drawn.map(({ fill, available }, at) => ({
          name: `${at}`,
          fillGrams: fill,
          ...(available === undefined ? {} : { available }),
        }));
        const { counts, leftoverGrams, filledGrams } = bestMix(yieldGrams, choices);
        expect(filledGrams).toBeLessThanOrEqual(yieldGrams + 1e-6);
        let best = { left: Infinity, count: Infinity };
        const tryAll = (at: number, left: number, count: number): void => {
          if (at === choices.length) {
            if (left < best.left || (left === best.left && count < best.count)) best = { left, count };
            return;
          }
          const { fillGrams, available = Infinity } = choices[at]!;
          for (let n = 0; n <= Math.min(available, Math.floor(left / fillGrams)); n += 1) tryAll(at + 1, left - n * fillGrams, count + n);
        };
        tryAll(0, yieldGrams, 0);
        expect(leftoverGrams).toBeCloseTo(best.left, 6);
        expect(counts.reduce((sum, n) => sum + n, 0)).toBe(best.count);
        counts.forEach((n, at) => expect(n).toBeLessThanOrEqual(choices[at]?.available ?? Infinity));
      }),
      { numRuns: 60 },
    );
  });

  it("50 kg over twelve kinds: what is there is not exceeded, and hardly anything is left", () => {
    const kinds = Array.from({ length: 12 }, (_, at) => ({ name: `kind ${at}`, fillGrams: 30.9 + 51.55 * at, available: 40 + at }));
    const { counts, leftoverGrams, filledGrams } = bestMix(50_000, kinds);
    expect(leftoverGrams).toBeLessThan(1);
    expect(filledGrams + leftoverGrams).toBeCloseTo(50_000, 6);
    counts.forEach((count, at) => expect(count).toBeLessThanOrEqual(40 + at));
  });

  it("a large batch leaves as little as the same one in parts that are counted amount by amount", () => {
    // Whole grams, so that the coarser steps of a large batch lose nothing.
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 50, max: 900 }), { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 1, max: 9 }),
        (sizes, odd) => {
          const yieldGrams = 20_000 + odd;
          const { leftoverGrams } = bestMix(
            yieldGrams,
            sizes.map((fillGrams) => ({ name: "", fillGrams })),
          );
          const reached = new Uint8Array(yieldGrams + 1);
          reached[0] = 1;
          for (let grams = 1; grams <= yieldGrams; grams += 1) if (sizes.some((size) => reached[grams - size] === 1)) reached[grams] = 1;
          expect(leftoverGrams).toBeCloseTo(yieldGrams - reached.lastIndexOf(1), 6);
        },
      ),
      { numRuns: 25 },
    );
  });

  it("20 kg in three odd sizes", () => {
    const mix = bestMix(20_000, [
      { name: "a", fillGrams: 254.41 },
      { name: "b", fillGrams: 103.37 },
      { name: "c", fillGrams: 507.9 },
    ]);
    expect(mix.leftoverGrams).toBeLessThan(1);
  });

  it("refuses when there is nothing to choose", () => {
    expect(() => bestMix(1000, [])).toThrow("nothing to choose");
    expect(() => bestMix(1000, [{ name: "a", fillGrams: 0 }])).toThrow("nothing to choose");
  });
});

describe("cost", () => {
  const line = { line: "b", grams: 120, pack: { price: 14, packGrams: 1000 } };

  it("120 g of 14 the kilogram are 1.68, in 600 g 0.28 for 100 g", () => {
    const { total, per100Grams, unpriced } = costOf([line], 600);
    expect([total, per100Grams, unpriced]).toEqual([expect.closeTo(1.68, 9), expect.closeTo(0.28, 9), []]);
  });

  it("names what has no price, and knows nothing for 100 g of nothing", () => {
    expect(costOf([line, { line: "x", grams: 5, pack: null }, { line: "y", grams: 0, pack: null }], 0)).toMatchObject({
      unpriced: ["x"],
      per100Grams: null,
    });
  });

  it("refuses a pack of nothing", () => {
    expect(() => costOf([{ line: "b", grams: 1, pack: { price: 1, packGrams: 0 } }], 1)).toThrow("line b");
  });
});

describe("what else stands on a label", () => {
  it("net weight in both units, never more than is in", () => {
    expect(netWeightText(254.41)).toBe("254 g (8.96 oz)");
    expect(netWeightText(49.99)).toBe("49.9 g (1.76 oz)");
  });

  it("best before ends with the first lot", () => {
    expect(bestBefore({ madeOn: "2026-11-26", months: 12, lotExpiries: ["2027-08-31", "2028-01-01"] })).toBe("2027-08-31");
    expect(bestBefore({ madeOn: "2026-11-26", months: 6, lotExpiries: [] })).toBe("2027-05-26");
    expect(() => bestBefore({ madeOn: "26.11.2026", months: 6, lotExpiries: [] })).toThrow("no date");
  });
});

describe("statements that sound like healing", () => {
  it.each([
    "Heals chapped hands",
    "with eczema in mind",
    "An antibacterial hand wash",
    "kills 99 % of all germs",
    "treats irritated scalp conditions",
    "Anti-dandruff shampoo",
    "hypoallergenic",
    "stimulates hair growth",
  ])("%s", (text) => {
    expect(claimsIn(text).length).toBeGreaterThan(0);
  });

  it.each([
    "Cleans gently and smells of juniper",
    "Takes off greasepaint",
    "Treat yourself after the last curtain",
    "A healthy glow of the footlights",
    "Leaves skin soft and cared for",
  ])("%s is no such thing", (text) => {
    expect(claimsIn(text)).toEqual([]);
  });

  it("says where and why, in the order of the text", () => {
    const claims = claimsIn("A remedy for acne");
    expect(claims.map(({ words, at }) => [words, at])).toEqual([
      ["remedy", 2],
      ["acne", 13],
    ]);
    for (const { why } of claims) expect(why.length).toBeGreaterThan(20);
  });
});

describe("named parts", () => {
  const parted = sheetOf(
    [
      ["water-distilled", "q.s."],
      ["coco-glucoside", 20],
    ],
    {
      splits: [
        { name: "juniper", sharePercent: 60, lines: [{ id: "j", phase: "A", material: "juniper-berry-oil", percent: 0.3 }] },
        { name: "plain", sharePercent: 40, lines: [] },
      ],
    },
  );

  it("the juniper part is 99.7 % base and 0.3 % oil, 360 g of it", () => {
    const part = formulaOfPart(parted, "juniper", library);
    expect(part.batchGrams).toBeCloseTo(360, 9);
    expect(part.lines.at(-1)).toMatchObject({ id: "j", percent: 0.3 });
    expect(part.lines.reduce((sum, { percent }) => sum + (percent ?? 0), 0)).toBeCloseTo(100, 9);
    expect(() => formulaOfPart(parted, "mint", library)).toThrow("mint");
  });

  it("what the parts leave is the base alone, and an allergen of one part stands on the label for all", () => {
    expect(formulaOfPart(parted, null, library).lines.map(({ id }) => id)).not.toContain("j");
    const splits = [{ name: "lavender", sharePercent: 2, lines: [{ id: "l", phase: "A", material: "lavender-oil", percent: 1 }] }];
    const little = { ...parted, splits };
    const own = labelOf(formulaOfPart(little, "lavender", library), "inci", library);
    const all = labelOf(little, "inci", library);
    expect(own.allergens.map(({ name }) => name)).toContain("Linalool");
    expect(all.mayContain).toContain("Linalool");
  });

  it("each costs its share of the base and what is its own", () => {
    // 600 g: 60 % are 360 g with 1.08 g of oil at 100 a kg; the base costs 2 a kg.
    const lines = [
      { line: "water-distilled", grams: 478.92, pack: { price: 2, packGrams: 1_000 } },
      { line: "coco-glucoside", grams: 120, pack: { price: 2, packGrams: 1_000 } },
      { line: "j", grams: 1.08, pack: { price: 100, packGrams: 1_000 } },
    ];
    const [juniper, plain] = costOfParts(parted, lines);
    expect(juniper?.materials).toBeCloseTo(0.002 * 358.92 + 0.108, 9);
    expect(plain?.per100Grams).toBeCloseTo(0.2, 9);
    expect((juniper?.materials ?? 0) + (plain?.materials ?? 0)).toBeCloseTo(costOf(lines, 600).total, 9);
    expect(costOfParts({ ...parted, splits: [] }, lines)).toEqual([]);
  });

  it("a label for all of them says what only some contain", () => {
    expect(labelOf(parted, "inci", library).mayContain).toContain("Juniperus Communis Fruit Oil");
    expect(labelOf(parted, "inci", library).mayContain).not.toContain("Aqua");
    expect(labelOf(formulaOfPart(parted, "plain", library), "inci", library).ingredients.map(({ name }) => name)).not.toContain(
      "Juniperus Communis Fruit Oil",
    );
  });
});

describe("the percentages of a label", () => {
  it("sum to 100 for whatever is made of the library, allergens aside", () => {
    const line = fc.tuple(fc.constantFrom(...library.keys()), fc.integer({ min: 1, max: 800 }));
    fc.assert(
      fc.property(fc.uniqueArray(line, { maxLength: 10, selector: ([slug]) => slug }), (drawn) => {
        const others = drawn.filter(([slug]) => slug !== "water-distilled").map(([slug, hundredths]) => [slug, hundredths / 100] as const);
        const formula = sheetOf([["water-distilled", "q.s."], ...others]);
        const { ingredients, allergens } = labelOf(formula, "inci", library);
        const named = new Set(allergens.map(({ name }) => name));
        const whole = ingredients.filter(({ name }) => !named.has(name)).reduce((sum, { percent }) => sum + percent, 0);
        const own = ingredients.filter(({ name }) => named.has(name)).reduce((sum, { percent }) => sum + percent, 0);
        expect(whole).toBeLessThanOrEqual(100 + 1e-6);
        expect(whole + own).toBeGreaterThan(99.4);
      }),
    );
  });
});
