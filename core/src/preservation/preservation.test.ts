import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { assess } from "../assessment/assess.ts";
import { Refusal } from "../quantities/refusal.ts";
import type { Formula } from "../formula/types.ts";
import { library, materialOf, sheetOf, type WrittenLine } from "../testing/exampleSheet.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import { preservationChecks } from "./checks.ts";
import { dilute, topUpPercent } from "./dilution.ts";
import { strengthCurve, workingDosePercent } from "./preservatives.ts";
import { electrolyteActivity, norrishActivity } from "./waterActivity.ts";

const read = (lines: readonly WrittenLine[], changes: Partial<Formula> = {}) => assess(sheetOf(lines, changes), library);

describe("water activity", () => {
  it("20 g glycerin in 80 g water: x_w = 4.4407 ⁄ 4.6579 = 0.9534, a_w = 0.9534 e^(−1.16 × 0.0466²) = 0.9510", () => {
    expect(norrishActivity(80, 20, { molarMass: 92.09, norrishK: 1.16 })).toBeCloseTo(0.951, 4);
  });

  it("1 mol/kg salt: e^(−0.01802 × 2 × 0.93) = 0.9670", () => {
    expect(electrolyteActivity(1000, 58.44, { molarMass: 58.44, ions: 2 })).toBeCloseTo(0.967, 4);
  });

  it("brine never falls below 6.1 mol/kg, syrup never below 0.85", () => {
    expect(electrolyteActivity(10, 90, { molarMass: 58.44, ions: 2 })).toBeCloseTo(Math.exp(-0.01802 * 2 * 0.93 * 6.1), 10);
    expect(norrishActivity(10, 90, { molarMass: 342.3, norrishK: 6.47 })).toBe(0.85);
    expect(norrishActivity(60, 40, { molarMass: 342.3, norrishK: 6.47 })).toBeCloseTo(0.9589, 4);
  });

  it("is the product of what each does alone: glycerin and salt together", () => {
    const both =
      read([
        ["water-distilled", "q.s."],
        ["glycerin", 20],
        ["sodium-chloride", 2],
      ]).waterActivity ?? 0;
    const water = 78 + 0.1 + 0.01;
    const glycerin = norrishActivity(water, 19.9, { molarMass: 92.09, norrishK: 1.16 });
    const salt = electrolyteActivity(water, 1.99, { molarMass: 58.44, ions: 2 });
    expect(both).toBeCloseTo(glycerin * salt, 10);
  });

  it("counts the salt that hides in a betaine", () => {
    const betaine =
      read([
        ["water-distilled", "q.s."],
        ["cocamidopropyl-betaine", 30],
      ]).waterActivity ?? 1;
    const water = 70 + 0.643 * 30;
    expect(betaine).toBeCloseTo(electrolyteActivity(water, 1.56, { molarMass: 58.44, ions: 2 }), 10);
  });

  it("is 1 for water, and unknown without any", () => {
    expect(read([["water-distilled", 100]]).waterActivity).toBe(1);
    const dry = read([["sunflower-oil", 100]], { profile: "cleansing-oil" });
    expect(dry.waterActivity).toBeNull();
    expect(dry.notJudged.map(({ what }) => what)).toContain("waterActivity");
  });

  it("moisture of powders is no water: a travel powder needs neither preservative nor chelator, ten per cent of water does", () => {
    const powder = (...more: WrittenLine[]) =>
      read([["rice-powder", 50], ["sci-powder", 20], ["colloidal-oatmeal", 30], ...more], { profile: "powder-cleanser" }); // prettier-ignore
    expect(powder().waterActivity).toBeNull();
    const stateAt = (check: string, of: ReturnType<typeof powder>) => of.preservationChecks.find((one) => one.check === check);
    for (const check of ["preservative", "chelator", "water-activity"]) {
      expect(stateAt(check, powder()), check).toMatchObject({ state: "pass", reason: "no-water" });
    }
    const wet = powder(["water-distilled", 10]);
    expect(wet.waterActivity).toBeGreaterThan(0.5);
    expect(stateAt("preservative", wet)).toMatchObject({ state: "open", reason: "none" });
  });

  it("never rises when more is dissolved", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 20 }), (glycerin, more) => {
        const of = (percent: number) =>
          read([
            ["water-distilled", "q.s."],
            ["glycerin", percent],
          ]).waterActivity ?? 0;
        expect(of(glycerin + more)).toBeLessThanOrEqual(of(glycerin));
      }),
    );
  });
});

