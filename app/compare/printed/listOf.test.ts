import { describe, expect, it } from "vitest";
import { listOf, phOf, pinOf } from "./listOf";

const name = (of: string, changes: object = {}) => ({
  ...{ name: of, printedPercent: null, mayContain: false, recognised: null, usual: null, charge: null, isCleanser: false, broughtWater: 0 },
  acidity: [],
  ...changes,
});

describe("what is known of a printed list", () => {
  const names = [name("Aqua"), name("Glycerin"), name("Panthenol", { printedPercent: 0.5 }), name("CI 77891", { mayContain: true })];

  it("pins a name to what was typed, else to what is printed; what may be in it is left out", () => {
    const { ingredients, onePercentLineAfter } = listOf(names, { pins: { 1: "4 %" }, after: 1, dryMatter: "", ph: "", active: null });
    expect(ingredients.map((one) => one.name)).toEqual(["Aqua", "Glycerin", "Panthenol"]);
    expect(ingredients[1]!.min).toBeCloseTo(3.98, 9);
    expect(ingredients[1]!.max).toBeCloseTo(4.02, 9);
    expect(ingredients[2]!.max).toBeCloseTo(0.5025, 9);
    expect(onePercentLineAfter).toBe(1);
  });

  it("a line after the last name is none, and dry matter comes with how sure it is", () => {
    const list = listOf(names, { pins: {}, after: 2, dryMatter: "18,5", ph: "", active: null });
    expect(list.onePercentLineAfter).toBeNull();
    expect(list.dryMatter).toEqual({ percent: 18.5, spread: 1 });
  });

  it("a pH that can be read goes along with what the names bring", () => {
    expect(phOf(names, "5,4")).toEqual({ measured: 5.4, acidity: [[], [], []] });
    expect([phOf(names, ""), phOf(names, "15"), phOf(names, "sour")]).toEqual([undefined, undefined, undefined]);
  });

  it("what it is holds what cleans in it to a window", () => {
    const washed = [name("Aqua"), name("Betaine", { isCleanser: true, broughtWater: 2 })];
    const known = { pins: {}, after: null, dryMatter: "", ph: "" };
    expect(listOf(washed, { ...known, active: { low: 10, high: 15 } })).toMatchObject({
      together: { places: [1], low: 10, high: 15 },
      broughtWater: [0, 2],
    });
    expect(listOf(names, { ...known, active: { low: 10, high: 15 } }).together).toBeUndefined();
  });

  it.each([
    ["", null],
    ["none", null],
    ["120", null],
    ["-1", null],
    ["0,5", 0.5],
  ])("a pin of %j is %j", (typed, pin) => expect(pinOf(typed)).toBe(pin));
});
