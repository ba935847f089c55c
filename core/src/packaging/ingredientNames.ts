import type { PlainMaterial } from "../library/material.ts";
import { leavesOf } from "../formula/leaves.ts";
import type { ResolvedSheet } from "../formula/types.ts";

/** How the names on a label are written: one style throughout, never mixed. */
export type Naming = "inci" | "common";

/** What a colour comes in and what coats it; these are listed by their amount like anything else. */
const CARRIERS = new Set(["Aqua", "Glycerin", "Sodium Chloride", "Sodium Sulfate", "Alumina", "Silica", "Maltodextrin", "Alcohol Denat."]);

const COLOUR_INDEX = /^CI \d{5}/;

/** Names of an ingredient, and whether it is there as a colour. */
export interface NamedIngredient {
  readonly inci: string;
  readonly name: string;
  readonly isColour: boolean;
}

/** The label's name of every INCI name in the formula. */
export function ingredientNames(sheet: ResolvedSheet, naming: Naming): ReadonlyMap<string, NamedIngredient> {
  const common = new Map<string, string>();
  const lent = new Map<string, string>();
  const inColours = new Set<string>();
  const elsewhere = new Set<string>();
  for (const { material, percent } of sheet.lines) {
    if (percent === 0) continue;
    for (const { material: leaf } of leavesOf(material, sheet.materials)) {
      for (const entry of leaf.inci) {
        (leaf.role === "colour" ? inColours : elsewhere).add(entry.name);
        if (entry.common !== undefined && !common.has(entry.name)) common.set(entry.name, entry.common);
      }
      lendName(leaf, lent);
    }
  }
  const names = new Map<string, NamedIngredient>();
  for (const inci of [...elsewhere, ...inColours]) {
    const everyday = common.get(inci) ?? lent.get(inci) ?? inci;
    const isColour = COLOUR_INDEX.test(inci) || (inColours.has(inci) && !elsewhere.has(inci) && !CARRIERS.has(inci));
    names.set(inci, { inci, name: naming === "inci" ? inci : everyday, isColour });
  }
  return names;
}

/** A material of one ingredient lends it its own name. */
function lendName(leaf: PlainMaterial, lent: Map<string, string>): void {
  const only = leaf.inci.length === 1 ? leaf.inci[0] : undefined;
  if (only !== undefined && !lent.has(only.name)) lent.set(only.name, leaf.name);
}
