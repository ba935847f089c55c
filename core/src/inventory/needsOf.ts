import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula } from "../formula/types.ts";
import type { MaterialsBySlug } from "../library/material.ts";

/**
 * What a formula takes of each material, % of the batch. Water is left out: it is there, whether a lot of it stands on the
 * shelf or not.
 * @returns shares by slug
 * @throws Refusal when a material is unknown
 */
export function needsOf(formula: Formula, library: MaterialsBySlug): ReadonlyMap<string, number> {
  const { sheet } = resolveLines(formula, library);
  const shares = new Map<string, number>();
  for (const { line, material, percent } of sheet.lines) {
    if (percent > 0 && material.role !== "water") shares.set(line.material, (shares.get(line.material) ?? 0) + percent);
  }
  return shares;
}
