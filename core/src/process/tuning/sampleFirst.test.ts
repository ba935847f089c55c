import { describe, expect, it } from "vitest";
import type { TitrationAdvice } from "../../acidity/index.ts";
import { sampleFirst } from "./sampleFirst.ts";

const recommend: TitrationAdvice["recommend"] = {
  ...{ agent: "agent", grams: 1, drops: null, finalEstimateGrams: 2, overshootChance: 0.004 },
  ...{ expectedPh: 5.5, expectedPhLow: 5.3, expectedPhHigh: 5.7 },
};
const around = { window: { low: 4.6, high: 5.4 }, isPast: false, leadsAway: null, needs: "acid" } as const;
const said = { code: "dose", advice: recommend, isCoarse: false, isProbing: false, phPerCoarseDrop: null, ...around } as const;
const advice: Pick<TitrationAdvice, "state" | "said" | "recommend"> = { state: "dose", said, recommend };

describe("a sample first", () => {
  it("is possible without a reason, a tenth of the batch from 30 to 60 g", () => {
    expect(sampleFirst(advice, 500, 1)).toEqual({ reason: null, grams: 50 });
    expect(sampleFirst(advice, 200, 1)).toEqual({ reason: null, grams: 30 });
    expect(sampleFirst(advice, 1400, 1)).toEqual({ reason: null, grams: 60 });
  });

  it("is offered for a risky dose, for many doses, for a large batch", () => {
    expect(sampleFirst({ ...advice, recommend: { ...recommend, overshootChance: 0.02 } }, 500, 0)?.reason).toBe("chance");
    expect(sampleFirst({ ...advice, said: { code: "drop-too-strong", ...around } }, 500, 0)?.reason).toBe("chance");
    expect(sampleFirst({ ...advice, said: { ...said, isProbing: true } }, 500, 0)?.reason).toBe("many-doses");
    expect(sampleFirst(advice, 500, 3)?.reason).toBe("many-doses");
    expect(sampleFirst(advice, 1500, 0)?.reason).toBe("large");
  });

  it("is not offered where nothing is to be dosed, or the batch is hardly larger", () => {
    expect(sampleFirst({ ...advice, state: "in-target" }, 500, 1)).toBeNull();
    expect(sampleFirst({ ...advice, state: "reread" }, 500, 1)).toBeNull();
    expect(sampleFirst(advice, 74, 1)).toBeNull();
    expect(sampleFirst(advice, 75, 1)?.grams).toBe(30);
  });
});
