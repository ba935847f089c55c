import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { modelEffects } from "./modelEffect.ts";

const formula = sheetOf([
  ["water-distilled", "q.s."],
  ["aos-40", 16],
  ["decyl-glucoside", 8],
  ["cocamidopropyl-betaine", 10],
  ["citric-acid-anhydrous", 0.4],
]);
const effects = modelEffects(formula, library, { ph: 5.6, foamAtOnceMm: 110, slip: 3 });

describe("what the models say of a change", () => {
  it("more acid lowers the pH, less raises it, and neither is told of foam", () => {
    const [more] = effects("citric-acid-anhydrous", 0.4, 0.5);
    expect(more).toMatchObject({ kind: "ph" });
    expect(more!.likely).toBeLessThan(0);
    expect(more!.low).toBeLessThan(more!.likely);
    expect(more!.high).toBeGreaterThan(more!.likely);
    expect(effects("citric-acid-anhydrous", 0.4, 0.3)[0]!.likely).toBeGreaterThan(0);
    expect(effects("citric-acid-anhydrous", 0.4, 0.5)).toHaveLength(1);
  });

  it("a cleanser moves the foam of its blend, and not the pH by this", () => {
    const told = effects("aos-40", 16, 12);
    expect(told.map(({ kind }) => kind)).toEqual(["foamAtOnceMm"]);
    expect(Math.abs(told[0]!.likely)).toBeLessThan(60);
  });

  it("of what is not in it, takes the rest, or was not measured it knows nothing", () => {
    expect(effects("panthenol-75", 0, 1)).toEqual([]);
    expect(effects("water-distilled", 60, 50)).toEqual([]);
    expect(modelEffects(formula, library, { slip: 3 })("citric-acid-anhydrous", 0.4, 0.5)).toEqual([]);
  });
});
