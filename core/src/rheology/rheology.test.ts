import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula } from "../formula/types.ts";
import { library, sheetOf, type WrittenLine } from "../testing/exampleSheet.ts";
import { earliestCorrectionMinutes, hydrationClocks, slurryOf } from "./hydration.ts";
import { polymerStepGrams } from "./polymerStep.ts";
import { thickeningRoutes, type RouteName } from "./routes.ts";
import { sedimentationOf, yieldEstimate } from "./sedimentation.ts";
import { beadViscosity } from "./viscosity/beadDrop.ts";
import { calibrateFunnel, flowViscosity, glycerinPascalSeconds } from "./viscosity/flowTime.ts";
import { thicknessWord } from "./viscosity/words.ts";

const water: WrittenLine = ["water-distilled", "q.s."];
const sheetWith = (lines: readonly WrittenLine[], changes: Partial<Formula> = {}) =>
  resolveLines(sheetOf([water, ...lines], changes), library).sheet;

describe("which route works", () => {
  const verdict = (route: RouteName, lines: readonly WrittenLine[], salt = 0.2, changes: Partial<Formula> = {}) =>
    thickeningRoutes(sheetWith(lines, changes), salt).find((one) => one.route === route)?.verdict;

  it.each<[string, readonly WrittenLine[], string]>([
    [
      "sulfates",
      [
        ["sles-2eo-28", 30],
        ["decyl-glucoside", 5],
      ],
      "works",
    ],
    [
      "a sulfonate beside a betaine",
      [
        ["aos-40", 20],
        ["cocamidopropyl-betaine", 15],
      ],
      "works",
    ],
    [
      "a sulfonate alone",
      [
        ["aos-40", 20],
        ["decyl-glucoside", 10],
      ],
      "little",
    ],
    [
      "a taurate beside a betaine",
      [
        ["smct-liquid", 20],
        ["cocamidopropyl-betaine", 15],
      ],
      "works",
    ],
    ["a taurate alone", [["smct-liquid", 20]], "little"],
    ["glucosides", [["decyl-glucoside", 20]], "little"],
    [
      "an isethionate beside an amphoacetate",
      [
        ["sci-powder", 8],
        ["sodium-cocoamphoacetate", 15],
      ],
      "little",
    ],
  ])("salt on %s: %s", (_title, lines, expected) => expect(verdict("salt", lines)).toBe(expected));

  it("carbomers collapse above 0.3 % of salt", () => {
    expect(verdict("carbomer", [["sles-2eo-28", 30]], 0.3)).toBe("works");
    expect(verdict("carbomer", [["sles-2eo-28", 30]], 0.31)).toBe("avoid");
  });

  it("scent holds associative thickeners back, heat lets fatty alcohols in", () => {
    expect(verdict("associative", [["sles-2eo-28", 30]])).toBe("works");
    expect(
      verdict("associative", [
        ["sles-2eo-28", 30],
        ["lavender-oil", 0.3],
      ]),
    ).toBe("weakened");
    expect(verdict("fatty", [["sles-2eo-28", 30]])).toBe("little");
    expect(verdict("fatty", [["sles-2eo-28", 30]], 0.2, { phases: [{ id: "A", temperatureC: 72 }] })).toBe("works");
  });

  it("a foaming pump takes no thickener at all", () => {
    const routes = thickeningRoutes(sheetWith([["sles-2eo-28", 30]], { profile: "foaming-wash" }), 0.2);
    expect(routes.every((route) => route.verdict === "avoid")).toBe(true);
  });
});

describe("hydration clocks", () => {
  it("gum before associative before scent before salt; corrections wait for the longest", () => {
    const clocks = hydrationClocks(
      sheetWith([
        ["xanthan-gum", 0.5],
        ["peg-150-distearate", 1],
        ["sodium-chloride", 1],
        ["lavender-oil", 0.3],
      ]),
    );
    expect(clocks.map(({ kind }) => kind)).toEqual(["gum", "associative", "salt", "fragrance"]);
    expect(clocks[0]).toMatchObject({
      firstLookMinutes: { low: 20, high: 30 },
      trueMinutes: { low: 1440, high: 2880 },
      lines: ["xanthan-gum"],
    });
    expect(earliestCorrectionMinutes(clocks)).toBe(1440);
  });

  it("none run in a plain wash", () => expect(hydrationClocks(sheetWith([["decyl-glucoside", 20]]))).toEqual([]));

  it("a gum wants five parts of glycerin, ten to be easy", () => {
    expect([4.9, 5, 9.9, 10].map((glycerin) => slurryOf(1, glycerin).verdict)).toEqual(["lumps", "enough", "enough", "comfortable"]);
  });

  it("associative thickener goes in by quarters of a percent: 2 g in 800 g", () => expect(polymerStepGrams(800)).toBe(2));
});

