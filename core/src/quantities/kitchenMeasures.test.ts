import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { gramsOfMeasure, millilitresOf, type KitchenUnit, type MeasureSystem } from "./kitchenMeasures.ts";

const glycerin = { form: "liquid", densityGramsPerMl: 1.26, dropMilligrams: 40 };
const kaolin = { form: "powder", densityGramsPerMl: 0.5, dropMilligrams: null };
const us = (material: typeof glycerin | typeof kaolin) => ({ material, system: "us" as MeasureSystem });

describe("kitchen measures", () => {
  it("a US tablespoon of glycerin: 14.787 mL × 1.26 = 18.63 g, ± 5 %", () => {
    const mass = gramsOfMeasure(1, "tbsp", us(glycerin));
    expect(mass).toMatchObject({ found: true, isExact: false });
    if (!mass.found) return expect.fail("a density is known");
    expect(mass.grams).toBeCloseTo(18.6316, 4);
    expect(mass.lowGrams).toBeCloseTo(17.7, 1);
    expect(mass.highGrams).toBeCloseTo(19.56, 2);
  });

  it("20 drops of 40 mg are 0.8 g, ounces and pounds are exact", () => {
    expect(gramsOfMeasure(20, "drop", us(glycerin))).toMatchObject({ grams: 0.8, isExact: false });
    expect(gramsOfMeasure(2, "oz", us(glycerin))).toMatchObject({ grams: 56.699046, isExact: true });
    expect(gramsOfMeasure(1, "lb", us(glycerin))).toMatchObject({ grams: 453.59237, isExact: true });
  });

  it("a heaped powder is less certain than a liquid", () => {
    const powder = gramsOfMeasure(2, "tsp", us(kaolin));
    if (!powder.found) return expect.fail("a density is known");
    expect(powder.grams).toBeCloseTo(4.929, 6);
    expect(powder.highGrams / powder.grams).toBeCloseTo(1.2, 10);
  });

  it("cups differ from place to place: 236.59, 250 and 284.13 mL", () => {
    expect(["us", "metric", "imperial"].map((system) => millilitresOf(1, "cup", system as MeasureSystem))).toEqual([236.59, 250, 284.13]);
  });

  it("says what is missing instead of guessing", () => {
    expect(gramsOfMeasure(5, "drop", us(kaolin))).toEqual({ found: false, reason: "the mass of a drop is unknown; weigh 20 drops" });
    const unknown = { form: null, densityGramsPerMl: null, dropMilligrams: null };
    expect(gramsOfMeasure(1, "cup", { material: unknown, system: "us" })).toMatchObject({ found: false });
  });

  it("twice as much of any unit weighs twice as much", () => {
    const unit = fc.constantFrom<KitchenUnit>("ml", "tsp", "cup", "quart", "pinch", "drop", "g", "oz");
    fc.assert(
      fc.property(unit, fc.double({ min: 0.01, max: 1000, noNaN: true }), (each, amount) => {
        const once = gramsOfMeasure(amount, each, us(glycerin));
        const twice = gramsOfMeasure(2 * amount, each, us(glycerin));
        if (once.found && twice.found) expect(twice.grams).toBeCloseTo(2 * once.grams, 8);
        else expect.fail("glycerin has a density and a drop");
      }),
    );
  });
});
