import { adviseTitration, type Titration } from "@tensidrum/core/acidity";
import { assess } from "@tensidrum/core/assessment";
import {
  readBeadDrop,
  readDesign,
  readDilution,
  readFormula,
  readLabelledFormula,
  readFind,
  readMicelles,
  readRecipeFile,
  readSaltCurve,
  readSedimentation,
  readThicken,
  readTitration,
  readUnmix,
  type FormatName,
  type TitrationFile,
} from "@tensidrum/core/formats";
import { answerDesign } from "@tensidrum/core/design";
import { dilute } from "@tensidrum/core/preservation";
import { isNotChosen, type MaterialsBySlug } from "@tensidrum/core/library";
import { answerRecipe } from "@tensidrum/core/recipe";
import { materialFinder } from "@tensidrum/core/search";
import { stepsOf } from "@tensidrum/core/process";
import { answerMicelles } from "@tensidrum/core/surfactants";
import { labelOf } from "@tensidrum/core/packaging";
import { adviseThickening, answerSaltCurve, beadViscosity, sedimentationOf } from "@tensidrum/core/rheology";
import { loadLinearSolver } from "@tensidrum/core/numerics";
import { unmix } from "@tensidrum/core/stability";

const MOST_HITS = 10;

export interface Command {
  readonly summary: string;
  /** The format it reads; null when it reads nothing. */
  readonly format: FormatName | null;
  readonly takesInput: boolean;
  /** Answers at once or, where a solver must be loaded, a little later. */
  run(value: unknown, library: MaterialsBySlug): unknown;
}

function reading(format: FormatName, summary: string, run: Command["run"]): Command {
  return { summary, format, takesInput: true, run };
}

/** A file without ranges tells one amount per site; the advisor allows for a fifth around it. */
function titrationOf({ batchGrams, agent, target, dropGrams, counterAgent, knownBuffers, readings }: TitrationFile): Titration {
  return {
    batchGrams,
    agent,
    target,
    readings,
    dropGrams: dropGrams ?? null,
    counterAgent: counterAgent ?? null,
    knownBuffers: (knownBuffers ?? []).map(({ pKa, mmolPerKg }) => ({ pKa, low: mmolPerKg, high: mmolPerKg })),
  };
}

/** Every command with what it reads and answers. */
export const commands: ReadonlyMap<string, Command> = new Map([
  [
    "materials",
    {
      summary: "the reference library",
      format: null,
      takesInput: false,
      run: (_value, library) => [...library.values()].filter((material) => !isNotChosen(material)),
    },
  ],
  ["assess", reading("tensidrum-formula/1", "all readings of a formula", (value, library) => assess(readFormula(value, library), library))],
  [
    "steps",
    reading("tensidrum-formula/1", "the steps of making a formula", (value, library) => stepsOf(readFormula(value, library), library)),
  ],
  [
    "titrate",
    reading("tensidrum-titration/1", "the next dose of acid or base", (value) => adviseTitration(titrationOf(readTitration(value)))),
  ],
  [
    "thicken",
    reading("tensidrum-thicken/1", "the next addition of salt", (value) => {
      const { jars = [], additions = [], ...file } = readThicken(value);
      return adviseThickening({ ...file, jars, additions });
    }),
  ],
  [
    "salt-curve",
    reading("tensidrum-salt-curve/1", "the salt curve through samples", (value) => {
      const { points, target = null } = readSaltCurve(value);
      return answerSaltCurve(points, target);
    }),
  ],
  ["bead-drop", reading("tensidrum-bead-drop/1", "thickness from a falling bead", (value) => beadViscosity(readBeadDrop(value)))],
  ["settle", reading("tensidrum-settle/1", "whether particles sink", (value) => sedimentationOf(readSedimentation(value)))],
  [
    "micelles",
    reading("tensidrum-micelles/1", "mixed micelles of a blend", (value) => {
      const { totalMillimolar, surfactants } = readMicelles(value);
      return answerMicelles(totalMillimolar, surfactants);
    }),
  ],
  [
    "label",
    reading("tensidrum-formula/1", 'the ingredient list; "naming" is "inci" or "common"', (value, library) => {
      const { formula, naming } = readLabelledFormula(value, library);
      return labelOf(formula, naming, library);
    }),
  ],
  [
    "dilute",
    reading("tensidrum-dilution/1", "what water does to strength and preservation", (value, library) => {
      const { formula, partsProduct, partsWater } = readDilution(value, library);
      return dilute(formula, { partsProduct, partsWater }, library);
    }),
  ],
  [
    "design",
    reading("tensidrum-design/1", "blends for a sheet that no other is better than", async (value, library) =>
      answerDesign(readDesign(value, library), library, await loadLinearSolver()),
    ),
  ],
  [
    "recipe",
    reading("tensidrum-recipe/1", "a recipe as it is written, line by line", (value, library) =>
      answerRecipe(readRecipeFile(value).text, library),
    ),
  ],
  [
    "find",
    reading("tensidrum-find/1", "materials by what people call them, the best first", (value, library) => {
      const find = materialFinder(
        [...library.values()].map((facts) => ({ id: facts.slug, facts })),
        MOST_HITS,
      );
      return { hits: find(readFind(value).query).map(({ facts: { slug, name } }) => ({ material: slug, name })) };
    }),
  ],
  [
    "unmix",
    reading("tensidrum-unmix/1", "percentages behind a printed ingredient list", async (value, library) => {
      const { ingredients, onePercentLineAfter = null } = readUnmix(value);
      return unmix({ ingredients, onePercentLineAfter }, library, await loadLinearSolver());
    }),
  ],
]);