describe("flow time", () => {
  const glycerin = { pascalSeconds: 1.27, density: 1.26, seconds: 60 };
  const oil = { pascalSeconds: 0.064, density: 0.92, seconds: 5 };

  it("two known liquids give both constants, which give both liquids back", () => {
    const funnel = calibrateFunnel(glycerin, oil);
    for (const liquid of [glycerin, oil]) {
      const measured = flowViscosity(funnel, liquid.seconds, liquid.density);
      expect(measured.found && measured.pascalSeconds).toBeCloseTo(liquid.pascalSeconds, 10);
    }
    expect(funnel.k).toBeCloseTo(0.0168196, 6);
    expect(funnel.c).toBeCloseTo(0.072652, 6);
  });

  it("recovers any funnel from any two liquids it made", () => {
    const constant = fc.double({ min: 0.001, max: 0.1, noNaN: true });
    fc.assert(
      fc.property(constant, constant, (k, c) => {
        const made = (seconds: number) => ({ pascalSeconds: k * seconds - c / seconds, density: 1, seconds });
        const funnel = calibrateFunnel(made(20), made(90));
        expect(funnel.k).toBeCloseTo(k, 9);
        expect(funnel.c).toBeCloseTo(c, 6);
      }),
    );
  });

  it("one liquid twice calibrates nothing", () => expect(() => calibrateFunnel(glycerin, glycerin)).toThrow("do not calibrate"));

  it("what runs through like water tells nothing of its thickness", () => {
    expect(flowViscosity({ k: 0.01, c: 0.1 }, 2, 1)).toMatchObject({ found: false });
  });

  it("glycerin is 1.27 Pa s at 20 °C, 0.82 at 25 °C, and between them between", () => {
    expect(glycerinPascalSeconds(20)).toBeCloseTo(1.27, 12);
    expect(glycerinPascalSeconds(25)).toBeCloseTo(0.82, 12);
    expect(glycerinPascalSeconds(22.5)).toBeCloseTo(Math.sqrt(1.27 * 0.82), 12);
  });

  it("in words", () => {
    expect([0.001, 0.3, 3, 12, 60].map(thicknessWord)).toEqual(["water", "syrup", "pump gel", "thick gel", "spoon-standing"]);
  });
});

describe("bead drop", () => {
  const glass = { beadDiameterMm: 3, beadDensity: 2.5, jarDiameterMm: 40, liquidDensity: 1.03, fallMm: 100, seconds: 20 };

  it("a 3 mm glass bead, 10 cm in 20 s: 1.2154 Pa s, Re 0.0127", () => {
    expect(beadViscosity(glass).pascalSeconds).toBeCloseTo(1.21536, 5);
    expect(beadViscosity(glass).reynolds).toBeCloseTo(0.012712, 6);
    expect(beadViscosity(glass).valid).toBe(true);
  });

  it("λ 0.3 is the last that holds, and too fast a fall does not", () => {
    expect(beadViscosity({ ...glass, jarDiameterMm: 10 }).valid).toBe(true);
    expect(beadViscosity({ ...glass, jarDiameterMm: 9.99 }).valid).toBe(false);
    expect(beadViscosity({ ...glass, seconds: 2 }).valid).toBe(false);
  });

  it("a bead as light as the liquid, or wider than the jar, gives no thickness", () => {
    expect(beadViscosity({ ...glass, beadDensity: 1.03 })).toMatchObject({ pascalSeconds: null, reynolds: null, valid: false });
    expect(beadViscosity({ ...glass, jarDiameterMm: 3 })).toMatchObject({ pascalSeconds: null, valid: false });
  });
});

describe("settling", () => {
  const grains = { diameterMicrometre: 300, particleDensity: 1.4, liquidDensity: 1.03, pascalSeconds: 4, yieldPascal: 0 };

  it("0.3 mm grains in 4 Pa s fall 391.87 mm a day: overnight", () => {
    const { speedMmPerDay, daysToFall50mm, held, text } = sedimentationOf(grains);
    expect(speedMmPerDay).toBeCloseTo(391.8737, 4);
    expect(daysToFall50mm).toBeCloseTo(0.127592, 6);
    expect(held).toBe(false);
    expect(text).toContain("Sinks overnight");
  });

  it("beads of jojoba rise: 400 µm of 0.96 g/mL at −131.8 mm a day, and never fall", () => {
    const { speedMmPerDay, daysToFall50mm, text } = sedimentationOf({ ...grains, diameterMicrometre: 400, particleDensity: 0.96 });
    expect(speedMmPerDay).toBeCloseTo(-131.8, 1);
    expect(daysToFall50mm).toBeNull();
    expect(text).toContain("Rises");
  });

  it("is held from 3 τ ⁄ (2 r Δρ g) = 0.143 on: τ = 0.05189 Pa for these grains", () => {
    const edge = (0.143 * 3e-4 * 370 * 9.80665) / 3;
    expect(edge).toBeCloseTo(0.05189, 5);
    expect(sedimentationOf({ ...grains, yieldPascal: edge }).held).toBe(true);
    expect(sedimentationOf({ ...grains, yieldPascal: edge * 0.999 }).held).toBe(false);
  });

  it("what weighs as much as the liquid is held by nothing", () => {
    expect(sedimentationOf({ ...grains, particleDensity: 1.03 })).toMatchObject({ speedMmPerDay: 0, daysToFall50mm: null, held: true });
  });

  it("0.5 % xanthan gives 7 × 0.5^1.8 = 2.010 Pa; salt and associative thickeners none", () => {
    expect(yieldEstimate(sheetWith([["xanthan-gum", 0.5]])).yieldPascal).toBeCloseTo(2.0102, 4);
    expect(yieldEstimate(sheetWith([["bentonite-xanthan", 2]])).yieldPascal).toBeCloseTo(3 * 2 ** 1.6, 10);
    expect(
      yieldEstimate(
        sheetWith([
          ["sodium-chloride", 2],
          ["peg-150-distearate", 2],
        ]),
      ).yieldPascal,
    ).toBe(0);
  });

  it("of another suspender nobody knows: test a jar", () => {
    const { yieldPascal, unknown, text } = yieldEstimate(
      sheetWith([
        ["sclerotium-gum", 0.5],
        ["xanthan-gum", 0.2],
      ]),
    );
    expect([yieldPascal, unknown]).toEqual([null, ["sclerotium-gum"]]);
    expect(text).toContain("test a jar");
  });
});
