import { isSameMaterial } from "../library/isSameMaterial.ts";
import type { Material, MaterialsBySlug } from "../library/material.ts";
import { Refusal } from "../quantities/refusal.ts";
import { wholeLines } from "./resolveLines.ts";
import type { Formula } from "./types.ts";

/**
 * The formula with every material it uses embedded, parts of blends included, so that no later edit of the library
 * changes what it says.
 * @throws Refusal when a line or a part names a material nobody knows.
 */
export function completeSnapshot(formula: Formula, materials: MaterialsBySlug): Formula {
  const embedded = new Map<string, Material>();
  const embed = (slug: string): void => {
    if (embedded.has(slug)) return;
    const material = materials.get(slug);
    if (material === undefined) {
      throw new Refusal("not-found", `The formula uses "${slug}", which is not in the library.`, "Replace that line.");
    }
    embedded.set(slug, material);
    for (const part of material.parts ?? []) embed(part.material);
  };
  for (const line of wholeLines(formula)) embed(line.material);
  return { ...formula, materials: [...embedded.values()] };
}

/**
 * The formula with every material embedded that is not in the reference library as it stands there, so that an empty
 * maker gets the same readings from it.
 * @throws Refusal when a line or a part names a material nobody knows.
 */
export function formulaForExport(formula: Formula, materials: MaterialsBySlug, reference: MaterialsBySlug): Formula {
  const { materials: embedded = [], ...whole } = completeSnapshot(formula, materials);
  const own = embedded.filter((material) => !isSameMaterial(reference.get(material.slug), material));
  return own.length === 0 ? whole : { ...whole, materials: own };
}
