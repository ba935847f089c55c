import { describe, expect, it } from "vitest";
import { limitsInWords } from "../../assessment/wording/limitWords.ts";
import { materialOf } from "../../testing/exampleSheet.ts";
import { legalLimits } from "../../preservation/limits.ts";
import { codesOf, found, water } from "../testing/findings.ts";

const limits = (lines: Parameters<typeof found>[1], changes: Parameters<typeof found>[2] = {}) =>
  found("LIMIT_OVER", lines, changes).flatMap(
    ({ facts }) => (facts as { limits: readonly { name: string; percent: number; mostPercent: number }[] }).limits,
  );

describe("limits of law with numbers", () => {
  it("phenoxyethanol: 1 % passes; 0.8 % of its own and 0.9 % × 0.67 from a blend are 1.399 %", () => {
    expect(codesOf([water, ["phenoxyethanol", 1]])).not.toContain("LIMIT_OVER");
    const [limit] = limits([water, ["phenoxyethanol", 0.8], ["phenoxyethanol-caprylyl-glycol", 0.9]]);
    expect(limit).toMatchObject({ name: "phenoxyethanol", mostPercent: 1 });
    expect(limit?.percent).toBeCloseTo(0.8 * 0.995 + 0.9 * 0.67, 9);
  });

  it("sorbate is reckoned as sorbic acid: 0.8 % × 0.99 × 112.13 ⁄ 150.22 are 0.591 %, 0.82 % are 0.606 %", () => {
    expect(codesOf([water, ["potassium-sorbate", 0.8]])).not.toContain("LIMIT_OVER");
    expect(limits([water, ["potassium-sorbate", 0.82]])[0]?.percent).toBeCloseTo((0.82 * 0.99 * 112.13) / 150.22, 9);
  });

  it("benzoate: 2.5 % as the acid where it is rinsed off, 0.5 % where it stays on", () => {
    const lines = [water, ["sodium-benzoate", 0.8]] as const;
    expect(codesOf(lines)).not.toContain("LIMIT_OVER");
    expect(limits(lines, { leftOn: true })[0]).toMatchObject({ name: "benzoic acid and benzoates", mostPercent: 0.5 });
  });

  it("zinc pyrithione is not allowed in any amount, and says so in one finding with everything else", () => {
    const findings = found("LIMIT_OVER", [water, ["zinc-pyrithione", 1], ["phenoxyethanol", 1.5]]);
    expect(findings).toHaveLength(1);
    expect(findings[0]).toMatchObject({ severity: "fix", lines: ["zinc-pyrithione", "phenoxyethanol"] });
    expect(findings[0]?.what).toContain("not allowed");
    expect(findings[0]?.why).toMatch(/European list of 2024.*For orientation: check where you live/);
  });

  it("a material says its limits for orientation, with place, date and what they are calculated as", () => {
    expect(limitsInWords(materialOf("potassium-sorbate"))).toEqual([
      "For orientation, European list of 2024: sorbic acid and sorbates at most 0.60 % as sorbic acid, rinsed off.",
    ]);
    expect(limitsInWords(materialOf("glycerin"))).toEqual([]);
  });

  it("what is not allowed is not allowed in a trace: 0.05 % of the isothiazolinones left on", () => {
    expect(limits([water, ["mci-mi-rinse-off", 0.05]], { leftOn: true })[0]).toMatchObject({ mostPercent: 0 });
    expect(codesOf([water, ["mci-mi-rinse-off", 0.1]])).not.toContain("LIMIT_OVER");
    expect(codesOf([water, ["mci-mi-rinse-off", 0.105]])).toContain("LIMIT_OVER");
  });

  it("every limit has a number and names somebody", () => {
    expect(legalLimits.length).toBeGreaterThanOrEqual(14);
    for (const { name, names, rinsedPercent, leftOnPercent } of legalLimits) {
      expect(Object.keys(names).length, name).toBeGreaterThan(0);
      for (const part of Object.values(names)) expect(part > 0 && part <= 1, name).toBe(true);
      expect(leftOnPercent, name).toBeLessThanOrEqual(rinsedPercent);
    }
  });
});

describe("rules to check where you live", () => {
  it("one finding, a row for each material with all its notes", () => {
    const [finding, ...others] = found("RESTRICTED", [water, ["polysorbate-20", 1], ["lemon-oil", 0.2], ["glycerin", 3]]);
    expect(others).toEqual([]);
    expect(finding?.rows?.map(({ name }) => name)).toEqual(["Polysorbate 20", "Lemon essential oil"]);
    expect(finding?.rows?.[1]?.says.split(".").length).toBeGreaterThan(2);
  });
});
