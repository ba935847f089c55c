import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Material } from "../../library/material.ts";
import { library, materialOf, sheetOf, type WrittenLine } from "../../testing/exampleSheet.ts";
import { wholeMaterial } from "../../library/briefMaterial.ts";
import { assess } from "../../assessment/assess.ts";
import { assessSums } from "../../assessment/readings.ts";
import { resolveLines } from "../resolveLines.ts";
import type { Formula } from "../types.ts";
import { densityReading } from "./density.ts";
import { saltReading } from "./hiddenSalt.ts";
import { compositionOf, percentByInci, waterPercent } from "./rollUp.ts";

const sheet = (lines: readonly WrittenLine[], changes: Partial<Formula> = {}) => resolveLines(sheetOf(lines, changes), library).sheet;
const own = (slug: string, facts: Partial<Material>): Material =>
  wholeMaterial({ slug, name: slug, role: "active", inci: [{ name: slug, percent: 100 }], ...facts } as Parameters<
    typeof wholeMaterial
  >[0]);

describe("hidden salt", () => {
  it("22 % of a betaine with 5.2 % salt bring 1.144 %, 1 % added salt of 99.5 % 0.995 % more", () => {
    const reading = saltReading(
      sheet([
        ["water-distilled", "q.s."],
        ["cocamidopropyl-betaine", 22],
        ["sodium-chloride", 1],
      ]),
    );
    expect(reading.saltPercent).toBeCloseTo(1.144 + 0.995, 12);
    expect(reading.addedSaltPercent).toBeCloseTo(0.995, 12);
  });

  it("where none is stated it follows from the composition: 10 % of a dye with 6 % salt and 4 % sulfate", () => {
    const dye = saltReading(
      sheet([
        ["water-distilled", "q.s."],
        ["water-soluble-dye-powder", 10],
      ]),
    );
    expect(materialOf("water-soluble-dye-powder").saltPercent).toBe(6);
    const unstated = own("tint", {
      inci: [
        { name: "CI 42090", percent: 90 },
        { name: "Sodium Chloride", percent: 6 },
        { name: "Sodium Sulfate", percent: 4 },
      ],
    });
    const same = saltReading(
      sheet(
        [
          ["water-distilled", "q.s."],
          ["tint", 10],
        ],
        { materials: [unstated] },
      ),
    );
    expect(same.saltPercent).toBeCloseTo(0.6, 12);
    expect(same.electrolytePercent).toBeCloseTo(0.4, 12);
    expect(dye.saltPercent).toBeCloseTo(0.6, 12);
  });

  it("counts a blend by its leaves, and by itself where it was measured", () => {
    const parts = [
      { material: "cocamidopropyl-betaine", percent: 50 },
      { material: "water-distilled", percent: 50 },
    ];
    const blend = own("base", { parts, inci: undefined } as unknown as Partial<Material>);
    const measured = { ...blend, saltPercent: 4, measured: ["saltPercent"] } as Material;
    const of = (material: Material) =>
      saltReading(
        sheet(
          [
            ["water-distilled", "q.s."],
            ["base", 20],
          ],
          { materials: [material] },
        ),
      ).saltPercent;
    expect(of(blend)).toBeCloseTo((20 * 0.5 * 5.2) / 100, 12);
    expect(of(measured)).toBeCloseTo(0.8, 12);
  });
});

