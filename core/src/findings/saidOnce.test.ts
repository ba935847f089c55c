import { describe, expect, it } from "vitest";
import type { Formula } from "../formula/types.ts";
import { read, codesOf, found, water } from "./testing/findings.ts";
import { thingsToConsider } from "./finding.ts";
import type { WrittenLine } from "../testing/exampleSheet.ts";

/** Formulas as someone careful makes them. */
const careful: readonly (readonly [string, readonly WrittenLine[], Partial<Formula>])[] = [
  [
    "an everyday shampoo",
    [
      water,
      ["guar-hydroxypropyltrimonium-chloride", 0.2],
      ["glycerin", 2],
      ["tetrasodium-glda", 0.2],
      ["sodium-benzoate", 0.4],
      ["potassium-sorbate", 0.2],
      ["aos-40", 18],
      ["cocamidopropyl-betaine", 12],
      ["coco-glucoside", 4],
      ["citric-acid-solution-50", 0.4],
      ["polyglyceryl-4-caprate", 1.6],
      ["rosemary-oil", 0.3],
    ],
    { profile: "everyday-shampoo" },
  ],
  [
    "a body wash",
    [
      water,
      ["sles-2eo-28", 30],
      ["cocamidopropyl-betaine", 10],
      ["glycerin", 3],
      ["tetrasodium-glda", 0.2],
      ["benzyl-alcohol-dehydroacetic-acid", 0.9],
      ["citric-acid-solution-50", 0.4],
      ["sodium-chloride", 1],
    ],
    { profile: "body-wash" },
  ],
  [
    "a face gel",
    [
      water,
      ["glycerin", 5],
      ["xanthan-gum-clear", 0.8],
      ["sodium-cocoyl-glutamate", 10],
      ["cocamidopropyl-betaine", 8],
      ["coco-glucoside", 2],
      ["tetrasodium-glda", 0.2],
      ["sodium-benzoate-potassium-sorbate-liquid", 1.2],
      ["lactic-acid", 0.6],
    ],
    { profile: "face-gel" },
  ],
  [
    "a cleansing oil",
    [
      ["sunflower-oil", 50],
      ["caprylic-capric-triglyceride", 34.5],
      ["polyglyceryl-4-oleate", 15],
      ["tocopherol", 0.5],
    ],
    { profile: "cleansing-oil" },
  ],
];

describe("a thing is said once", () => {
  it.each(careful)("%s has at most four things to consider", (_, lines, changes) => {
    expect(thingsToConsider(read(lines, changes).findings)).toBeLessThanOrEqual(4);
  });

  it("what to wear is one thing, however many ask for it", () => {
    const { findings } = read([water, ["slsa-powder", 5], ["sodium-hydroxide-pellets", 0.2], ["sles-2eo-28", 20]]);
    const codes = findings.filter(({ severity }) => severity === "consider").map(({ code }) => code);
    expect(codes).toEqual(expect.arrayContaining(["DUST", "CORROSIVE", "EYE_IRRITANT"]));
    expect(thingsToConsider(findings)).toBe(codes.length - 2);
  });

  // The fine scale shows 0.01 g: half of it is 0.00083 % of 600 g.
  it("what rounding makes is no finding: 0.5995 % of a preservative that begins at 0.6 % is 0.6 %", () => {
    const kept = (percent: number) => codesOf([water, ["coco-glucoside", 20], ["phenoxyethanol-ethylhexylglycerin", percent]]);
    expect(kept(0.5995)).not.toContain("PRESERVATIVE_LOW");
    expect(kept(0.598)).toContain("PRESERVATIVE_LOW");
  });

  it("a trace that a base brings along is no preservative that needs a second one", () => {
    const base = ["mild-anionic-preblend", 5] as const;
    const full = [water, base, ["tetrasodium-glda", 0.2], ["benzyl-alcohol-dehydroacetic-acid", 0.9]] as const;
    const about = found("PRESERVATIVE_HELPER", full).map(({ facts }) => (facts as { material: string }).material);
    expect(about).toEqual([]);
    expect(codesOf(full)).not.toContain("PRESERVATIVE_DILUTED");
    expect(codesOf([water, base])).toContain("PRESERVATIVE_DILUTED");
  });
});

