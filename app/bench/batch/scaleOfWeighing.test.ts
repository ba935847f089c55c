import { describe, expect, it } from "vitest";
import { scaleOfWeighing } from "./scaleOfWeighing";

const fine = { name: "fine", readabilityGrams: 0.01, capacityGrams: 200 };
const bench = { name: "bench", readabilityGrams: 0.1, capacityGrams: 3_000 };
const on = (loadGrams: number, grams: number) => {
  const { scale, isInCup } = scaleOfWeighing([bench, fine], { loadGrams, grams });
  return [scale?.name, isInCup];
};

describe("on which scale", () => {
  it("the fine one as long as it carries the beaker too", () => {
    expect(on(90, 105.8)).toEqual(["fine", false]);
    expect(on(94.2, 105.8)).toEqual(["fine", false]);
    expect(on(94.3, 105.8)).toEqual(["bench", false]);
  });

  it("a little of something goes into a cup on the fine one when the beaker is too heavy for it: below 20 steps", () => {
    expect(on(412, 2)).toEqual(["bench", false]);
    expect(on(412, 1.99)).toEqual(["fine", true]);
  });

  it("what no scale carries has none; where the beaker is too heavy for all, what is to come is weighed alone", () => {
    expect(on(0, 3_001)).toEqual([undefined, false]);
    expect(on(2_990, 50)).toEqual(["fine", true]);
    expect(scaleOfWeighing([], { loadGrams: 0, grams: 5 })).toEqual({ scale: null, isInCup: false });
  });
});
