import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { assess } from "../assessment/assess.ts";
import type { Material } from "../library/material.ts";
import { library, lineOf, materialOf, sheetOf } from "../testing/exampleSheet.ts";
import { activeContentOf, chargeShares } from "./activeMatter.ts";

const sulfonate40: Material = {
  ...materialOf("aos-40"),
  slug: "sulfonate-40",
  active: { low: 38, typical: 40, high: 42 },
};

const wash = sheetOf(
  [
    ["water-distilled", "q.s."],
    ["cocamidopropyl-betaine", 22],
    ["sulfonate-40", 18],
  ],
  { materials: [sulfonate40] },
);

describe("active matter", () => {
  it("22 % of a 30 % betaine and 18 % of a 40 % sulfonate: 6.60 + 7.20 = 13.80 %", () => {
    const { activeMatter } = assess(wash, library);
    expect(activeMatter.percent).toBeCloseTo(13.8, 10);
    expect(activeMatter.byCharge.amphoteric).toBeCloseTo(6.6, 10);
    expect(activeMatter.byCharge.anionic).toBeCloseTo(7.2, 10);
  });

  it("as shares: 47.8 % amphoteric, 52.2 % anionic", () => {
    const shares = chargeShares(assess(wash, library).activeMatter);
    expect(shares.amphoteric).toBeCloseTo(47.826, 3);
    expect(shares.anionic).toBeCloseTo(52.174, 3);
    expect(shares.nonionic + shares.cationic).toBe(0);
  });

  it("ranges as the suppliers do: 22 × 0.29 + 18 × 0.38 = 13.22 to 22 × 0.32 + 18 × 0.42 = 14.60 %", () => {
    const { activeMatter } = assess(wash, library);
    expect(activeMatter.low).toBeCloseTo(13.22, 10);
    expect(activeMatter.high).toBeCloseTo(14.6, 10);
  });

  it("a certificate of 30.4 % replaces low, typical and high of its line: 22 × 0.304 = 6.688 %", () => {
    const lines = wash.lines.map((line) => (line.id === "cocamidopropyl-betaine" ? { ...line, assayPercent: 30.4 } : line));
    const { activeMatter } = assess({ ...wash, lines }, library);
    expect(activeMatter.byCharge.amphoteric).toBeCloseTo(6.688, 10);
    expect(activeMatter.low).toBeCloseTo(6.688 + 6.84, 10);
    expect(activeMatter.high).toBeCloseTo(6.688 + 7.56, 10);
  });

  it("counts cleansing surfactants only: a solubiliser brings none", () => {
    const solubiliser = materialOf("polysorbate-20");
    expect(solubiliser.active).not.toBeNull();
    expect(activeContentOf(solubiliser, library).percent).toBe(0);
  });

  it("a certificate does not turn glycerin into a cleanser", () => {
    const lines = [lineOf(["water-distilled", "q.s."]), { ...lineOf(["glycerin", 5]), assayPercent: 99.5 }];
    expect(assess({ ...wash, lines }, library).activeMatter.percent).toBe(0);
  });

  it("an empty sheet has none, and no shares to speak of", () => {
    const { activeMatter } = assess(sheetOf([]), library);
    expect(activeMatter.percent).toBe(0);
    expect(chargeShares(activeMatter)).toEqual({ anionic: 0, amphoteric: 0, nonionic: 0, cationic: 0 });
  });
});

describe("active matter of a ready-made base", () => {
  it("comes from its leaves: 50 × 0.32 + 30 × 0.30 + 8.42 × 0.95 = 33.0 %", () => {
    // disodium laureth sulfosuccinate 32 %, betaine 30 %, sarcosinate powder 95 %
    const content = activeContentOf(materialOf("mild-anionic-preblend"), library);
    expect(content.percent).toBeCloseTo(16 + 9 + 7.999, 9);
    expect(content.byCharge.amphoteric).toBeCloseTo(9, 9);
    expect(content.byCharge.anionic).toBeCloseTo(23.999, 9);
  });

  it("scales with a certificate and keeps its charge split", () => {
    const typical = assess(sheetOf([["mild-anionic-preblend", 40]]), library).activeMatter;
    const line = { ...lineOf(["mild-anionic-preblend", 40]), assayPercent: 35 };
    const assayed = assess(sheetOf([], { lines: [line] }), library).activeMatter;
    expect(assayed.percent).toBeCloseTo(14, 10);
    expect(chargeShares(assayed).anionic).toBeCloseTo(chargeShares(typical).anionic, 10);
  });
});

describe("whatever the sheet", () => {
  const cleansers = ["aos-40", "cocamidopropyl-betaine", "coco-glucoside", "sci-powder", "mild-anionic-preblend"];
  const lines = fc.array(fc.tuple(fc.constantFrom(...cleansers), fc.integer({ min: 0, max: 1900 })), { maxLength: 5 });

  it("the charge types sum to the active matter and the range holds it", () => {
    fc.assert(
      fc.property(lines, (drawn) => {
        const formula = sheetOf([], {
          lines: drawn.map(([material, hundredths], i) => ({ id: String(i), phase: "A", material, percent: hundredths / 100 })),
        });
        const { activeMatter } = assess(formula, library);
        const { anionic, amphoteric, nonionic, cationic } = activeMatter.byCharge;
        expect(anionic + amphoteric + nonionic + cationic).toBeCloseTo(activeMatter.percent, 9);
        expect(activeMatter.low).toBeLessThanOrEqual(activeMatter.percent + 1e-9);
        expect(activeMatter.high).toBeGreaterThanOrEqual(activeMatter.percent - 1e-9);
      }),
    );
  });
});
