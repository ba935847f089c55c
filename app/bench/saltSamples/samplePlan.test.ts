import { describe, expect, it } from "vitest";
import { saltSamplePlan } from "./samplePlan";

describe("jars of a base", () => {
  const saltSamples = saltSamplePlan(50, 1);

  it("seven, the first as it is, each with more salt than the one before", () => {
    expect(saltSamples).toHaveLength(7);
    expect(saltSamples[0]).toEqual({ saltPercent: 1, saltGrams: 0 });
    for (let at = 1; at < saltSamples.length; at += 1) expect(saltSamples[at]!.saltGrams).toBeGreaterThan(saltSamples[at - 1]!.saltGrams);
  });

  it("what is added truly makes the salt that is told: 1.3 % in 50 g of 1 % is 0.152 g", () => {
    expect(saltSamples[1]?.saltGrams).toBeCloseTo(0.152, 3);
    for (const { saltGrams, saltPercent } of saltSamples) expect((50 * 1 + 100 * saltGrams) / (50 + saltGrams)).toBeCloseTo(saltPercent, 9);
  });
});
