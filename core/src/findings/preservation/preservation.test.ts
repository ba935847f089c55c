import { describe, expect, it } from "vitest";
import { materialOf, type WrittenLine } from "../../testing/exampleSheet.ts";
import { codesOf, found, read, unjudged, water } from "../testing/findings.ts";

const glucoside: WrittenLine = ["coco-glucoside", 20];
const edta: WrittenLine = ["disodium-edta", 0.1];
/** Benzoate and sorbate cover for each other. */
const kept: WrittenLine[] = [water, glucoside, edta, ["sodium-benzoate-potassium-sorbate-liquid", 1]];

describe("a preservative where water is", () => {
  it("PRESERVATIVE_MISSING stops a wet wash without one, and nothing else in a kept one speaks of preservation", () => {
    expect(found("PRESERVATIVE_MISSING", [water, glucoside])[0]?.severity).toBe("stop");
    expect(codesOf(kept).filter((code) => code.startsWith("PRESERVATIVE"))).toEqual([]);
  });

  it("PRESERVATIVE_MISSING lets a sheet with nothing but water be begun", () => {
    expect(codesOf([water])).not.toContain("PRESERVATIVE_MISSING");
  });

  it.each([
    [4.9, false],
    [5, true],
  ])("%d %% water in a liquid make it wet: %s", (percent, isWet) => {
    const liquid = {
      ...materialOf("glycerin"),
      slug: "stage-glycerin",
      form: "liquid" as const,
      inci: [
        { name: "Glycerin", percent: 100 - percent },
        { name: "Aqua", percent },
      ],
    };
    const lines: readonly WrittenLine[] = [["stage-glycerin", 100]];
    expect(codesOf(lines, { materials: [liquid] as never }).includes("PRESERVATIVE_MISSING")).toBe(isWet);
  });

  it("moisture of powders and oils is no water", () => {
    expect(
      codesOf(
        [
          ["kaolin", 60],
          ["sci-powder", 40],
        ],
        { profile: "powder-cleanser" },
      ),
    ).not.toContain("PRESERVATIVE_MISSING");
    expect(
      codesOf(
        [
          ["sunflower-oil", 99],
          ["glycerin", 1],
        ],
        { profile: "cleansing-oil" },
      ),
    ).not.toContain("PRESERVATIVE_MISSING");
    expect(
      codesOf(
        [
          ["sunflower-oil", 99.9],
          ["water-distilled", 0.1],
        ],
        { profile: "cleansing-oil" },
      ),
    ).toContain("PRESERVATIVE_MISSING");
  });

  it("PRESERVATIVE_NEEDLESS only without any water, never by a low water activity", () => {
    expect(
      found(
        "PRESERVATIVE_NEEDLESS",
        [
          ["sunflower-oil", 99],
          ["phenoxyethanol", 1],
        ],
        { profile: "cleansing-oil" },
      )[0],
    ).toMatchObject({
      severity: "consider",
      lines: ["phenoxyethanol"],
    });
    expect(
      codesOf(
        [
          ["water-distilled", 5],
          ["sugar", 94],
          ["phenoxyethanol", 1],
        ],
        { profile: "scrub" },
      ),
    ).not.toContain("PRESERVATIVE_NEEDLESS");
  });
});

