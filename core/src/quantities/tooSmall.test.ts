import { describe, expect, it } from "vitest";
import { isTooSmall, tooSmallCures } from "./tooSmall.ts";

describe("too small to weigh", () => {
  it("20 steps are enough, just under is not, nothing is nothing", () => {
    expect(isTooSmall(0.2, 0.01)).toBe(false);
    expect(isTooSmall(20 * 0.1, 0.1)).toBe(false);
    expect(isTooSmall(0.1999, 0.01)).toBe(true);
    expect(isTooSmall(0, 0.01)).toBe(false);
  });

  it("0.03 g of colour, 0.005 % of 600 g, on a 0.01 g scale: 4 kg, or 0.30 g of a 10 % solution", () => {
    const cures = tooSmallCures(0.03, 0.005, 0.01);
    expect(cures.leastGrams).toBeCloseTo(0.2, 12);
    expect(cures.smallestBatchGrams).toBeCloseTo(4000, 9);
    expect(cures.stock?.strengthPercent).toBe(10);
    expect(cures.stock?.massGrams).toBeCloseTo(0.3, 12);
  });

  it("takes the strongest solution that just reaches 20 steps: 0.1 g wants 50 %", () => {
    expect(tooSmallCures(0.1, 0.1, 0.01).stock).toEqual({ strengthPercent: 50, massGrams: 0.2 });
  });

  it("offers no solution where even 0.1 % weighs too little", () => {
    expect(tooSmallCures(0.0001, 0.0001, 0.01).stock).toBeNull();
  });
});
