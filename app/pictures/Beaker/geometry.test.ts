import { describe, expect, it } from "vitest";
import { beakerGeometry } from "./geometry";

const parts = (solute: number, water: number) => [
  { name: "citric acid", grams: solute, tint: "acid" },
  { name: "water", grams: water, tint: "water" },
];

describe("a beaker", () => {
  it("25 g in 75 g stand in 250 mL, as 80 of 100 mL would be too full to stir: 14 and 42 of 140 high", () => {
    const { capacityMl, layers, marks, glass } = beakerGeometry(parts(25, 75));
    expect(capacityMl).toBe(250);
    expect(layers.map(({ y, height }) => [y, height])).toEqual([
      [136, 14],
      [94, 42],
    ]);
    expect(marks.map(({ ml }) => ml)).toEqual([50, 100, 150, 200]);
    expect(glass).toBe("M0,2 L8,10 V150 H150 V2");
  });

  it("80 g are just what 100 mL take, and 6 kg get a vessel of their own", () => {
    expect(beakerGeometry(parts(8, 72)).capacityMl).toBe(100);
    expect(beakerGeometry(parts(8, 72.1)).capacityMl).toBe(250);
    expect(beakerGeometry(parts(600, 5400)).capacityMl).toBe(8000);
  });

  it("nothing in it is an empty glass", () => {
    expect(beakerGeometry([]).layers).toEqual([]);
  });
});
