import { describe, expect, it } from "vitest";
import { resolveLines } from "../../formula/resolveLines.ts";
import { baseHashOf } from "../../surfactants/baseHash.ts";
import { cleansersOf } from "../../surfactants/cleansers.ts";
import { assess } from "../../assessment/assess.ts";
import type { Formula } from "../../formula/types.ts";
import { library, materialOf, sheetOf, type WrittenLine } from "../../testing/exampleSheet.ts";
import { codesOf, found, unjudged, water } from "../testing/findings.ts";

const glucoside: WrittenLine = ["coco-glucoside", 20];

describe("gums", () => {
  const slurry = (gum: number, glycerin: number): WrittenLine[] => [
    water,
    ["xanthan-gum", gum],
    ...(glycerin > 0 ? [["glycerin", glycerin] as const] : []),
  ];

  it("GUM_DRY: nothing wets 1 % xanthan; the cure is 5 % glycerin", () => {
    expect(found("GUM_DRY", slurry(1, 0))[0]).toMatchObject({
      severity: "fix",
      lines: ["xanthan-gum"],
      change: { kind: "add", material: "glycerin", percent: 5, beside: "xanthan-gum" },
    });
    expect(codesOf(slurry(1, 5))).not.toContain("GUM_DRY");
  });

  it("what wets it must stand in the same phase", () => {
    const lines: Formula["lines"] = [
      { id: "w", phase: "A", material: "water-distilled", qs: true },
      { id: "x", phase: "A", material: "xanthan-gum", percent: 0.5 },
      { id: "g", phase: "B", material: "glycerin", percent: 5 },
    ];
    const changes = { phases: [{ id: "A" }, { id: "B" }], lines };
    expect(codesOf([], changes)).toContain("GUM_DRY");
    const together = lines.map((line) => ({ ...line, phase: "A" }));
    expect(codesOf([], { ...changes, lines: together })).not.toContain("GUM_DRY");
  });

  it("GUM_RATIO: five parts to one pass, 4.99 do not", () => {
    expect(codesOf(slurry(1, 5))).not.toContain("GUM_RATIO");
    expect(found("GUM_RATIO", slurry(1, 4.99))[0]?.change).toEqual({ kind: "percents", percents: [{ line: "glycerin", percent: 5 }] });
  });

  it("oils and propanediol wet too; a gum in a dry powder and one that needs no slurry are left alone", () => {
    expect(codesOf([water, ["xanthan-gum", 0.5], ["propanediol", 3]])).not.toContain("GUM_DRY");
    expect(codesOf([water, ["hydroxyethylcellulose", 1]])).not.toContain("GUM_DRY");
    expect(
      codesOf(
        [
          ["kaolin", 90],
          ["xanthan-gum", 10],
        ],
        { profile: "powder-cleanser" },
      ),
    ).not.toContain("GUM_DRY");
  });
});

describe("salt", () => {
  const salted = (percent: number, ...cleansers: WrittenLine[]): WrittenLine[] => [water, ...cleansers, ["sodium-chloride", percent]];
  const sulfate: WrittenLine = ["sles-2eo-28", 30];

  it("SALT_NO_GRIP: on glucosides, not on sulfates", () => {
    expect(found("SALT_NO_GRIP", salted(1, glucoside))[0]).toMatchObject({ severity: "fix", lines: ["sodium-chloride"] });
    expect(codesOf(salted(1, sulfate))).not.toContain("SALT_NO_GRIP");
    expect(codesOf([water, glucoside])).not.toContain("SALT_NO_GRIP");
    expect(codesOf(salted(1, glucoside), { profile: "shake-remover" })).not.toContain("SALT_NO_GRIP");
  });

  it("SALT_PAST_PEAK: 3 % in all is the last, and what is too much comes out of the salt line", () => {
    const bottled = materialOf("sles-2eo-28").saltPercent ?? 0;
    const hidden = (30 * bottled) / 100;
    const pure = materialOf("sodium-chloride").saltPercent ?? 100;
    const upTo = (total: number) => ((total - hidden) * 100) / pure;
    expect(codesOf(salted(upTo(3), sulfate))).not.toContain("SALT_PAST_PEAK");
    const [finding] = found("SALT_PAST_PEAK", salted(upTo(3.01), sulfate));
    expect(finding?.severity).toBe("fix");
    expect(finding?.change).toMatchObject({ kind: "percents" });
    expect(
      codesOf(
        [
          ["sugar", 50],
          ["fine-sea-salt", 50],
        ],
        { profile: "scrub" },
      ),
    ).not.toContain("SALT_PAST_PEAK");
  });

  it("SALT_PAST_PEAK: a fitted peak stands in the place of 3 %", () => {
    const sheet = sheetOf(salted(2, sulfate));
    const hash = baseHashOf(cleansersOf(resolveLines(sheet, library).sheet)) ?? "";
    const codes = (saltPeakPercent?: number) =>
      assess(sheet, library, saltPeakPercent === undefined ? {} : { saltPeaks: { [hash]: saltPeakPercent } }).findings.map(
        ({ code }) => code,
      );
    expect(codes()).not.toContain("SALT_PAST_PEAK");
    expect(codes(1.8)).toContain("SALT_PAST_PEAK");
  });

  it("SALT_MEETS_GUM: both together are to consider, each alone is not", () => {
    expect(found("SALT_MEETS_GUM", [...salted(1, sulfate), ["xanthan-gum", 0.3], ["glycerin", 3]])[0]).toMatchObject({
      severity: "consider",
      lines: ["xanthan-gum", "sodium-chloride"],
    });
    expect(codesOf(salted(1, sulfate))).not.toContain("SALT_MEETS_GUM");
    expect(codesOf([water, sulfate, ["xanthan-gum", 0.3]])).not.toContain("SALT_MEETS_GUM");
  });
});