describe("the dose", () => {
  // phenoxyethanol: 0.5 to 1 %
  const dosed = (percent: number): WrittenLine[] => [water, glucoside, edta, ["phenoxyethanol", percent]];

  it.each([0.5, 1])("%d %% is within 0.5 to 1 %%", (percent) => {
    expect(codesOf(dosed(percent))).not.toContain("PRESERVATIVE_LOW");
    expect(codesOf(dosed(percent))).not.toContain("PRESERVATIVE_HIGH");
  });

  it("0.499 % is low and offers 0.5 %, 1.001 % is high and offers 1 %", () => {
    expect(found("PRESERVATIVE_LOW", dosed(0.499))[0]).toMatchObject({
      severity: "fix",
      change: { kind: "percents", percents: [{ line: "phenoxyethanol", percent: 0.5 }] },
    });
    expect(found("PRESERVATIVE_HIGH", dosed(1.001))[0]?.change).toEqual({
      kind: "percents",
      percents: [{ line: "phenoxyethanol", percent: 1 }],
    });
  });

  it("too much is too much in oil as well", () => {
    expect(
      codesOf(
        [
          ["sunflower-oil", 98],
          ["phenoxyethanol", 2],
        ],
        { profile: "cleansing-oil" },
      ),
    ).toContain("PRESERVATIVE_HIGH");
  });

  it("PRESERVATIVE_DILUTED: 50 % of a base with 0.8 % phenoxyethanol brings 0.4 %, 0.1 % tops it up", () => {
    const base = {
      ...materialOf("mild-anionic-preblend"),
      slug: "kept-base",
      name: "Kept base",
      parts: [
        { material: "water-distilled", percent: 69.2 },
        { material: "coco-glucoside", percent: 30 },
        { material: "phenoxyethanol", percent: 0.8 },
      ],
    } as never;
    const lines: WrittenLine[] = [water, ["kept-base", 50]];
    const [finding] = found("PRESERVATIVE_DILUTED", lines, { materials: [base] });
    expect(finding).toMatchObject({ severity: "fix", lines: ["kept-base"] });
    expect(finding?.change).toEqual({ kind: "add", material: "phenoxyethanol", percent: 0.1, beside: "kept-base" });
    expect(codesOf(lines, { materials: [base] })).not.toContain("PRESERVATIVE_LOW");
    const topped: WrittenLine[] = [...lines, ["phenoxyethanol", 0.1]];
    expect(codesOf(topped, { materials: [base] })).not.toContain("PRESERVATIVE_DILUTED");
    expect(codesOf([water, ["kept-base", 62.5]], { materials: [base] })).not.toContain("PRESERVATIVE_DILUTED");
  });
});

describe("what weakens it", () => {
  // sodium benzoate works from pH 2.5 to 5
  const benzoate: WrittenLine[] = [water, glucoside, edta, ["sodium-benzoate", 0.5], ["potassium-sorbate", 0.3]];

  it("PRESERVATIVE_PH: pH 5 is the last for benzoate", () => {
    expect(found("PRESERVATIVE_PH", benzoate, { measured: { ph: 5 } })).toEqual([]);
    const [finding] = found("PRESERVATIVE_PH", benzoate, { measured: { ph: 5.01 } });
    expect(finding).toMatchObject({ severity: "fix", lines: ["sodium-benzoate"] });
    expect(found("PRESERVATIVE_PH", benzoate, { measured: { ph: 5.6 } })).toHaveLength(2);
  });

  it("without a measured pH the high end of the corridor counts, which the preservative itself sets", () => {
    expect(codesOf(benzoate)).not.toContain("PRESERVATIVE_PH");
  });

  it("PRESERVATIVE_INACTIVATED: 2 % ethoxylated nonionic is the last that benzoate and sorbate stand", () => {
    const beside = (percent: number) => found("PRESERVATIVE_INACTIVATED", [...benzoate, ["polysorbate-20", percent]]);
    expect(beside(2)).toEqual([]);
    expect(beside(2.01)).toHaveLength(2);
    expect(beside(2.01)[0]?.lines).toEqual(["sodium-benzoate", "polysorbate-20"]);
  });

  it.each([
    ["phenoxyethanol", "kaolin", 1],
    ["sodium-benzoate", "polyquaternium-7", 0.5],
    ["sodium-dehydroacetate", "hydrolysed-silk", 0.5],
    ["mci-mi-rinse-off", "ascorbic-acid", 0.01],
    ["parabens-phenoxyethanol-blend", "xanthan-gum", 1],
  ])("%s stands %s up to %d %%", (preservative, taker, above) => {
    const beside = (percent: number) => found("PRESERVATIVE_INACTIVATED", [water, glucoside, [preservative, 0.5], [taker, percent]]);
    expect(beside(above)).toEqual([]);
    expect(beside(above + 0.01).length).toBeGreaterThan(0);
  });

  it("iron takes hydroxamic acid away at once", () => {
    const lines: WrittenLine[] = [water, glucoside, ["caprylhydroxamic-caprylyl-glycol-glycerin", 1]];
    expect(codesOf(lines)).not.toContain("PRESERVATIVE_INACTIVATED");
    expect(codesOf([...lines, ["iron-oxide-red", 0.01]])).toContain("PRESERVATIVE_INACTIVATED");
  });

  it("PRESERVATIVE_HEAT: potassium sorbate stands 50 °C, not 51", () => {
    const at = (temperatureC: number) => codesOf(benzoate, { phases: [{ id: "A", temperatureC }] });
    expect(at(50)).not.toContain("PRESERVATIVE_HEAT");
    expect(at(51)).toContain("PRESERVATIVE_HEAT");
  });
});

