import { describe, expect, it } from "vitest";
import { assess } from "../formula/assess.ts";
import { profiles } from "../formula/profiles.ts";
import type { Formula } from "../formula/types.ts";
import { library, sheetOf, type WrittenLine } from "../testing/exampleSheet.ts";
import type { FindingCode } from "./finding.ts";
import { rules } from "./registry.ts";

const water: WrittenLine = ["water-distilled", "q.s."];

function findingsOf(lines: readonly WrittenLine[], changes: Partial<Formula> = {}) {
  return assess(sheetOf(lines, changes), library).findings;
}

function codesOf(lines: readonly WrittenLine[], changes: Partial<Formula> = {}): FindingCode[] {
  return findingsOf(lines, changes).map((finding) => finding.code);
}

describe("mass", () => {
  it("MASS_OVER stops, names the water line and the excess: 101.40 − 100 = 1.40 %", () => {
    const [finding] = findingsOf([water, ["glycerin", 101.4]]).filter(({ code }) => code === "MASS_OVER");
    expect(finding).toMatchObject({ severity: "stop", lines: ["water-distilled"] });
    expect(finding?.what).toContain("101.40 %");
    expect(finding?.cure).toBe("Take 1.40 % out.");
  });

  it("MASS_OVER lets 100 % pass", () => {
    expect(codesOf([water, ["glycerin", 100]])).not.toContain("MASS_OVER");
    expect(codesOf([["glycerin", 100.005]])).not.toContain("MASS_OVER");
    expect(codesOf([["glycerin", 100.0051]])).toContain("MASS_OVER");
  });

  it("MASS_OPEN fires below 99.995 % without a q.s. line and never with one", () => {
    expect(codesOf([["glycerin", 99.994]])).toContain("MASS_OPEN");
    expect(codesOf([["glycerin", 99.995]])).not.toContain("MASS_OPEN");
    expect(codesOf([water, ["glycerin", 2]])).not.toContain("MASS_OPEN");
    expect(findingsOf([["glycerin", 91]])[0]?.what).toContain("9.00 % is open");
  });

  it("MASS_NO_QS is only to consider, fires at exactly 100 % and not on a dry product", () => {
    const [finding] = findingsOf([["glycerin", 100]]).filter(({ code }) => code === "MASS_NO_QS");
    expect(finding?.severity).toBe("consider");
    expect(codesOf([["glycerin", 100]], { profile: "powder-cleanser" })).not.toContain("MASS_NO_QS");
    expect(codesOf([["glycerin", 99]])).not.toContain("MASS_NO_QS");
    expect(codesOf([water, ["glycerin", 9]])).not.toContain("MASS_NO_QS");
  });
});

describe("active matter against the profile", () => {
  // coco-glucoside is 52 % active; a body wash has 9 to 15 %
  const atPercent = (active: number) => codesOf([water, ["coco-glucoside", (active * 100) / 52]]);

  it.each([
    [8.999, "ACTIVE_LOW"],
    [15.001, "ACTIVE_HIGH"],
  ] as const)("%d %% is %s", (active, code) => {
    expect(atPercent(active)).toContain(code);
  });

  it.each([9, 12, 15])("%d %% is in the window", (active) => {
    expect(atPercent(active)).not.toContain("ACTIVE_LOW");
    expect(atPercent(active)).not.toContain("ACTIVE_HIGH");
  });

  it("names the cleansers and a factor that reaches the window: 9 / 7.8 is 1.16 rounded up", () => {
    const [finding] = findingsOf([water, ["glycerin", 3], ["coco-glucoside", 15]]);
    expect(finding).toMatchObject({ code: "ACTIVE_LOW", severity: "fix", lines: ["coco-glucoside"] });
    expect(finding?.cure).toContain("1.16");
    expect(atPercent(7.8 * 1.16)).not.toContain("ACTIVE_LOW");
  });

  it("a factor down lands inside too: 15 / 20.8 is 72 %", () => {
    const [finding] = findingsOf([water, ["coco-glucoside", 40]]);
    expect(finding?.cure).toContain("72 %");
    expect(atPercent(20.8 * 0.72)).not.toContain("ACTIVE_HIGH");
  });

  it("a cleansing oil wants none, and none is right", () => {
    const oil = { profile: "cleansing-oil" } as const;
    expect(codesOf([["sunflower-oil", 100]], oil)).toEqual([]);
    expect(
      codesOf(
        [
          ["sunflower-oil", 95],
          ["coco-glucoside", 5],
        ],
        oil,
      ),
    ).toEqual(["ACTIVE_HIGH"]);
  });

  it("every profile has an ordered window and a reason", () => {
    expect(profiles).toHaveLength(17);
    for (const profile of profiles) {
      expect(profile.activePercent.low).toBeLessThanOrEqual(profile.activePercent.high);
      expect(profile.activeReason.length).toBeGreaterThan(20);
    }
  });
});

