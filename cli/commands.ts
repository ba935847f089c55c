import { assess, Refusal } from "@tensidrum/core/formula";
import { readAny, readDilution, readFormula, readLabelledFormula, readMicelles, type FormatName } from "@tensidrum/core/formats";
import { dilute } from "@tensidrum/core/keeping";
import type { MaterialsBySlug } from "@tensidrum/core/library";
import { answerMicelles } from "@tensidrum/core/micelles";
import { labelOf } from "@tensidrum/core/packing";

export interface Command {
  readonly summary: string;
  /** The format it reads; null when it reads nothing. */
  readonly format: FormatName | null;
  readonly takesInput: boolean;
  run(value: unknown, library: MaterialsBySlug): unknown;
}

function reading(format: FormatName, summary: string, run: Command["run"]): Command {
  return { summary, format, takesInput: true, run };
}

/** Checks its file, then says that its computation is not there yet. */
function awaited(format: FormatName, summary: string): Command {
  return reading(format, `${summary} (not there yet)`, (value, library) => {
    readAny(format, value, library);
    throw new Refusal("not-possible", "This command is not there yet.", "Use one of the commands that tensid --help lists as ready.");
  });
}

/** Every command with what it reads and answers. */
export const commands: ReadonlyMap<string, Command> = new Map([
  [
    "materials",
    {
      summary: "the reference library",
      format: null,
      takesInput: false,
      run: (_value, library) => [...library.values()],
    },
  ],
  ["assess", reading("tensidrum-formula/1", "all readings of a formula", (value, library) => assess(readFormula(value, library), library))],
  ["steps", awaited("tensidrum-formula/1", "the steps of making a formula")],
  ["titrate", awaited("tensidrum-titration/1", "the next dose of acid or base")],
  ["thicken", awaited("tensidrum-thicken/1", "the next addition of salt")],
  ["salt-curve", awaited("tensidrum-salt-curve/1", "the salt curve through jars")],
  ["bead-drop", awaited("tensidrum-bead-drop/1", "thickness from a falling bead")],
  ["settle", awaited("tensidrum-settle/1", "whether particles sink")],
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
    reading("tensidrum-dilution/1", "what water does to strength and keeping", (value, library) => {
      const { formula, partsProduct, partsWater } = readDilution(value, library);
      return dilute(formula, { partsProduct, partsWater }, library);
    }),
  ],
  ["unmix", awaited("tensidrum-unmix/1", "percentages behind a printed ingredient list")],
]);
