import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { library, materialOf, sheetOf } from "../../testing/exampleSheet.ts";
import { assess } from "../assess.ts";
import { Refusal } from "../../quantities/refusal.ts";
import { openRecipe } from "../../formula/changes/openRecipe.ts";
import { batchForContainers, batchForMaterial, roundsForPot, scaleToBatch } from "../../formula/changes/scaling.ts";
import { substitute } from "./substitute.ts";

const wash = sheetOf([
  ["water-distilled", "q.s."],
  ["cocamidopropyl-betaine", 20],
  ["aos-40", 18],
]);

describe("scaling", () => {
  it("12 bottles of 250 g at 3 % loss and 20 g of samples: 3000 ⁄ 0.97 + 20 = 3112.78 g", () => {
    expect(batchForContainers({ containers: 12, fillGrams: 250, sampleGrams: 20 })).toBeCloseTo(3112.784, 3);
    expect(batchForContainers({ containers: 1, fillGrams: 100, lossPercent: 0 })).toBe(100);
  });

  it("83 g in hand of something that is 18 %: 461.1 g", () => {
    expect(batchForMaterial(wash, { material: "aos-40", grams: 83 }, library)).toBeCloseTo(461.111, 3);
  });

  it("water left in hand counts through the rest: 124 g at 62 % make 200 g", () => {
    expect(batchForMaterial(wash, { material: "water-distilled", grams: 124 }, library)).toBeCloseTo(200, 9);
  });

  it("the batch asked for is the batch weighed", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 5, max: 1000 }), (containers, fillGrams) => {
        const batch = Math.ceil(batchForContainers({ containers, fillGrams }));
        const { lines } = assess(scaleToBatch(wash, batch), library);
        expect(lines.reduce((sum, { gramsToWeigh }) => sum + gramsToWeigh, 0)).toBeCloseTo(batch, 6);
      }),
    );
  });

  it("2,400 g in a pot of 1.5 L, a fifth free, 1.01 g/mL: 1,212 g at most, so twice 1,200 g", () => {
    const twice = roundsForPot(2400, { brimfulMl: 1500, densityGramsPerMl: 1.01 });
    expect(twice).toMatchObject({ rounds: 2, gramsEach: 1200 });
    expect(twice.mostGrams).toBeCloseTo(1212, 9);
    // What just fits is one round, and what is a gram more is two.
    const full = { brimfulMl: 1500, freePercent: 20, densityGramsPerMl: 1 };
    expect(roundsForPot(1200, full).rounds).toBe(1);
    expect(roundsForPot(3600, full).rounds).toBe(3);
    expect(roundsForPot(1201, full).rounds).toBe(2);
  });

  it("rounds hold the whole batch, none more than the pot, and one less would not do", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20_000, noNaN: true }),
        fc.integer({ min: 50, max: 5000 }),
        fc.integer({ min: 0, max: 60 }),
        (batch, brimfulMl, freePercent) => {
          const { rounds, gramsEach, mostGrams } = roundsForPot(batch, { brimfulMl, freePercent, densityGramsPerMl: 1.02 });
          expect(rounds * gramsEach).toBeCloseTo(batch, 6);
          expect(gramsEach).toBeLessThanOrEqual(mostGrams * (1 + 1e-8));
          if (rounds > 1) expect((rounds - 1) * mostGrams).toBeLessThan(batch);
        },
      ),
    );
  });

  it("refuses nothing, half a bottle, and a material that is not in it", () => {
    expect(() => scaleToBatch(wash, 0)).toThrow(Refusal);
    expect(() => batchForContainers({ containers: 1.5, fillGrams: 100 })).toThrow("whole container");
    expect(() => batchForContainers({ containers: 1, fillGrams: 100, lossPercent: 100 })).toThrow("leaves nothing");
    expect(() => roundsForPot(500, { brimfulMl: 0, densityGramsPerMl: 1 })).toThrow("more than 0 mL");
    expect(() => roundsForPot(500, { brimfulMl: 900, freePercent: 100, densityGramsPerMl: 1 })).toThrow("leaves nothing");
    expect(() => batchForMaterial(wash, { material: "kaolin", grams: 50 }, library)).toThrow("holds none of it");
  });
});