describe("what was missing", () => {
  it("GUM_OVER: 2 % pours, 2.1 % does not; what stands on a spoon may have it", () => {
    const gum = (percent: number) => [water, ["glycerin", 15], ["xanthan-gum", percent]] as const;
    expect(codesOf(gum(2))).not.toContain("GUM_OVER");
    expect(found("GUM_OVER", gum(2.1))[0]?.facts).toMatchObject({ percent: 2.1, mostPercent: 2 });
    expect(codesOf(gum(2.1), { aim: { thickness: "spoon-standing" } })).not.toContain("GUM_OVER");
  });

  it("RAW_PH_HIGH: glucoside with a chelator comes out alkaline; with an acid planned nothing is said", () => {
    const alkaline = [water, ["decyl-glucoside", 25], ["tetrasodium-glda", 0.3]] as const;
    const [finding] = found("RAW_PH_HIGH", alkaline);
    expect((finding?.facts as { ph: number }).ph).toBeGreaterThan(8);
    expect(codesOf([...alkaline, ["citric-acid-anhydrous", 0.5]])).not.toContain("RAW_PH_HIGH");
    expect(codesOf(alkaline, { measured: { ph: 5.2 } })).not.toContain("RAW_PH_HIGH");
    expect(codesOf([water, ["cocamidopropyl-betaine", 20]])).not.toContain("RAW_PH_HIGH");
  });

  it("KEEP_DARK: vitamin C and rosehip oil, not a trace of a dye", () => {
    expect(found("KEEP_DARK", [water, ["ascorbic-acid", 1]])[0]).toMatchObject({ severity: "consider", lines: ["ascorbic-acid"] });
    expect(codesOf([water, ["water-soluble-dye-powder", 0.002]])).not.toContain("KEEP_DARK");
    expect(codesOf([water, ["glycerin", 5]])).not.toContain("KEEP_DARK");
  });

  it("COARSE_ON_FACE: also in a scrub that the aim says is for a face", () => {
    const grains = [["mild-anionic-preblend", 40], ["ground-fruit-stone", 5], water] as const;
    expect(codesOf(grains, { profile: "scrub" })).not.toContain("COARSE_ON_FACE");
    expect(codesOf(grains, { profile: "scrub", aim: { forWhom: "face of the chorus" } })).toContain("COARSE_ON_FACE");
  });

  it("PARTICLES_SINK: zinc pyrithione of 0.7 µm sinks unless a gum holds it", () => {
    const wash = [water, ["sles-2eo-28", 30], ["zinc-pyrithione", 1]] as const;
    expect(found("PARTICLES_SINK", wash)[0]?.facts).toMatchObject({ material: "zinc-pyrithione", sinks: true });
    expect(codesOf([...wash, ["glycerin", 5], ["xanthan-gum", 0.5]])).not.toContain("PARTICLES_SINK");
  });

  it("no chelator is asked for beside a zinc salt, which would take it up", () => {
    const needs = (...more: readonly WrittenLine[]) =>
      found("PRESERVATIVE_HELPER", [water, ["phenoxyethanol-caprylyl-glycol", 1], ...more]).map(
        ({ facts }) => (facts as { needs: string }).needs,
      );
    expect(needs()).toEqual(["chelator"]);
    expect(needs(["zinc-pca", 0.5])).toEqual([]);
  });

  it("a partner against yeasts and moulds is one that is good against both: sorbate is, benzyl alcohol is not", () => {
    const gaps = (partner: string) =>
      found("PRESERVATIVE_HELPER", [water, ["tetrasodium-glda", 0.2], ["phenoxyethanol-ethylhexylglycerin", 1], [partner, 0.5]])
        .filter(({ facts }) => (facts as { material: string }).material === "phenoxyethanol-ethylhexylglycerin")
        .map(({ facts }) => (facts as { needs: string }).needs);
    expect(gaps("potassium-sorbate")).toEqual([]);
    expect(gaps("benzyl-alcohol")).toEqual(["yeast-mould-partner"]);
  });

  it("a bar of true soap has none of a water product's rules", () => {
    const codes = codesOf([["soap-bar", 100]], { profile: "soap-wash" });
    for (const code of codes) expect(code).not.toMatch(/^PRESERVATIVE|^RAW_PH|^MICROBE|^ACTIVE_DOSE|^GUM/);
  });
});