describe("polymers", () => {
  it("POLYMER_SALT: carbomer stands 0.3 % electrolyte, not 0.31", () => {
    const pure = materialOf("sodium-chloride").saltPercent ?? 100;
    const beside = (percent: number) => codesOf([water, ["carbomer", 0.5], ["sodium-chloride", (percent * 100) / pure]]);
    expect(beside(0.3)).not.toContain("POLYMER_SALT");
    expect(beside(0.31)).toContain("POLYMER_SALT");
  });

  it("GUAR_ACID_FIRST: after an acid or a surfactant, by phase and then by line", () => {
    const guar: WrittenLine = ["guar-hydroxypropyltrimonium-chloride", 0.3];
    expect(codesOf([water, guar, glucoside, ["lactic-acid", 0.2]])).not.toContain("GUAR_ACID_FIRST");
    const [finding] = found("GUAR_ACID_FIRST", [water, ["lactic-acid", 0.2], guar]);
    expect(finding).toMatchObject({ severity: "fix", change: { kind: "first", line: "guar-hydroxypropyltrimonium-chloride" } });
    expect(codesOf([water, glucoside, guar])).toContain("GUAR_ACID_FIRST");
    const lines: Formula["lines"] = [
      { id: "s", phase: "B", material: "coco-glucoside", percent: 20 },
      { id: "g", phase: "A", material: "guar-hydroxypropyltrimonium-chloride", percent: 0.3 },
    ];
    expect(codesOf([], { phases: [{ id: "A" }, { id: "B" }], lines })).not.toContain("GUAR_ACID_FIRST");
    expect(codesOf([], { phases: [{ id: "B" }, { id: "A" }], lines })).toContain("GUAR_ACID_FIRST");
  });
});

describe("particles", () => {
  const wash = (...lines: WrittenLine[]): WrittenLine[] => [water, ["aos-40", 20], ["cocamidopropyl-betaine", 15], ...lines];

  it("PARTICLES_SINK: fruit stone sinks in a plain wash and is held by enough xanthan", () => {
    const stone: WrittenLine = ["ground-fruit-stone", 2];
    const [finding] = found("PARTICLES_SINK", wash(stone));
    expect(finding).toMatchObject({ severity: "fix", lines: ["ground-fruit-stone"] });
    const needed = Number(/About ([\d.]+) %/.exec(finding?.cure ?? "")?.[1]);
    expect(needed).toBeGreaterThan(0);
    expect(codesOf(wash(stone, ["xanthan-gum-clear", needed]))).not.toContain("PARTICLES_SINK");
    expect(codesOf(wash(stone, ["xanthan-gum-clear", needed - 0.011]))).toContain("PARTICLES_SINK");
  });

  it("wax beads float up", () => {
    expect(found("PARTICLES_SINK", wash(["jojoba-wax-beads", 2]))[0]?.what).toContain("floats up");
  });

  it("a suspender whose yield nobody told is named, and never silence", () => {
    const lines = wash(["ground-fruit-stone", 2], ["sclerotium-gum", 1]);
    expect(codesOf(lines)).not.toContain("PARTICLES_SINK");
    expect(unjudged("PARTICLES_SINK", lines)[0]).toMatchObject({ lacks: "yield-stress", materials: ["sclerotium-gum"] });
  });

  it("what dissolves, and what is packed in a scrub, does not sink", () => {
    expect(codesOf(wash(["fine-sea-salt", 1]))).not.toContain("PARTICLES_SINK");
    expect(codesOf(wash(["ground-fruit-stone", 30]), { profile: "scrub" })).not.toContain("PARTICLES_SINK");
  });

  it("PUMP_CLOG: grains or a thickener for a foaming pump, and neither elsewhere", () => {
    expect(found("PUMP_CLOG", wash(["xanthan-gum", 0.2]), { profile: "foaming-wash" })[0]).toMatchObject({
      severity: "fix",
      lines: ["xanthan-gum"],
    });
    expect(codesOf(wash(["mica", 0.1]), { profile: "micellar-foam" })).toContain("PUMP_CLOG");
    expect(codesOf(wash(), { profile: "foaming-wash" })).not.toContain("PUMP_CLOG");
    expect(codesOf(wash(["xanthan-gum", 0.2]))).not.toContain("PUMP_CLOG");
  });
});