describe("what must stand beside it", () => {
  const helpers = (...lines: WrittenLine[]) => found("PRESERVATIVE_HELPER", [water, glucoside, ...lines]).map(({ what }) => what);

  it("a chelator", () => {
    const blend: WrittenLine = ["phenoxyethanol-caprylyl-glycol", 1];
    expect(helpers(blend)).toHaveLength(1);
    expect(helpers(blend)[0]).toContain("chelator");
    expect(helpers(blend, edta)).toEqual([]);
  });

  it("a partner: benzoate wants one against yeasts and moulds, sorbate against bacteria, and each is the other's", () => {
    expect(helpers(edta, ["sodium-benzoate", 0.5])[0]).toContain("yeasts and moulds");
    expect(helpers(edta, ["potassium-sorbate", 0.3])[0]).toContain("bacteria");
    expect(helpers(edta, ["sodium-benzoate", 0.5], ["potassium-sorbate", 0.3])).toEqual([]);
  });

  it("a booster is no partner", () => {
    expect(helpers(edta, ["sodium-benzoate", 0.5], ["ethylhexylglycerin", 0.5])).toHaveLength(1);
  });
});

describe("food for microbes", () => {
  const fed = (...lines: WrittenLine[]) => found("MICROBE_FOOD", [...kept, ...lines]);

  it("gums alone count from 1 % on, everything else from 0.5 %", () => {
    expect(fed(["xanthan-gum", 0.99])).toEqual([]);
    expect(fed(["xanthan-gum", 1])[0]).toMatchObject({ severity: "consider", lines: ["xanthan-gum"] });
    expect(fed(["honey", 0.5])[0]?.lines).toEqual(["honey"]);
    expect(fed(["honey", 0.49])).toEqual([]);
    expect(fed(["guar-hydroxypropyltrimonium-chloride", 0.3])).toEqual([]);
    expect(fed()).toEqual([]);
  });

  it("not where there is no water for microbes", () => {
    expect(
      codesOf(
        [
          ["corn-starch", 60],
          ["sci-powder", 40],
        ],
        { profile: "powder-cleanser" },
      ),
    ).not.toContain("MICROBE_FOOD");
  });
});

describe("facts that are missing", () => {
  it("a preservative whose usual dose nobody told", () => {
    const mystery = { ...materialOf("phenoxyethanol"), slug: "mystery", use: null };
    const lines: WrittenLine[] = [water, glucoside, ["mystery", 0.4]];
    expect(unjudged("PRESERVATIVE_LOW", lines, { materials: [mystery] })[0]?.lines).toEqual(["mystery"]);
    expect(read(lines, { materials: [mystery] }).findings.map(({ code }) => code)).not.toContain("PRESERVATIVE_LOW");
  });
});