describe("what of a preservative works", () => {
  const benzoate = materialOf("sodium-benzoate").preservative;

  it("1 % benzoate at pH 5: 0.843 ⁄ (1 + 10^0.8) = 0.1153 %", () => {
    expect(workingDosePercent(1, benzoate?.acids ?? [], 5)).toBeCloseTo(0.1153, 4);
  });

  it("half of it at the pKa, and ever less above", () => {
    expect(workingDosePercent(1, benzoate?.acids ?? [], 4.2)).toBeCloseTo(0.4215, 10);
    const facts = benzoate ?? expect.fail("benzoate is a preservative");
    const curve = strengthCurve({ percent: 1, facts }, { low: 3, high: 7, steps: 8 });
    expect(curve).toHaveLength(9);
    for (let i = 1; i < curve.length; i += 1) expect(curve[i]?.workingPercent ?? 1).toBeLessThan(curve[i - 1]?.workingPercent ?? 0);
  });

  it("is judged at the measured pH, else at the corridor's high end, else at the profile's", () => {
    const lines: WrittenLine[] = [
      ["water-distilled", "q.s."],
      ["sodium-benzoate", 0.5],
    ];
    expect(read(lines, { measured: { ph: 4.6 } }).preservativePh).toEqual({ ph: 4.6, from: "measured" });
    expect(read(lines).preservativePh).toEqual({ ph: 5, from: "corridor" });
    expect(read(lines, { profile: "soap-wash" }).preservativePh).toEqual({ ph: 10, from: "profile" });
    expect(read(lines).preservatives[0]?.workingPercent).toBeCloseTo(0.5 * 0.1153, 4);
  });

  it("has no working part where it does not work as an acid", () => {
    const [preservative] = read([
      ["water-distilled", "q.s."],
      ["phenoxyethanol", 0.8],
    ]).preservatives;
    expect(preservative).toMatchObject({ material: "phenoxyethanol", percent: 0.8, workingPercent: null });
  });

  it("finds the one inside a base: 20 % of a base with 0.7 % phenoxyethanol are 0.14 %, and 0.5 % more on top", () => {
    const [preservative] = read([
      ["water-distilled", "q.s."],
      ["mild-anionic-preblend", 20],
      ["phenoxyethanol", 0.5],
    ]).preservatives;
    expect(preservative?.percent).toBeCloseTo(0.64, 12);
  });
});