describe("density", () => {
  it("half water and half glycerin: 100 ⁄ (50 ⁄ 0.997 + 50 ⁄ 1.26) = 1.1132 g/mL", () => {
    const { gramsPerMl } = densityReading(
      sheet([
        ["water-distilled", 50],
        ["glycerin", 50],
      ]),
    );
    expect(gramsPerMl).toBeCloseTo(1.11318, 5);
  });

  it("takes the true density of a powder, not the loose one of its heap", () => {
    const { gramsPerMl } = densityReading(
      sheet([
        ["water-distilled", 90],
        ["kaolin", 10],
      ]),
    );
    const kaolin = materialOf("kaolin").trueDensityGramsPerMl ?? 0;
    expect(gramsPerMl).toBeCloseTo(100 / (90 / 0.997 + 10 / kaolin), 12);
    expect(gramsPerMl ?? 0).toBeGreaterThan(1);
  });

  it("a measured one stands in its place, and is no estimate", () => {
    const measured = assess(sheetOf([["water-distilled", "q.s."]], { measured: { densityGramsPerMl: 1.03 } }), library);
    expect(measured.densityGramsPerMl).toBe(1.03);
    expect(measured.estimates.map(({ reading }) => reading)).not.toContain("densityGramsPerMl");
  });

  it("is not guessed for a material that does not tell, and says which line", () => {
    const unknown = assess(
      sheetOf(
        [
          ["water-distilled", "q.s."],
          ["mystery", 1],
        ],
        { materials: [own("mystery", {})] },
      ),
      library,
    );
    expect(unknown.densityGramsPerMl).toBeNull();
    expect(unknown.notJudged).toContainEqual({
      what: "densityGramsPerMl",
      lacks: "material-density",
      missing: "density of these materials",
      lines: ["mystery"],
    });
  });

  it("nothing has no density", () => {
    expect(densityReading(sheet([])).gramsPerMl).toBeNull();
  });
});

