import { describe, expect, it } from "vitest";
import type { Formula } from "../../formula/types.ts";
import { type WrittenLine } from "../../testing/exampleSheet.ts";
import { codesOf, found, water } from "../testing/findings.ts";

// 20 % coco-glucoside is 10.4 % active and carries 1.04 % oil
const glucoside: WrittenLine = ["coco-glucoside", 20];

describe("loose oil", () => {
  it("OIL_LOOSE: a tenth of the actives is carried, more is not", () => {
    expect(codesOf([water, glucoside, ["sunflower-oil", 1.04]])).not.toContain("OIL_LOOSE");
    expect(found("OIL_LOOSE", [water, glucoside, ["sunflower-oil", 1.05]])[0]).toMatchObject({ severity: "fix", lines: ["sunflower-oil"] });
  });

  it("a clear product wants four parts of solubiliser to one: 2.04 − 1.04 = 1 % takes 4 %", () => {
    const with_ = (percent: number) =>
      found("OIL_LOOSE", [water, glucoside, ["sunflower-oil", 2.04], ["polysorbate-20", percent]], { wantsClear: true });
    expect(with_(4)).toEqual([]);
    expect(with_(3.9)[0]?.change).toMatchObject({ kind: "percents", percents: [{ line: "polysorbate-20" }] });
    expect(codesOf([water, glucoside, ["sunflower-oil", 2.04], ["polysorbate-20", 1]])).not.toContain("OIL_LOOSE");
  });

  it("is what is wanted in a two-layer remover and an oil, and an emulsifier takes it up in a cream", () => {
    expect(codesOf([water, ["sunflower-oil", 40]], { profile: "shake-remover" })).not.toContain("OIL_LOOSE");
    expect(codesOf([["sunflower-oil", 100]], { profile: "cleansing-oil" })).not.toContain("OIL_LOOSE");
    expect(codesOf([water, ["sunflower-oil", 10], ["glyceryl-stearate-se", 3]], { profile: "cream-cleanser" })).not.toContain("OIL_LOOSE");
  });
});

describe("emulsifier", () => {
  const cream = (oil: number, ...lines: WrittenLine[]) => codesOf([water, ["sunflower-oil", oil], ...lines], { profile: "cream-cleanser" });

  it("EMULSIFIER_MISSING: 2 % oil passes, 2.01 % does not", () => {
    expect(cream(2)).not.toContain("EMULSIFIER_MISSING");
    expect(cream(2.01)).toContain("EMULSIFIER_MISSING");
  });

  it("an emulsifier, or solubiliser enough, is a cure", () => {
    expect(cream(8, ["glyceryl-stearate-se", 3])).not.toContain("EMULSIFIER_MISSING");
    expect(cream(8, ["glyceryl-stearate", 3])).toContain("EMULSIFIER_MISSING");
    expect(cream(8, ["glyceryl-stearate", 3], ["potassium-stearate", 0.3])).not.toContain("EMULSIFIER_MISSING");
    expect(cream(3, ["polysorbate-20", 12])).not.toContain("EMULSIFIER_MISSING");
    expect(cream(3, ["polysorbate-20", 9])).toContain("EMULSIFIER_MISSING");
  });

  it("0.3 % powdered isethionate hot beside a fatty alcohol emulsifies; 0.2 %, or cold, does not", () => {
    const lines = (percent: number): WrittenLine[] => [water, ["sunflower-oil", 8], ["cetearyl-alcohol", 3], ["sci-powder", percent]];
    const at = (percent: number, temperatureC: number) =>
      codesOf(lines(percent), { profile: "cream-cleanser", phases: [{ id: "A", temperatureC }] });
    expect(at(0.3, 72)).not.toContain("EMULSIFIER_MISSING");
    expect(at(0.2, 72)).toContain("EMULSIFIER_MISSING");
    expect(at(0.3, 22)).toContain("EMULSIFIER_MISSING");
  });
});

describe("heat", () => {
  it("WAX_COLD: cetearyl alcohol melts from 60 °C on, shea butter from 40", () => {
    const at = (slug: string, temperatureC: number) =>
      found("WAX_COLD", [water, [slug, 3]], { profile: "cream-cleanser", phases: [{ id: "A", temperatureC }] });
    expect(at("cetearyl-alcohol", 60)).toEqual([]);
    expect(at("cetearyl-alcohol", 59)[0]).toMatchObject({
      severity: "fix",
      change: { kind: "temperature", phases: ["A"], temperatureC: 72 },
    });
    expect(at("shea-butter", 40)).toEqual([]);
    expect(at("shea-butter", 39)).toHaveLength(1);
  });

  it("WAX_COLD: a phase without temperature is at room temperature", () => {
    expect(codesOf([water, ["stearic-acid", 3]])).toContain("WAX_COLD");
  });

  it("SPLIT_TEMPERATURE: 5 °C apart pass, 6 do not, and a cool-down phase is no hot one", () => {
    const apart = (a: number, b: number) => {
      const lines: Formula["lines"] = [
        { id: "w", phase: "A", material: "water-distilled", qs: true },
        { id: "o", phase: "B", material: "sunflower-oil", percent: 10 },
      ];
      const phases = [
        { id: "A", temperatureC: a },
        { id: "B", temperatureC: b },
      ];
      return found("SPLIT_TEMPERATURE", [], { profile: "cream-cleanser", phases, lines });
    };
    expect(apart(70, 75)).toEqual([]);
    expect(apart(69, 75)[0]?.change).toEqual({ kind: "temperature", phases: ["A"], temperatureC: 75 });
    expect(apart(40, 75)).toEqual([]);
  });
});
