import { assess, assessSums } from "@tensidrum/core/assessment";
import { type Formula, type FormulaLine } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { readRecipe, recogniserOf } from "@tensidrum/core/recipe";
import { materialFinder } from "@tensidrum/core/search";
import { timed, type Measured } from "./measure";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));

const QUERIES = ["cocamidopropil betain", "sodium", "lavander esential oil", "xan", "zzqqxx"];

/** Enough of every line to be weighed, so that the sums are timed and not ten thousand sentences. */
const GRAMS_PER_LINE = 25;

/** A sheet of so many lines, cleansers and everything else, with q.s. water. */
export function sheetOfLines(count: number): Formula {
  const others = referenceLibrary.filter((material) => material.role !== "water");
  const lines: FormulaLine[] = [{ id: "water", phase: "A", material: "water-distilled", qs: true }];
  for (let i = 1; i < count; i += 1) {
    const material = others[(i * 7) % others.length];
    if (material !== undefined) lines.push({ id: `line-${i}`, phase: "A", material: material.slug, percent: 80 / count });
  }
  return {
    format: "tensidrum-formula/1",
    name: "Benchmark wash",
    profile: "body-wash",
    batchGrams: Math.max(1000, count * GRAMS_PER_LINE),
    scales: [
      { name: "bench", readabilityGrams: 0.1, capacityGrams: 3000 },
      { name: "fine", readabilityGrams: 0.01, capacityGrams: 200 },
    ],
    phases: [{ id: "A" }],
    lines,
  };
}

/** Time of one assessment, for a usual sheet and for an absurdly long one. */
export function benchCore(): Measured[] {
  const usual = sheetOfLines(40);
  const recogniser = recogniserOf(referenceLibrary);
  const recipe = Array.from(
    { length: 300 },
    (_, at) => `${(at % 9) + 1} g ${at % 3 === 0 ? "cocamidopropil betain" : `moon dust no ${at}`}`,
  ).join("\n");
  const many = Array.from({ length: 16 }, (_, copy) =>
    referenceLibrary.map((facts) => ({ id: `${facts.slug} ${copy}`, facts: { ...facts, name: `${facts.name} of shelf ${copy}` } })),
  ).flat();
  const find = materialFinder(many);
  let asked = 0;
  return [
    timed("core: sums of a sheet of 40 lines", () => assessSums(usual, library), { blocks: 60, callsPerBlock: 200, limit: 0.05 }),
    timed("core: sums of a sheet of 2,000 lines", sumsOf(2000), { blocks: 40, callsPerBlock: 5, limit: 5 }),
    timed("core: sums of a sheet of 10,000 lines", sumsOf(10_000), { blocks: 20, callsPerBlock: 1, limit: 50 }),
    timed("core: a recipe of 300 lines read", () => readRecipe(recipe, referenceLibrary, recogniser), {
      blocks: 20,
      callsPerBlock: 1,
      limit: 100,
    }),
    timed("core: a search over 5,000 materials", () => find(QUERIES[asked++ % QUERIES.length] ?? ""), {
      blocks: 60,
      callsPerBlock: 3,
      limit: 50,
    }),
    timed("core: every reading of a sheet of 40 lines", () => assess(usual, library), { blocks: 60, callsPerBlock: 50, limit: 1 }),
  ];
}

function sumsOf(count: number): () => unknown {
  const sheet = sheetOfLines(count);
  return () => assessSums(sheet, library);
}
