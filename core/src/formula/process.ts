import { wholeLines } from "./resolveLines.ts";
import type { Formula, OwnProcess } from "./types.ts";

/** The formula with the maker's own steps, of the lines it has; without any where there are none. */
export function withProcess(formula: Formula, process: OwnProcess | null): Formula {
  if (process === null) return formula;
  return { ...formula, process: processForLines(process, new Map(wholeLines(formula).map(({ id }) => [id, id]))) };
}

/**
 * The same steps for lines under other ids, as in a copy of the formula; lines that have none there are left out, and so are
 * their portions.
 */
export function processForLines(process: OwnProcess, idOf: ReadonlyMap<string, string>): OwnProcess {
  const portions = (process.portions ?? []).flatMap((portion) => {
    const of = idOf.get(portion.of);
    return of === undefined ? [] : [{ ...portion, of }];
  });
  const held = new Map([...idOf, ...portions.map(({ id }) => [id, id] as const)]);
  const { scentInto, ...choices } = process.choices ?? {};
  const carrier = scentInto === undefined || scentInto === "batch" ? scentInto : idOf.get(scentInto);
  const settled = { ...choices, ...(carrier === undefined ? {} : { scentInto: carrier }) };
  return {
    steps: process.steps.map((step) => ({ ...step, lines: step.lines.flatMap((line) => held.get(line) ?? []) })),
    ...(portions.length === 0 ? {} : { portions }),
    ...(Object.keys(settled).length === 0 ? {} : { choices: settled }),
  };
}
