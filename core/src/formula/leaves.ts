import type { Material, MaterialsBySlug, PlainMaterial } from "../library/material.ts";
import { Refusal } from "./refusal.ts";

/** A plain material inside a nested one, with its share of the whole. */
export interface Leaf {
  readonly material: PlainMaterial;
  /** Part of the outer material, 0 to 1. */
  readonly fraction: number;
}

/**
 * The plain materials a material is made of, to any depth. A plain one is its own only leaf.
 * @throws Refusal when a part is unknown or a material contains itself.
 */
export function leavesOf(material: Material, materials: MaterialsBySlug): readonly Leaf[] {
  const leaves: Leaf[] = [];
  collect(material, 1, [], materials, leaves);
  return leaves;
}

function collect(material: Material, fraction: number, above: readonly string[], materials: MaterialsBySlug, leaves: Leaf[]): void {
  if (material.parts === undefined) {
    leaves.push({ material, fraction });
    return;
  }
  if (above.includes(material.slug)) {
    throw new Refusal(
      "not-possible",
      `${material.name} contains itself: ${[...above, material.slug].join(" in ")}.`,
      "Take it out of its own parts.",
    );
  }
  for (const part of material.parts) {
    const inner = materials.get(part.material);
    if (inner === undefined) {
      throw new Refusal(
        "not-found",
        `${material.name} is made of "${part.material}", which is not in the library.`,
        "Add that material or take it out of the parts.",
      );
    }
    collect(inner, (fraction * part.percent) / 100, [...above, material.slug], materials, leaves);
  }
}
