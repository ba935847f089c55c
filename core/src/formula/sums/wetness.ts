import type { PlainMaterial } from "../../library/material.ts";
import { remembered } from "../../library/remembered.ts";
import { leavesOf } from "../leaves.ts";
import type { ResolvedSheet } from "../types.ts";

/** Less water in a material is moisture, % of it. */
const MOISTURE_PERCENT = 5;
const DRY_FORMS: ReadonlySet<string | null> = new Set(["powder", "granule", "flake", "needle", "wax", "oil", "crystal"]);

/**
 * Water in what is wet, % w/w of the formula; moisture of powders and water of the preservatives do not count. 0 is a dry
 * product, however moist its powders are.
 */
export function wetPercentOf({ lines, materials }: ResolvedSheet): number {
  let wet = 0;
  for (const { material, percent } of lines) {
    if (percent <= 0) continue;
    for (const leaf of leavesOf(material, materials)) wet += (percent * leaf.fraction * wetPartPercent(leaf.material)) / 100;
  }
  return wet;
}

/** Nothing wet is in it: no water, no flower water, no liquid that brings either. */
export function isDryProduct(sheet: ResolvedSheet): boolean {
  return !sheet.lines.some(({ material, percent }) => percent > 0 && material.role === "water") && wetPercentOf(sheet) <= 0;
}

/** Water of a material that makes things wet, % of it. */
const wetPartPercent = remembered(({ role, form, inci }: PlainMaterial): number => {
  if (role === "preservative" || DRY_FORMS.has(form)) return 0;
  return inci.reduce((sum, { name, percent }) => (name === "Aqua" && percent >= MOISTURE_PERCENT ? sum + percent : sum), 0);
});
