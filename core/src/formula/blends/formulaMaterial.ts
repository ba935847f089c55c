import { wholeMaterial } from "../../library/briefMaterial.ts";
import type { MaterialsBySlug, NestedMaterial } from "../../library/material.ts";
import { massBalance } from "../massBalance.ts";
import { Refusal } from "../../quantities/refusal.ts";
import { resolveLines } from "../resolveLines.ts";
import type { Formula } from "../types.ts";

/**
 * A whole formula as a material, to stand as a base in another: its parts are its lines, those of one material together,
 * the rest line with what the others leave. 60 % water, 30 % betaine and 10 % glycerin are parts of 60, 30 and 10 %.
 * A measured density goes along. Certificates of lots do not: a part counts with its material's usual strength.
 * @throws Refusal when the lines do not come to 100 %.
 */
export function formulaMaterial(
  formula: Formula,
  library: MaterialsBySlug,
  { slug, name }: { readonly slug: string; readonly name: string },
): NestedMaterial {
  if (massBalance(formula.lines).state !== "closed") {
    throw new Refusal("not-possible", `The lines of ${formula.name} do not come to 100 %.`, "Make a line q.s. to 100 % first.");
  }
  const shares = new Map<string, number>();
  for (const { line, percent } of resolveLines(formula, library).sheet.lines) {
    if (percent > 0) shares.set(line.material, (shares.get(line.material) ?? 0) + percent);
  }
  const total = [...shares.values()].reduce((sum, share) => sum + share, 0);
  const density = formula.measured?.densityGramsPerMl ?? null;
  return {
    ...wholeMaterial({ slug, name, role: "base", parts: [] }),
    parts: [...shares].map(([material, percent]) => ({ material, percent: (100 * percent) / total })),
    densityGramsPerMl: density,
    trueDensityGramsPerMl: density,
    handling: "Made here. Stir it before it is weighed out. It counts with the usual strengths of its parts, not with those of its lots.",
  } as NestedMaterial;
}
