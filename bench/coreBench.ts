import { assess, type Formula, type FormulaLine } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { millisecondsPerCall, type Measured } from "./measure";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));

/** A sheet of so many lines, cleansers and everything else, with water that takes the rest. */
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
    batchGrams: 1000,
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
  const long = sheetOfLines(2000);
  return [
    {
      what: "core: assess a sheet of 40 lines",
      value: millisecondsPerCall(() => assess(usual, library), { blocks: 60, callsPerBlock: 200 }),
      unit: "ms",
      limit: 0.05,
    },
    {
      what: "core: assess a sheet of 2,000 lines",
      value: millisecondsPerCall(() => assess(long, library), { blocks: 40, callsPerBlock: 5 }),
      unit: "ms",
      limit: 5,
    },
  ];
}
