import type { Formula, OwnProcess } from "./types.ts";

/** The formula with the maker's own steps; without any where there are none. */
export function withProcess(formula: Formula, process: OwnProcess | null): Formula {
  return process === null ? formula : { ...formula, process };
}

/** The same steps for lines under other ids, as in a copy of the formula; lines that have none there are left out. */
export function processForLines(process: OwnProcess, idOf: ReadonlyMap<string, string>): OwnProcess {
  return {
    steps: process.steps.map((step) => ({ ...step, lines: step.lines.flatMap((line) => idOf.get(line) ?? []) })),
  };
}