describe("the roll-up", () => {
  it("22 % betaine in water: 64.3 % of 22 and 78 % water are 92.146 % Aqua", () => {
    const inci = percentByInci(
      sheet([
        ["water-distilled", "q.s."],
        ["cocamidopropyl-betaine", 22],
      ]),
    );
    expect(inci.get("Aqua")).toBeCloseTo(78 + 0.643 * 22, 12);
    expect(inci.get("Cocamidopropyl Betaine")).toBeCloseTo(6.6, 12);
    expect(compositionOf(inci).map(({ inci: name }) => name)).toEqual(["Aqua", "Cocamidopropyl Betaine", "Sodium Chloride", "Glycerin"]);
  });

  it("says which material does not tell all it is made of, and invents nothing for it", () => {
    const half = own("half-told", { inci: [{ name: "Mel", percent: 50 }] });
    const { composition, notJudged } = assess(
      sheetOf(
        [
          ["water-distilled", "q.s."],
          ["half-told", 10],
        ],
        { materials: [half] },
      ),
      library,
    );
    expect(composition.reduce((sum, { percent }) => sum + percent, 0)).toBeCloseTo(95, 10);
    expect(notJudged.find(({ what }) => what === "composition")?.lines).toEqual(["half-told"]);
  });

  it("counts the waters of flowers as water", () => {
    expect(
      waterPercent(
        percentByInci(
          sheet([
            ["rose-hydrosol", 60],
            ["water-distilled", 40],
          ]),
        ),
      ),
    ).toBeCloseTo(100, 12);
  });

  const anyLine = fc.tuple(fc.constantFrom(...library.keys()), fc.integer({ min: 0, max: 700 }));
  const anySheet = fc
    .array(anyLine, { maxLength: 12 })
    .map((lines) => lines.map(([slug, hundredths]): WrittenLine => [slug, hundredths / 100]));
  const numbered = (lines: readonly WrittenLine[], order = lines.map((_, i) => i)): Formula["lines"] =>
    order.map((i) => ({ id: `l${i}`, phase: "A", material: lines[i]?.[0] ?? "", percent: Number(lines[i]?.[1]) }));
  const water = { id: "w", phase: "A", material: "water-distilled", qs: true } as const;

  it("adds up to 100 whatever is in it", () => {
    fc.assert(
      fc.property(anySheet, (lines) => {
        const { sheet: resolved } = resolveLines(sheetOf([], { lines: [water, ...numbered(lines)] }), library);
        const total = [...percentByInci(resolved).values()].reduce((sum, percent) => sum + percent, 0);
        expect(total).toBeCloseTo(100, 8);
      }),
    );
  });

  it("no sum depends on the order of the lines", () => {
    fc.assert(
      fc.property(anySheet, fc.infiniteStream(fc.nat()), (lines, keys) => {
        const order = lines
          .map((_, i) => ({ i, key: keys.next().value ?? 0 }))
          .sort((a, b) => a.key - b.key)
          .map(({ i }) => i);
        const one = assessSums(sheetOf([], { lines: [water, ...numbered(lines)] }), library);
        const other = assessSums(sheetOf([], { lines: [...numbered(lines, order), water] }), library);
        expect(other.activeMatter.percent).toBeCloseTo(one.activeMatter.percent, 9);
        expect(other.saltPercent).toBeCloseTo(one.saltPercent, 9);
        expect(other.electrolytePercent).toBeCloseTo(one.electrolytePercent, 9);
        expect(other.densityGramsPerMl ?? 0).toBeCloseTo(one.densityGramsPerMl ?? 0, 9);
      }),
    );
  });

  it("scaling the batch scales every gram and no percent", () => {
    fc.assert(
      fc.property(anySheet, fc.double({ min: 0.01, max: 100, noNaN: true }), (lines, factor) => {
        const formula = sheetOf([], { lines: [water, ...numbered(lines)] });
        const one = assessSums(formula, library).lines;
        const other = assessSums({ ...formula, batchGrams: formula.batchGrams * factor }, library).lines;
        other.forEach((line, i) => {
          expect(line.grams).toBeCloseTo((one[i]?.grams ?? 0) * factor, 6);
          expect(line.percent).toBe(one[i]?.percent);
        });
      }),
    );
  });

  it("opening a nested formula into its parts changes no reading", () => {
    fc.assert(
      fc.property(fc.array(anyLine, { minLength: 1, maxLength: 6 }), fc.integer({ min: 1, max: 60 }), (drawn, share) => {
        const plain = drawn.filter(([slug]) => materialOf(slug).parts === undefined && materialOf(slug).role !== "fragrance");
        const sum = plain.reduce((total, [, hundredths]) => total + hundredths, 0);
        if (sum === 0) return;
        const parts = plain.map(([material, hundredths]) => ({ material, percent: (100 * hundredths) / sum }));
        const nested = own("nested", { parts, inci: undefined } as unknown as Partial<Material>);
        const whole = assess(
          sheetOf([], { lines: [water, { id: "n", phase: "A", material: "nested", percent: share }], materials: [nested] }),
          library,
        );
        const opened = assess(
          sheetOf([], {
            lines: [
              water,
              ...parts.map(({ material, percent }, i) => ({ id: `p${i}`, phase: "A", material, percent: (percent * share) / 100 })),
            ],
          }),
          library,
        );
        expect(whole.activeMatter.percent).toBeCloseTo(opened.activeMatter.percent, 8);
        expect(whole.saltPercent).toBeCloseTo(opened.saltPercent, 8);
        expect(whole.electrolytePercent).toBeCloseTo(opened.electrolytePercent, 8);
        expect(whole.densityGramsPerMl ?? 0).toBeCloseTo(opened.densityGramsPerMl ?? 0, 8);
        expect(whole.waterActivity ?? 0).toBeCloseTo(opened.waterActivity ?? 0, 8);
        expect(whole.preservatives.length).toBe(opened.preservatives.length);
        expect(whole.phCorridor?.low).toBe(opened.phCorridor?.low);
        expect(whole.phCorridor?.high).toBe(opened.phCorridor?.high);
        const inOpened = new Map(opened.composition.map(({ inci, percent }) => [inci, percent]));
        for (const { inci, percent } of whole.composition) expect(percent).toBeCloseTo(inOpened.get(inci) ?? 0, 8);
      }),
    );
  });
});

describe("named parts of a batch", () => {
  const split = { name: "juniper", sharePercent: 50, lines: [{ id: "j", phase: "A", material: "juniper-berry-oil", percent: 0.3 }] };

  it("0.3 % scent in a half of 600 g is 0.15 % and 0.9 g, off the water, and all adds up", () => {
    const { lines } = assess(
      sheetOf(
        [
          ["water-distilled", "q.s."],
          ["decyl-glucoside", 20],
        ],
        { splits: [split] },
      ),
      library,
    );
    expect(lines.map(({ id, percent }) => [id, percent])).toEqual([
      ["water-distilled", 79.85],
      ["decyl-glucoside", 20],
      ["j", 0.15],
    ]);
    expect(lines[2]?.gramsToWeigh).toBe(0.9);
    expect(lines.reduce((sum, { gramsToWeigh }) => sum + gramsToWeigh, 0)).toBeCloseTo(600, 9);
  });
});
