import { saltOf } from "../../formula/sums/hiddenSalt.ts";
import { wholeLines } from "../../formula/resolveLines.ts";
import type { BatchPlan } from "./batchPlan.ts";

type Lines = Pick<BatchPlan, "formula" | "materials">;

function materialOf({ formula, materials }: Lines, line: string) {
  return materials.get(wholeLines(formula).find(({ id }) => id === line)?.material ?? "");
}

/** Salt in the material of a line, %; 100 where it has none to tell. */
export function saltPercentOf(lines: Lines, line: string): number {
  const material = materialOf(lines, line);
  const percent = material === undefined ? 0 : saltOf(material);
  return percent > 0 ? percent : 100;
}

/** Acid or base in the material of a line, %; 100 where nobody says. */
export function strengthOf(lines: Lines, line: string): number {
  return materialOf(lines, line)?.acidBase?.percentOfMaterial ?? 100;
}
