import type { FormulaChange } from "../../formula/changes/formulaChange.ts";
import type { ResolvedLine } from "../../formula/types.ts";
import type { Judged } from "../judged.ts";

/** The sheet's own line with the most water, to take the rest. */
function mostWater({ lines, sheet }: Judged): ResolvedLine | undefined {
  return lines
    .filter(({ material, line }) => material.role === "water" && sheet.formula.lines.some(({ id }) => id === line.id))
    .sort((a, b) => b.percent - a.percent)[0];
}

/** Lets the water take the rest; undefined without water. */
export function letWaterTakeRest(judged: Judged): FormulaChange | undefined {
  const water = mostWater(judged);
  return water === undefined ? undefined : { kind: "rest", line: water.line.id };
}
