import { describe, expect, it } from "vitest";
import { referenceLibrary } from "../library/referenceLibrary.ts";
import { broughtWater, printedLines } from "./printedLines.ts";

const shares = [
  { name: "Aqua", percent: 88.5 },
  { name: "Sodium C14-16 Olefin Sulfonate", percent: 6 },
  { name: "Glycerin", percent: 4 },
  { name: "Sodium Chloride", percent: 1.5 },
];

describe("lines from a printed list", () => {
  it("6 % sulfonate by one of 39 % are 15.38, whose 0.2 % salt is taken off what is weighed; water takes the rest", () => {
    const [water, sulfonate, glycerin, salt] = printedLines(shares, referenceLibrary, new Set());
    expect(sulfonate).toMatchObject({ material: "aos-40", takesTheRest: false });
    expect(sulfonate!.percent).toBeCloseTo(15.385, 3);
    expect(salt!.broughtPercent).toBeCloseTo(0.03077, 4);
    expect(salt!.percent).toBeCloseTo(1.5 - 0.03077, 1);
    expect(water).toMatchObject({ percent: null, takesTheRest: true });
    expect(water!.broughtPercent).toBeCloseTo(9.23, 1);
    expect(glycerin!.percent).toBeGreaterThanOrEqual(4);
  });

  it("come from the shelf where something of it stands there, and what nobody knows stays open", () => {
    const [, sulfonate] = printedLines(shares, referenceLibrary, new Set(["aos-powder"]));
    expect(sulfonate).toMatchObject({ material: "aos-powder" });
    const [unknown] = printedLines([{ name: "Hydrolyzed Lupine Protein", percent: 0.2 }], referenceLibrary, new Set());
    expect(unknown).toMatchObject({ material: null, percent: 0.2 });
  });

  it("60 % water in a bottle of 39 % are 1.54 parts of the name", () => {
    const [water, sulfonate, unknown] = broughtWater(
      ["Aqua", "Sodium C14-16 Olefin Sulfonate", "Nobody Knows"],
      referenceLibrary,
      new Set(),
    );
    expect([water, unknown]).toEqual([0, 0]);
    expect(sulfonate).toBeCloseTo(60 / 39, 9);
  });

  it("more salt hidden in the bottles than the list allows leaves none to weigh", () => {
    const [, salt] = printedLines(
      [
        { name: "Sodium Cocoyl Alaninate", percent: 12 },
        { name: "Sodium Chloride", percent: 1 },
      ],
      referenceLibrary,
      new Set(),
    );
    expect(salt!.percent).toBe(0);
    expect(salt!.broughtPercent).toBeCloseTo(2.2, 1);
  });
});