describe("an open recipe", () => {
  it('"85 base, 6 oil, the rest is up to you" leaves 9 % open', () => {
    const open = openRecipe(
      [
        { id: "base", amount: 85 },
        { id: "oil", amount: 6 },
      ],
      100,
    );
    expect(open).toMatchObject({ openPercent: 9, overPercent: 0 });
    expect(open.lines).toEqual([
      { id: "base", percent: 85 },
      { id: "oil", percent: 6 },
    ]);
  });

  it("without a whole the amounts are all there is: 85 and 6 are 93.41 and 6.59 %", () => {
    const { lines, openPercent } = openRecipe([
      { id: "base", amount: 85 },
      { id: "oil", amount: 6 },
    ]);
    expect(lines.map(({ percent }) => Number(percent.toFixed(2)))).toEqual([93.41, 6.59]);
    expect(openPercent).toBe(0);
  });

  it("says how much too much it is", () => {
    expect(openRecipe([{ id: "a", amount: 330 }], 300).overPercent).toBeCloseTo(10, 10);
    expect(openRecipe([]).lines).toEqual([]);
  });
});

describe("substitution at equal active matter", () => {
  const betaine = materialOf("cocamidopropyl-betaine").active?.typical ?? 0;
  const sultaine = materialOf("cocamidopropyl-hydroxysultaine").active?.typical ?? 0;
  const toSultaine = { lineId: "cocamidopropyl-betaine", material: "cocamidopropyl-hydroxysultaine" };

  it("20 % × 30 ⁄ active of the sultaine; the water takes the difference", () => {
    const { percent, formula, changes } = substitute(wash, toSultaine, library);
    expect(percent).toBeCloseTo((20 * betaine) / sultaine, 10);
    const after = assess(formula, library);
    expect(after.activeMatter.percent).toBeCloseTo(assess(wash, library).activeMatter.percent, 10);
    expect(after.totalPercent).toBe(100);
    const rest = changes.find(({ reading }) => reading === "restPercent");
    expect((rest?.after ?? 0) - (rest?.before ?? 0)).toBeCloseTo(20 - percent, 10);
    expect(changes.map(({ reading }) => reading)).not.toContain("activeMatterPercent");
  });

  it("the certificate of the new bottle counts: 20 × 30 ⁄ 40 = 15 %", () => {
    expect(substitute(wash, { ...toSultaine, assayPercent: 40 }, library).percent).toBeCloseTo(15, 10);
  });

  it("trading the sulfonate for a glucoside shifts the charge shares and what answers to salt", () => {
    const { changes } = substitute(wash, { lineId: "aos-40", material: "decyl-glucoside" }, library);
    const of = (reading: string) => changes.find((change) => change.reading === reading);
    expect(of("anionicSharePercent")).toMatchObject({ after: 0 });
    expect(of("nonionicSharePercent")?.after).toBeCloseTo(of("anionicSharePercent")?.before ?? 0, 8);
    expect(of("saltThickenedPercent")?.after).toBeCloseTo(6, 10);
    expect(of("irritationIndex")).toBeDefined();
  });

  it("a cationic cleanser that cannot stand beside the sulfonate shows as a new finding", () => {
    const cationic = { ...materialOf("aos-40"), slug: "cationic-cleanser", name: "Cationic cleanser", charge: "cationic" } as const;
    const { findingsNew, findingsGone } = substitute(
      { ...wash, materials: [cationic] },
      { lineId: "cocamidopropyl-betaine", material: "cationic-cleanser" },
      library,
    );
    expect(findingsNew).toEqual(["CHARGE_CLASH"]);
    expect(findingsGone).not.toContain("CHARGE_CLASH");
  });

  it("knows the cost when every price is known, and only then", () => {
    const prices = new Map([
      ["cocamidopropyl-betaine", 6],
      ["aos-40", 5],
      ["cocamidopropyl-hydroxysultaine", 9],
    ]);
    const cost = substitute(wash, { ...toSultaine, pricePerKg: prices }, library).changes.find(({ reading }) => reading === "costPerKg");
    expect(cost?.before).toBeCloseTo(0.2 * 6 + 0.18 * 5, 10);
    const unknown = substitute(wash, { ...toSultaine, pricePerKg: new Map([["aos-40", 5]]) }, library).changes;
    expect(unknown.map(({ reading }) => reading)).not.toContain("costPerKg");
  });

  it("exchanging a material for itself changes nothing", () => {
    const same = substitute(wash, { lineId: "aos-40", material: "aos-40" }, library);
    expect(same).toMatchObject({ changes: [], findingsNew: [], findingsGone: [] });
  });

  it("refuses what has no active matter, is q.s., or would not fit", () => {
    expect(() => substitute(wash, { lineId: "aos-40", material: "glycerin" }, library)).toThrow("no active matter");
    expect(() => substitute(wash, { lineId: "water-distilled", material: "aos-40" }, library)).toThrow(Refusal);
    const strong = sheetOf([
      ["water-distilled", "q.s."],
      ["sci-powder", 60],
    ]);
    expect(() => substitute(strong, { lineId: "sci-powder", material: "sles-2eo-28" }, library)).toThrow("It would take");
  });
});
