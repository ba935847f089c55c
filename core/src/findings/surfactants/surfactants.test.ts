import { describe, expect, it } from "vitest";
import { wholeMaterial } from "../../library/briefMaterial.ts";
import { profiles } from "../../formula/profiles.ts";
import type { WrittenLine } from "../../testing/exampleSheet.ts";
import { codesOf, found, read, unjudged, water } from "../testing/findings.ts";

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

  it("a sheet of water alone is not begun: nothing is said of it before the first other line", () => {
    expect(codesOf([water])).not.toContain("ACTIVE_LOW");
    expect(codesOf([water, ["glycerin", 3]])).toContain("ACTIVE_LOW");
  });

  it("names the cleansers and a factor that reaches the window: 9 / 7.8 is 1.16 rounded up", () => {
    const [finding] = found("ACTIVE_LOW", [water, ["glycerin", 3], ["coco-glucoside", 15]]);
    expect(finding).toMatchObject({ code: "ACTIVE_LOW", severity: "fix", lines: ["coco-glucoside"] });
    expect(finding?.cure).toContain("1.16");
    expect(atPercent(7.8 * 1.16)).not.toContain("ACTIVE_LOW");
  });

  it("a factor down lands inside too: 15 / 20.8 is 72 %", () => {
    const [finding] = found("ACTIVE_HIGH", [water, ["coco-glucoside", 40]]);
    expect(finding?.cure).toContain("72 %");
    expect(atPercent(20.8 * 0.72)).not.toContain("ACTIVE_HIGH");
  });

  it("a cleansing oil wants none, and none is right", () => {
    const oil = { profile: "cleansing-oil" } as const;
    expect(codesOf([["sunflower-oil", 100]], oil)).toEqual([]);
    const washing: WrittenLine[] = [
      ["sunflower-oil", 95],
      ["coco-glucoside", 5],
    ];
    expect(codesOf(washing, oil)).toContain("ACTIVE_HIGH");
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
    const [finding] = found("CHARGE_CLASH", [water, anionic, ["cetrimonium-chloride", 2]]);
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
    const [finding] = found("CHARGE_CLASH", [water, ["mild-anionic-preblend", 30], ["cetrimonium-chloride", 2]]);
    expect(finding).toMatchObject({ code: "CHARGE_CLASH", lines: ["cetrimonium-chloride", "mild-anionic-preblend"] });
  });

  it("a line still at 0 % meets nothing", () => {
    expect(codesOf([water, anionic, ["cetrimonium-chloride", 0]])).not.toContain("CHARGE_CLASH");
  });
});

describe("balance of charges", () => {
  // cocamidopropyl-betaine is 30 % active, aos-40 39 %, coco-glucoside 52 %
  const blend = (anionic: number, amphoteric: number): WrittenLine[] => [
    water,
    ["aos-40", (anionic * 100) / 39],
    ["cocamidopropyl-betaine", (amphoteric * 100) / 30],
  ];

  it("ONE_SURFACTANT: one charge type alone is to consider, a trace of a second one passes", () => {
    expect(found("ONE_SURFACTANT", blend(12, 0))[0]).toMatchObject({ severity: "consider", lines: ["aos-40"] });
    expect(codesOf(blend(12, 0.01))).not.toContain("ONE_SURFACTANT");
    expect(codesOf([water, ["liquid-potassium-soap", 40]], { profile: "soap-wash" })).not.toContain("ONE_SURFACTANT");
  });

  it("ANIONIC_HEAVY: 9 of 12 % anionic is 75 % and passes, 9.01 of 12.01 % does not", () => {
    expect(codesOf(blend(9, 3))).not.toContain("ANIONIC_HEAVY");
    const [finding] = found("ANIONIC_HEAVY", blend(9.01, 3));
    expect(finding?.severity).toBe("fix");
    expect(finding?.what).toContain("75 %");
    // 12 % anionic alone needs a third of it beside
    expect(found("ANIONIC_HEAVY", blend(12, 0))[0]?.cure).toContain("4 % active");
  });

  it("soap is anionic and stands alone", () => {
    expect(codesOf([water, ["liquid-potassium-soap", 40]], { profile: "soap-wash" })).not.toContain("ANIONIC_HEAVY");
  });
});

