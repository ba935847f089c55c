import { describe, expect, it } from "vitest";
import { materialOf, type WrittenLine } from "../../testing/exampleSheet.ts";
import { codesOf, found, unjudged, water } from "../testing/findings.ts";

const glucoside: WrittenLine = ["coco-glucoside", 20];

describe("how much scent", () => {
  const scented = (percent: number) => [water, glucoside, ["fragrance-oil", percent] as const];

  it("FRAGRANCE_HIGH: a body wash takes 1 %, a face gel 0.3 %", () => {
    expect(codesOf(scented(1))).not.toContain("FRAGRANCE_HIGH");
    expect(found("FRAGRANCE_HIGH", scented(1.01))[0]?.severity).toBe("fix");
    expect(codesOf(scented(0.3), { profile: "face-gel" })).not.toContain("FRAGRANCE_HIGH");
    expect(found("FRAGRANCE_HIGH", scented(0.31), { profile: "face-gel" })[0]?.change).toEqual({
      kind: "percents",
      percents: [{ line: "fragrance-oil", percent: 0.3 }],
    });
  });

  it("a scent's own limit may be lower: clove bud 0.2 %", () => {
    expect(codesOf([water, glucoside, ["clove-bud-oil", 0.2]])).not.toContain("FRAGRANCE_HIGH");
    const [finding] = found("FRAGRANCE_HIGH", [water, glucoside, ["clove-bud-oil", 0.21]]);
    expect(finding?.what).toContain("Clove");
    expect(finding?.change).toEqual({ kind: "percents", percents: [{ line: "clove-bud-oil", percent: 0.2 }] });
  });

  it("a named part is judged by its own share: 1.2 % in half of the batch is too much", () => {
    const splits = (percent: number) => [
      { name: "plain", sharePercent: 50, lines: [] },
      { name: "juniper", sharePercent: 50, lines: [{ id: "f", phase: "A", material: "fragrance-oil", percent }] },
    ];
    expect(codesOf([water, glucoside], { splits: splits(1) })).not.toContain("FRAGRANCE_HIGH");
    expect(found("FRAGRANCE_HIGH", [water, glucoside], { splits: splits(1.2) })[0]?.what).toContain('in the part "juniper"');
  });

  it("a scent whose limit nobody told cannot be judged by it", () => {
    const mystery = { ...materialOf("fragrance-oil"), slug: "mystery", use: null };
    expect(unjudged("FRAGRANCE_HIGH", [water, ["mystery", 0.3]], { materials: [mystery] })[0]?.lines).toEqual(["mystery"]);
  });
});

describe("allergens", () => {
  // 40 % of juniper berry oil is pinene
  it("ALLERGEN_DECLARE: 0.01 % passes where it is rinsed off, 0.0104 % does not", () => {
    const at = (percent: number) => found("ALLERGEN_DECLARE", [water, glucoside, ["juniper-berry-oil", percent]]);
    expect(at(0.025)).toEqual([]);
    expect(at(0.026)[0]).toMatchObject({ severity: "consider", lines: ["juniper-berry-oil"] });
  });

  it("a tenth of that where it stays on", () => {
    const at = (percent: number) => codesOf([water, ["juniper-berry-oil", percent]], { profile: "micellar-water" });
    expect(at(0.0025)).not.toContain("ALLERGEN_DECLARE");
    expect(at(0.0026)).toContain("ALLERGEN_DECLARE");
  });

  it("a scent without a word of its allergens is named", () => {
    expect(unjudged("ALLERGEN_DECLARE", [water, ["fragrance-oil", 0.3]])[0]?.lines).toEqual(["fragrance-oil"]);
  });
});