describe("preservation checks", () => {
  const stateOf = (name: string, lines: readonly WrittenLine[], changes: Partial<Formula> = {}) =>
    read(lines, changes).preservationChecks.find(({ check }) => check === name)?.state;

  it("are seven, two of which only the maker decides", () => {
    const { preservationChecks } = read([["water-distilled", "q.s."]]);
    expect(preservationChecks.map(({ check }) => check)).toEqual([
      "ph",
      "water-activity",
      "preservative",
      "chelator",
      "microbe-nutrients",
      "clean-process",
      "pack",
    ]);
    expect(preservationChecks.filter(({ state }) => state === "yours")).toHaveLength(2);
  });

  it("pH passes to 5.0 and from 9.5, and is weak between", () => {
    const at = (ph: number) => stateOf("ph", [["water-distilled", "q.s."]], { measured: { ph } });
    expect([at(5), at(5.1), at(9.4), at(9.5)]).toEqual(["pass", "weak", "weak", "pass"]);
  });

  it("water passes below an activity of 0.7, is weak below 0.85, and open from there", () => {
    const sheet = sheetOf([["water-distilled", "q.s."]]);
    const at = (waterActivity: number) =>
      preservationChecks(resolveLines(sheet, library).sheet, { ph: { ph: 6, from: "measured" }, waterActivity, preservatives: [] }).find(
        ({ check }) => check === "water-activity",
      );
    expect([0.59, 0.6, 0.69, 0.7, 0.849, 0.85].map((activity) => at(activity)?.state)).toEqual([
      "pass",
      "pass",
      "pass",
      "weak",
      "weak",
      "open",
    ]);
    expect([0.59, 0.6, 0.849].map((activity) => at(activity)?.reason)).toEqual(["nothing-grows", "rare-moulds", "moulds-and-yeasts"]);
  });

  it("a preservative at its least usual dose passes, below it is weak, and none is open", () => {
    expect(
      stateOf("preservative", [
        ["water-distilled", "q.s."],
        ["sodium-benzoate", 0.3],
      ]),
    ).toBe("pass");
    expect(
      stateOf("preservative", [
        ["water-distilled", "q.s."],
        ["sodium-benzoate", 0.29],
      ]),
    ).toBe("weak");
    expect(stateOf("preservative", [["water-distilled", "q.s."]])).toBe("open");
  });

  it("honey feeds microbes, half a percent of gum does not", () => {
    expect(
      stateOf("microbe-nutrients", [
        ["water-distilled", "q.s."],
        ["honey", 1],
      ]),
    ).toBe("weak");
    expect(
      stateOf("microbe-nutrients", [
        ["water-distilled", "q.s."],
        ["xanthan-gum", 0.5],
      ]),
    ).toBe("pass");
  });

  it("a chelator of any amount passes", () => {
    expect(
      stateOf("chelator", [
        ["water-distilled", "q.s."],
        ["disodium-edta", 0.1],
      ]),
    ).toBe("pass");
    expect(stateOf("chelator", [["water-distilled", "q.s."]])).toBe("open");
  });
});

describe("dilution", () => {
  const wash = sheetOf([
    ["water-distilled", "q.s."],
    ["decyl-glucoside", 20],
    ["phenoxyethanol", 0.9],
  ]);

  it("doubled with water: half the active matter, 0.45 % of 0.9 % preservative, too little from 0.5 %", () => {
    const { activeMatterPercent, preservative, text } = dilute(wash, { partsProduct: 1, partsWater: 1 }, library);
    expect(activeMatterPercent).toBeCloseTo(assess(wash, library).activeMatter.percent / 2, 12);
    expect(preservative[0]).toMatchObject({ material: "phenoxyethanol", low: materialOf("phenoxyethanol").use?.low });
    expect(preservative[0]?.percent).toBeCloseTo(0.45, 12);
    expect(preservative[0]?.ok).toBe(0.45 >= (materialOf("phenoxyethanol").use?.low ?? 0));
    expect(text).toContain("50.0 % product");
  });

  it("no water changes nothing", () => {
    const { activeMatterPercent, preservative } = dilute(wash, { partsProduct: 3, partsWater: 0 }, library);
    expect(activeMatterPercent).toBe(assess(wash, library).activeMatter.percent);
    expect(preservative[0]?.percent).toBe(0.9);
  });

  it("topping up from 0.3 to 0.5 % takes 100 × 0.2 ⁄ 99.5 = 0.2010 %, and lands there", () => {
    const more = topUpPercent(0.3, 0.5);
    expect(more).toBeCloseTo(0.201005, 6);
    expect((100 * (0.3 + more)) / (100 + more)).toBeCloseTo(0.5, 12);
    expect(topUpPercent(0.5, 0.5)).toBe(0);
  });

  it("refuses a dilution of nothing", () => {
    expect(() => dilute(wash, { partsProduct: 0, partsWater: 1 }, library)).toThrow(Refusal);
    expect(() => dilute(wash, { partsProduct: 1, partsWater: Number.NaN }, library)).toThrow(Refusal);
  });
});