describe("mildness for the face", () => {
  const strong: WrittenLine[] = [water, ["aos-40", 30], ["cocamidopropyl-betaine", 10]];

  it("a load of 120 and more is too much for a face gel, not for the body", () => {
    expect(found("MILDNESS_FOR_FACE", strong, { profile: "face-gel" })[0]?.severity).toBe("fix");
    expect(codesOf(strong)).not.toContain("MILDNESS_FOR_FACE");
    expect(codesOf(strong, { eyeArea: true })).toContain("MILDNESS_FOR_FACE");
  });

  it("fires exactly where the load passes 120", () => {
    const at = (scale: number): WrittenLine[] => [water, ["aos-40", 3 * scale], ["cocamidopropyl-betaine", scale]];
    const loadOf = (scale: number) => read(at(scale), { profile: "face-gel" }).irritation?.load ?? 0;
    let [low, high] = [1, 20];
    for (let step = 0; step < 60; step += 1) {
      const middle = (low + high) / 2;
      if (loadOf(middle) < 120) low = middle;
      else high = middle;
    }
    expect(codesOf(at(low), { profile: "face-gel" })).not.toContain("MILDNESS_FOR_FACE");
    expect(codesOf(at(high), { profile: "face-gel" })).toContain("MILDNESS_FOR_FACE");
  });

  it("cannot be judged without an irritation estimate", () => {
    const clash: WrittenLine[] = [water, ["aos-40", 10], ["cetrimonium-chloride", 8]];
    const judged = read(clash, { profile: "face-gel" });
    expect(judged.irritation === null).toBe(unjudged("MILDNESS_FOR_FACE", clash, { profile: "face-gel" }).length === 1);
  });
});

describe("schools", () => {
  const of = (school: "plant-only" | "sulfate-free" | "true-soap" | "classic", slug: string) =>
    found("SCHOOL_BREACH", [water, ["coco-glucoside", 10], [slug, 5]], { school }).flatMap(({ lines }) => lines);

  it.each([
    ["sulfate-free", "sles-2eo-28"],
    ["plant-only", "sles-2eo-28"],
    ["plant-only", "polysorbate-20"],
    ["plant-only", "mineral-oil"],
    ["plant-only", "cocamidopropyl-betaine"],
    ["plant-only", "phenoxyethanol"],
    ["plant-only", "mild-anionic-preblend"],
  ] as const)("%s leaves out %s", (school, slug) => {
    expect(of(school, slug)).toContain(slug);
  });

  it.each([
    ["sulfate-free", "cocamidopropyl-betaine"],
    ["plant-only", "sodium-benzoate"],
    ["plant-only", "sunflower-oil"],
    ["classic", "sles-2eo-28"],
  ] as const)("%s takes %s", (school, slug) => {
    expect(of(school, slug)).toEqual([]);
  });

  it("true soap leaves out every other cleanser, and keeps soap", () => {
    expect(of("true-soap", "potassium-soap-paste")).toEqual(["coco-glucoside"]);
  });
});

describe("facts that are missing", () => {
  const mystery = wholeMaterial({ slug: "mystery", name: "Mystery wash", role: "surfactant", inci: [{ name: "Mystery", percent: 100 }] });

  it("a ready base of unknown strength is not taken for 0 %: too little is not said, and what is lacking is", () => {
    const base = wholeMaterial({ slug: "bought-base", name: "Bought base", role: "base", inci: [{ name: "Mystery", percent: 100 }] });
    const { findings, notJudged, activeMatter } = read([["bought-base", 90]], { materials: [base] });
    expect(activeMatter.percent).toBe(0);
    expect(findings.some(({ code }) => code === "ACTIVE_LOW")).toBe(false);
    expect(notJudged).toContainEqual(expect.objectContaining({ lacks: "active-content", lines: ["bought-base"] }));
  });

  it("a surfactant without active content or charge is named as not judged", () => {
    const { notJudged } = read([["mystery", 20]], { materials: [mystery] });
    expect(notJudged).toContainEqual({
      what: "ACTIVE_LOW",
      lacks: "active-content",
      missing: "active content of these surfactants or bases",
      lines: ["mystery"],
    });

    expect(notJudged).toContainEqual({
      what: "CHARGE_CLASH",
      lacks: "charge",
      missing: "charge type of these surfactants",
      lines: ["mystery"],
    });
  });
});
