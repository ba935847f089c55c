import { describe, expect, it } from "vitest";
import { equivalentsPerMole } from "../../acidity/equivalents.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import { library } from "../../testing/exampleSheet.ts";
import { formulaOf } from "../../testing/stepReading.ts";
import { rawPhPlan } from "./rawPhPlan.ts";

const sheetOf = (...lines: readonly (readonly [string, number])[]) =>
  resolveLines(formulaOf("hand-wash", { A: [22, ["water-distilled", "q.s."], ...lines] }), library).sheet;
const corridor = { low: 4.9, high: 5.5 };

describe("what to have ready for the first reading", () => {
  it("an alkaline wash: the usual 20 % citric acid, grams = demand × kg ⁄ z ⁄ strength", () => {
    const plan = rawPhPlan(sheetOf(["decyl-glucoside", 14]), corridor, 900)!;
    expect(plan).toMatchObject({ isOutside: true, target: 5.2, dose: { name: "citric acid 20 %" } });
    const z = equivalentsPerMole({ kind: "acid", pKas: [3.13, 4.76, 6.4] }, 5.2);
    expect(plan.dose?.grams.typical).toBeCloseTo((plan.forecast.demand.typical * 0.9 * 0.19212) / z / 0.2, 6);
    expect(plan.dose!.grams.low).toBeLessThan(plan.dose!.grams.typical);
    expect(plan.dose!.grams.high).toBeGreaterThan(plan.dose!.grams.typical);
  });

  it("an acid of the formula is the one that is planned; where it comes out right nothing is", () => {
    expect(rawPhPlan(sheetOf(["decyl-glucoside", 14], ["lactic-acid", 0.2]), corridor, 900)?.dose?.name).toBe("Lactic acid 88 %");
    const right = rawPhPlan(sheetOf(["cocamidopropyl-betaine", 14]), { low: 4, high: 7 }, 900);
    expect(right).toMatchObject({ isOutside: false, dose: null });
  });

  it("soap is not adjusted, a sour wash takes a base", () => {
    expect(rawPhPlan(sheetOf(["liquid-potassium-soap", 30]), corridor, 500)).toMatchObject({ isOutside: true, dose: null });
    expect(rawPhPlan(sheetOf(["cocamidopropyl-betaine", 20]), { low: 6.8, high: 7.2 }, 500)?.dose?.name).toBe("sodium hydroxide 10 %");
  });
});
