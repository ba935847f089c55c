import { adviseTitration, knownBuffersOf } from "@tensidrum/core/acidity";
import { cleansersOf } from "@tensidrum/core/surfactants";
import { judge } from "@tensidrum/core/findings";
import { assess, readingOf } from "@tensidrum/core/assessment";
import { resolveLines, type Formula } from "@tensidrum/core/formula";
import { stepsOf } from "@tensidrum/core/process";
import { triangleOf, trianglePoints } from "@tensidrum/core/surfactants";
import { referenceLibrary } from "@tensidrum/core/reference";
import { adviseThickening, fitSaltCurve, viscosityAt } from "@tensidrum/core/rheology";
import { loadLinearSolver } from "@tensidrum/core/numerics";
import { unmix } from "@tensidrum/core/stability";
import { sheetOfLines } from "./coreBench";
import { timed, type Measured } from "./measure";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));

/** Six surfactants of three charge types. */
const CLEANSERS = ["sles-2eo-28", "sci-powder", "cocamidopropyl-betaine", "sodium-cocoamphoacetate", "decyl-glucoside", "coco-glucoside"];
const TRIANGLE_STEPS = 70;

/** The sheet of 40 lines with exactly six cleansers among them. */
function sheetOfSix(): Formula {
  const sheet = sheetOfLines(120);
  const others = sheet.lines.filter(({ material }) => library.get(material)?.countsAsActive !== true).slice(0, 40 - CLEANSERS.length);
  const cleansers = CLEANSERS.map((material) => ({ id: material, phase: "A", material, percent: 4 }));
  return { ...sheet, lines: [...others, ...cleansers] };
}

/** A wash as it is titrated. */
const wash: Formula = {
  ...sheetOfLines(1),
  lines: [
    { id: "water", phase: "A", material: "water-distilled", qs: true },
    { id: "sulfate", phase: "A", material: "sles-2eo-28", percent: 20 },
    { id: "betaine", phase: "A", material: "cocamidopropyl-betaine", percent: 15 },
    { id: "glucoside", phase: "A", material: "decyl-glucoside", percent: 8 },
    { id: "glycerin", phase: "A", material: "glycerin", percent: 3 },
    { id: "benzoate", phase: "A", material: "sodium-benzoate", percent: 0.5 },
    { id: "phytate", phase: "A", material: "sodium-phytate", percent: 0.2 },
    { id: "panthenol", phase: "A", material: "panthenol-75", percent: 1 },
  ],
};

const saltCurve = { peakSaltPercent: 2.4, width: 0.6, baseline: -1, height: 2 };

/** Time of the models: mildness of a sheet and of a whole triangle, a salt curve, one advice each. */
export async function benchModels(): Promise<Measured[]> {
  const formula = sheetOfSix();
  const { sheet } = resolveLines(formula, library);
  const blend = cleansersOf(sheet);
  const jars = Array.from({ length: 12 }, (_, k) => ({
    saltPercent: 1 + k * 0.2,
    viscosity: viscosityAt(saltCurve, 1 + k * 0.2) * (k % 2 === 0 ? 1.06 : 0.95),
  }));
  const titration = {
    batchGrams: 500,
    agent: { kind: "acid" as const, molarMass: 192.12, pKas: [3.13, 4.76, 6.4], strengthPercent: 25 },
    target: { low: 4.8, high: 5.5 },
    dropGrams: 0.05,
    counterAgent: null,
    knownBuffers: knownBuffersOf(resolveLines(wash, library).sheet),
    readings: [
      { doseGramsTotal: 0, ph: 8.34, sampleGrams: 2 },
      { doseGramsTotal: 1, ph: 7.49, sampleGrams: 2 },
      { doseGramsTotal: 2, ph: 6.99, sampleGrams: 2 },
    ],
  };
  const thickening = {
    batchGrams: 500,
    hiddenSaltPercent: 0.8,
    strengthPercent: 100,
    target: 3,
    jars: [],
    additions: [0, 2.5, 4].map((gramsTotal) => ({ gramsTotal, viscosity: viscosityAt(saltCurve, 0.8 + gramsTotal / 5) })),
  };
  const { read } = readingOf(formula, library);
  const solver = await loadLinearSolver();
  const label = printedNames();
  return [
    timed("core: all rules on 40 lines", () => judge(read), { blocks: 60, callsPerBlock: 20, limit: 0.5 }),
    timed("core: steps of 40 lines", () => stepsOf(formula, library), { blocks: 60, callsPerBlock: 20, limit: 2 }),
    timed(`core: percentages behind ${label.length} names`, () => unmix({ ingredients: label, onePercentLineAfter: 9 }, library, solver), {
      blocks: 11,
      callsPerBlock: 1,
      limit: 300,
    }),
    timed("core: every reading of 40 lines with 6 cleansers", () => assess(formula, library), { blocks: 60, callsPerBlock: 20, limit: 1 }),
    timed(`core: blend triangle of ${trianglePoints(TRIANGLE_STEPS)} points`, () => triangleOf(blend, 0, TRIANGLE_STEPS), {
      blocks: 15,
      callsPerBlock: 1,
      limit: 150,
    }),
    timed("core: salt curve through 12 jars", () => fitSaltCurve(jars), { blocks: 40, callsPerBlock: 5, limit: 5 }),
    timed("core: titration advice after three readings", () => adviseTitration(titration), { blocks: 15, callsPerBlock: 1, limit: 150 }),
    timed("core: thickening advice after three readings", () => adviseThickening(thickening), { blocks: 15, callsPerBlock: 1, limit: 150 }),
  ];
}

/** A printed list of 25 names, the first ten at 1 % and more. */
function printedNames(): readonly { readonly name: string }[] {
  const { composition } = assess(sheetOfSix(), library);
  return composition.slice(0, 25).map(({ inci }) => ({ name: inci }));
}