describe("charge clash", () => {
  const anionic: WrittenLine = ["aos-40", 25];

  it("a plain cationic beside an anionic stops and names both lines", () => {
    const [finding] = findingsOf([water, anionic, ["cetrimonium-chloride", 2]]);
    expect(finding).toMatchObject({ code: "CHARGE_CLASH", severity: "stop" });
    expect(finding?.lines).toEqual(["cetrimonium-chloride", "aos-40"]);
  });

  it.each([
    ["a cationic made for anionics", "polyquaternium-7"],
    ["cationic guar", "guar-hydroxypropyltrimonium-chloride"],
    ["an amphoteric", "cocamidopropyl-betaine"],
  ])("%s does not", (_, slug) => {
    expect(codesOf([water, anionic, [slug, 1]])).not.toContain("CHARGE_CLASH");
  });

  it("a plain cationic among amphoterics and nonionics is fine", () => {
    const lines: WrittenLine[] = [water, ["cocamidopropyl-betaine", 20], ["coco-glucoside", 8], ["cetrimonium-chloride", 2]];
    expect(codesOf(lines)).not.toContain("CHARGE_CLASH");
  });

  it("finds the anionic hidden in a ready-made base and names the outer line", () => {
    const [finding] = findingsOf([water, ["mild-anionic-preblend", 30], ["cetrimonium-chloride", 2]]);
    expect(finding).toMatchObject({ code: "CHARGE_CLASH", lines: ["cetrimonium-chloride", "mild-anionic-preblend"] });
  });

  it("a line still at 0 % meets nothing", () => {
    expect(codesOf([water, anionic, ["cetrimonium-chloride", 0]])).not.toContain("CHARGE_CLASH");
  });
});

describe("too small to weigh", () => {
  const small = (percent: number, changes: Partial<Formula> = {}) =>
    findingsOf([water, ["coco-glucoside", 20], ["panthenol-75", percent]], changes).filter(({ code }) => code === "TOO_SMALL_TO_WEIGH");

  it("0.03 g in 600 g: a 10 % solution weighs 0.30 g, or 4000 g of wash", () => {
    const [finding] = small(0.005);
    expect(finding).toMatchObject({ severity: "consider", lines: ["panthenol-75"] });
    expect(finding?.what).toContain("0.03 g");
    expect(finding?.cure).toContain("10 % solution and weigh 0.30 g");
    expect(finding?.cure).toContain("4000 g");
  });

  it("0.2 g is the last that passes on a 0.01 g scale: 0.0334 % of 600 g passes, 0.0333 % does not", () => {
    expect(small(0.0334)).toEqual([]);
    expect(small(0.0333)).toHaveLength(1);
  });

  it("is to fix where no solution is weak enough", () => {
    expect(small(0.00001)[0]?.severity).toBe("fix");
  });

  it("is to fix where the water line has no room for the solution's water", () => {
    const full = findingsOf([water, ["coco-glucoside", 20], ["glycerin", 79.99], ["panthenol-75", 0.005]]);
    expect(full.find(({ code }) => code === "TOO_SMALL_TO_WEIGH")?.severity).toBe("fix");
  });

  it("without scales it cannot be judged, and says so", () => {
    const read = assess(sheetOf([water, ["panthenol-75", 0.005]], { scales: [] }), library);
    expect(read.findings.map(({ code }) => code)).not.toContain("TOO_SMALL_TO_WEIGH");
    expect(read.notJudged.filter(({ what }) => what === "TOO_SMALL_TO_WEIGH")).toEqual([
      { what: "TOO_SMALL_TO_WEIGH", missing: "a scale with its readability", lines: [] },
    ]);
  });
});

describe("all findings", () => {
  it("come with the most urgent first", () => {
    const lines: WrittenLine[] = [water, ["panthenol-75", 0.005], ["aos-40", 60], ["cetrimonium-chloride", 2]];
    expect(findingsOf(lines).map(({ code }) => code)).toEqual(["CHARGE_CLASH", "ACTIVE_HIGH", "TOO_SMALL_TO_WEIGH"]);
  });

  it("are each announced by exactly one rule", () => {
    const announced = rules.flatMap((rule) => rule.codes);
    expect(new Set(announced).size).toBe(announced.length);
  });
});
