import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { batchCost, costLayers, type BatchCostFacts, type PriceWish, type UsedContainers, type UsedMaterial } from "./batchCost.ts";

const used = (name: string, grams: number, price: number | null, packGrams = 1_000): UsedMaterial => ({
  name,
  code: "",
  grams,
  price,
  packGrams,
});
const filled = (count: number, grams: number, changes: Partial<UsedContainers> = {}): UsedContainers => ({
  ...{ name: "Bottle", use: "use", count, grams, priceEach: 0.9 },
  ...changes,
});
const wish: PriceWish = { labelEach: 0.1, marginPercent: 40, taxPercent: 0, shopPer100Grams: null };
// 600 g for 6.00: 100 g of betaine at 40 a kg, 500 g of the rest at 4 a kg.
const facts: BatchCostFacts = {
  materials: [used("Rest", 500, 4), used("Betaine", 100, 40)],
  containers: [filled(5, 500)],
  inGrams: 600,
  yieldGrams: 580,
};

describe("what a batch cost", () => {
  it("600 g for 6.00 in five bottles of 100 g: 1.20 for 100 g, 2.20 a bottle, 3.67 with 40 % to stay", () => {
    const cost = batchCost(facts, wish);
    expect([cost.materialsTotal, cost.containersTotal, cost.labelsTotal, cost.total]).toEqual([6, 4.5, 0.5, 11]);
    expect(cost.per100Grams).toBeCloseTo(1.2, 9);
    expect(cost.kinds[0]).toMatchObject({ grams: 100, content: expect.closeTo(1.2, 9) as number, each: expect.closeTo(2.2, 9) as number });
    expect(cost.kinds[0]?.price).toBeCloseTo(3.6667, 4);
    expect(cost.materials.map(({ name }) => name)).toEqual(["Betaine", "Rest"]);
    expect(cost.besidePercent).toBeCloseTo(100 / 6, 9);
    expect([cost.sharedOver, cost.unpriced]).toEqual(["filled", []]);
  });

  it("with 20 % of tax, beside a shop that asks 5.00 for 100 g: 4.40, 88 % of it", () => {
    const [bottle] = batchCost(facts, { ...wish, taxPercent: 20, shopPer100Grams: 5 }).kinds;
    expect(bottle?.priceWithTax).toBeCloseTo(4.4, 9);
    expect(bottle?.ofShop).toBeCloseTo(0.88, 9);
  });

  it("testers and what is kept cost their bottles, and are no one's price", () => {
    const cost = batchCost({ ...facts, containers: [filled(4, 400), filled(1, 100, { use: "retained" })] }, wish);
    expect(cost.containersTotal).toBeCloseTo(4.5, 9);
    expect(cost.per100Grams).toBeCloseTo(1.5, 9);
    expect(cost.kinds).toHaveLength(1);
  });

  it("before it is filled it is shared over the yield, before that over what went in", () => {
    expect(batchCost({ ...facts, containers: [] }, wish)).toMatchObject({ sharedOver: "yield", soldGrams: 580, kinds: [] });
    expect(batchCost({ ...facts, containers: [], yieldGrams: null }, wish)).toMatchObject({ sharedOver: "in", per100Grams: 1 });
    expect(batchCost({ materials: [], containers: [], inGrams: 0, yieldGrams: null }, wish).per100Grams).toBeNull();
  });

  it("names what has no price, once", () => {
    const bare = {
      ...facts,
      materials: [...facts.materials, used("Scent", 1, null), used("Scent", 2, null)],
      containers: [filled(1, 100, { priceEach: null })],
    };
    expect(batchCost(bare, wish).unpriced).toEqual(["Scent", "Bottle"]);
  });

  it("a margin of 100 % has no price, and nothing costs less than nothing", () => {
    expect(() => batchCost(facts, { ...wish, marginPercent: 100 })).toThrow("has no price");
    expect(() => batchCost(facts, { ...wish, labelEach: -1 })).toThrow("not below 0");
  });

  it("the layers of a bottle add up to it, whatever is in it", () => {
    const material = fc.record({ grams: fc.integer({ min: 1, max: 500 }), price: fc.integer({ min: 0, max: 90 }) });
    fc.assert(
      fc.property(fc.array(material, { minLength: 1, maxLength: 12 }), fc.integer({ min: 1, max: 9 }), (drawn, count) => {
        const materials = drawn.map(({ grams, price }, at) => used(`m${at}`, grams, price));
        const cost = batchCost({ ...facts, materials, containers: [filled(count, 90 * count)] }, wish);
        const one = cost.kinds[0]!;
        const layers = costLayers(cost, one);
        expect(layers.reduce((sum, layer) => sum + layer.cost, 0)).toBeCloseTo(one.each, 9);
        expect(layers.reduce((sum, { tenthPercent }) => sum + tenthPercent, 0)).toBeCloseTo(10, 6);
        expect(layers.length).toBeLessThanOrEqual(9);
      }),
    );
  });
});
