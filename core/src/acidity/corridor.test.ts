import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { assess } from "../assessment/assess.ts";
import type { Formula } from "../formula/types.ts";
import { library, sheetOf, type WrittenLine } from "../testing/exampleSheet.ts";
import { intersect } from "./corridor.ts";

const corridorOf = (lines: readonly WrittenLine[], changes: Partial<Formula> = {}) => assess(sheetOf(lines, changes), library).phCorridor;

describe("the pH corridor", () => {
  it("4.5 to 6 with 2.5 to 5 leaves 4.5 to 5", () => {
    const corridor = corridorOf([
      ["water-distilled", "q.s."],
      ["sodium-benzoate", 0.5],
    ]);
    expect(corridor).toMatchObject({ low: 4.5, high: 5, empty: false, conflict: [] });
    expect(corridor?.claims[0]).toEqual({ who: "profile", low: 4.5, high: 6 });
  });

  it("near the eye 6.5 to 7.2 stands in the profile's place, and excludes benzoate", () => {
    const corridor = corridorOf(
      [
        ["water-distilled", "q.s."],
        ["sodium-benzoate", 0.5],
      ],
      { profile: "micellar-foam", eyeArea: true },
    );
    expect(corridor?.claims.map(({ who }) => who)).toEqual(["eye area", "sodium-benzoate"]);
    expect(corridor).toMatchObject({ low: 6.5, high: 5, empty: true, conflict: ["eye area", "sodium-benzoate"] });
  });

  it("the school claims too: plant-only ends at 5.5, true soap wants 9 to 10", () => {
    expect(corridorOf([["water-distilled", "q.s."]], { school: "plant-only" })).toMatchObject({ low: 4.5, high: 5.5 });
    expect(corridorOf([["water-distilled", "q.s."]], { school: "true-soap" })).toMatchObject({
      empty: true,
      conflict: ["school", "profile"],
    });
  });

  it("a material of 0 % claims nothing, two lines of one material claim once", () => {
    const none = corridorOf([
      ["water-distilled", "q.s."],
      ["sodium-benzoate", 0],
    ]);
    expect(none?.claims.map(({ who }) => who)).toEqual(["profile"]);
    const twice = assess(
      sheetOf([], {
        lines: ["a", "b"]
          .map((id) => ({ id, phase: "A", material: "decyl-glucoside", percent: 10 }))
          .concat({ id: "w", phase: "A", material: "water-distilled", percent: 80 }),
      }),
      library,
    ).phCorridor;
    expect(twice?.claims.filter(({ who }) => who === "decyl-glucoside")).toHaveLength(1);
  });

  it("does not exist without water", () => {
    expect(corridorOf([["sunflower-oil", 100]], { profile: "cleansing-oil" })).toBeNull();
  });

  it("a pH lies in an open corridor exactly when every claim holds it", () => {
    const claim = fc
      .tuple(fc.integer({ min: 0, max: 140 }), fc.integer({ min: 0, max: 140 }), fc.string())
      .map(([a, b, who]) => ({ who, low: Math.min(a, b) / 10, high: Math.max(a, b) / 10 }));
    fc.assert(
      fc.property(fc.array(claim, { minLength: 1, maxLength: 8 }), fc.integer({ min: 0, max: 140 }), (claims, tenths) => {
        const corridor = intersect(claims);
        const ph = tenths / 10;
        expect(ph >= corridor.low && ph <= corridor.high).toBe(claims.every(({ low, high }) => ph >= low && ph <= high));
        expect(corridor.conflict.length > 0).toBe(corridor.empty);
      }),
    );
  });
});
