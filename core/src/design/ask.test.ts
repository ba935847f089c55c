import { beforeAll, describe, expect, it } from "vitest";
import { readingOf } from "../assessment/index.ts";
import type { Formula } from "../formula/index.ts";
import type { Material, MaterialsBySlug } from "../library/index.ts";
import { loadLinearSolver, type LinearSolver } from "../numerics/index.ts";
import { library, lineOf, sheetOf } from "../testing/exampleSheet.ts";
import { costOfSheet, questionOf } from "./ask.ts";
import { searched } from "./mend.ts";
import { shownFrontier } from "./outcome.ts";
import { openWishes } from "./testing/drawnShelf.ts";

const sheet = sheetOf([
  ["water-distilled", "q.s."],
  ["glycerin", 3],
  ["cocamidopropyl-betaine", 20],
  ["sodium-benzoate", 0.4],
  ["potassium-sorbate", 0.2],
]);
const and = (material: string, percent: number): Formula => ({ ...sheet, lines: [...sheet.lines, lineOf([material, percent])] });

let solver: LinearSolver;
beforeAll(async () => {
  solver = await loadLinearSolver();
});

function questionIn(materials: MaterialsBySlug, formula: Formula) {
  const wishes = { ...openWishes, against: "foam" as const };
  return questionOf({ formula, wishes, shelf: new Map(), onlyShelf: false, mustNot: [], coldOnly: false, preservative: null }, materials);
}

function question(changes: { readonly formula?: Formula; readonly preservative?: string; readonly only?: readonly string[] } = {}) {
  const { formula = sheet, preservative = null, only } = changes;
  const shelf = new Map((only ?? []).map((slug) => [slug, { grams: 1000, price: null, assayPercent: null }]));
  const wishes = { ...openWishes, against: "foam" as const };
  return questionOf({ formula, wishes, shelf, onlyShelf: only !== undefined, mustNot: [], coldOnly: false, preservative }, library);
}

describe("what stands beside the surfactants", () => {
  it("a chosen preservative takes the place of those on the sheet: the blend shares its pH", () => {
    // Acid preservatives hold the sheet below the pH that glycinates need; phenoxyethanol does not.
    expect(question().leftOut).toContainEqual({ material: "sodium-cocoyl-glycinate-powder", reason: "ph" });
    const open = question({ preservative: "phenoxyethanol-ethylhexylglycerin" });
    expect(open.rest.ph!.high).toBeGreaterThan(question().rest.ph!.high);
    expect(open.unpriced).toContain("phenoxyethanol-ethylhexylglycerin");
    expect(open.unpriced).not.toContain("sodium-benzoate");
  });

  it("what is no preservative changes nothing", () => {
    expect(question({ preservative: "glycerin" }).rest).toEqual(question().rest);
  });
});

describe("what a sheet costs", () => {
  it("is percent times price of a gram, for 100 g; what has no price counts as nothing", () => {
    const prices: Readonly<Record<string, number>> = { "water-distilled": 0.001, "sodium-benzoate": 0.03 };
    const lines = [
      { line: lineOf(["water-distilled", 90]), percent: 90 },
      { line: lineOf(["sodium-benzoate", 0.5]), percent: 0.5 },
      { line: lineOf(["glycerin", 9.5]), percent: 9.5 },
    ];
    // 90 × 0.001 + 0.5 × 0.03
    expect(costOfSheet(lines, (slug) => prices[slug] ?? null)).toBeCloseTo(0.105, 12);
  });
});

describe("what is not looked at", () => {
  const reasonOf = (slug: string, formula: Formula, changes: Partial<Material> = {}) => {
    const changed = new Map(library).set(slug, { ...library.get(slug)!, ...changes } as Material);
    return questionIn(changed, formula).leftOut.find(({ material }) => material === slug)?.reason;
  };

  it("a surfactant that only oil dissolves is none for a watery sheet, and one of water none for an oil", () => {
    expect(reasonOf("coco-glucoside", sheet)).toBeUndefined();
    expect(reasonOf("coco-glucoside", sheet, { solubleIn: ["oil"] })).toBe("solubility");
    expect(reasonOf("coco-glucoside", sheet, { solubleIn: [] })).toBeUndefined();
    const balm = sheetOf([
      ["sunflower-oil", "q.s."],
      ["cetearyl-alcohol", 10],
    ]);
    expect(reasonOf("coco-glucoside", balm)).toBe("solubility");
    expect(reasonOf("coco-glucoside", balm, { solubleIn: ["water", "oil"] })).not.toBe("solubility");
  });
});

describe("how clear a blend is", () => {
  const shelf = ["cocamidopropyl-betaine", "coco-glucoside", "sles-2eo-28", "sci-powder", "sodium-lauroyl-lactylate"];
  it.each([
    ["plain", sheet],
    ["with oil that little carries", and("sunflower-oil", 2)],
    ["with an opacifier", and("glycol-distearate", 1)],
  ])("%s: as the sheet with that blend says", (_, formula) => {
    const shown = shownFrontier(searched(question({ formula, only: shelf }), 3_000, solver), "foam");
    expect(shown!.blends.length).toBeGreaterThan(1);
    for (const { lines, clarity, activePercent } of shown!.blends) {
      const blended = {
        ...formula,
        lines: [
          ...formula.lines.filter(({ material }) => material !== "cocamidopropyl-betaine"),
          ...lines.map((one) => lineOf([one.material, one.percent])),
        ],
      };
      const { readings } = readingOf(blended, library);
      expect(readings.activeMatter.percent).toBeCloseTo(activePercent, 1);
      const { outlook } = readings.clarity!;
      expect(clarity).toBe(outlook === "clears" ? "clear" : outlook);
    }
  });
});
