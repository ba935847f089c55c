import type { Material, MaterialFacts, MaterialsBySlug, NestedMaterial, PlainMaterial } from "../library/material.ts";
import { Refusal } from "../quantities/refusal.ts";

/** A plain material inside a nested one, with its share of the whole. */
export interface Leaf {
  readonly material: PlainMaterial;
  /** Part of the outer material, 0 to 1. */
  readonly fraction: number;
}

/** Materials never change once they are in a library, so what a blend is made of is worked out once. */
const worked = new WeakMap<MaterialsBySlug, Map<Material, readonly Leaf[]>>();

/**
 * The plain materials a material is made of, to any depth; parts of 0 % are none. A plain one is its own only leaf.
 * @throws Refusal when a part is unknown or a material contains itself.
 */
export function leavesOf(material: Material, materials: MaterialsBySlug): readonly Leaf[] {
  let known = worked.get(materials);
  if (known === undefined) worked.set(materials, (known = new Map()));
  let leaves = known.get(material);
  if (leaves === undefined) known.set(material, (leaves = collected(material, materials)));
  return leaves;
}

function collected(material: Material, materials: MaterialsBySlug): readonly Leaf[] {
  const leaves: Leaf[] = [];
  collect(material, 1, [], materials, leaves);
  return leaves;
}

function collect(material: Material, fraction: number, above: readonly string[], materials: MaterialsBySlug, leaves: Leaf[]): void {
  if (material.parts === undefined) {
    if (fraction > 0) leaves.push({ material, fraction });
    return;
  }
  if (above.includes(material.slug)) {
    throw new Refusal(
      "not-possible",
      `${material.name} contains itself: ${[...above, material.slug].join(" in ")}.`,
      "Delete it from its own parts.",
    );
  }
  for (const part of material.parts) {
    const inner = materials.get(part.material);
    if (inner === undefined) {
      throw new Refusal(
        "not-found",
        `${material.name} is made of "${part.material}", which is not in the library.`,
        "Add that material or delete it from the parts.",
      );
    }
    collect(inner, (fraction * part.percent) / 100, [...above, material.slug], materials, leaves);
  }
}

export type FactName = Exclude<keyof MaterialFacts, "slug" | "name" | "role">;

/** Facts a blend never states itself, unless they were measured on it. */
const FROM_LEAVES: ReadonlySet<FactName> = new Set<FactName>([
  "charge",
  "active",
  "countsAsActive",
  "saltPercent",
  "electrolytePercent",
  "molarMass",
  "cmcMillimolar",
  "zein",
  "foam",
  "preservative",
  "acidBase",
  "buffers",
  "waterActivity",
  "allergens",
]);

/** Whether a blend speaks for the fact itself: it was measured on it, or is one of its own and is stated. */
function speaksItself(blend: NestedMaterial, fact: FactName): boolean {
  if (blend.measured?.includes(fact) === true) return true;
  if (FROM_LEAVES.has(fact)) return false;
  const value = blend[fact];
  return value !== null && !(Array.isArray(value) && value.length === 0);
}

/**
 * Hands over each material that speaks for a fact of this one, with its share (0 to 1): the material itself when it is
 * plain or speaks for the fact as a whole, otherwise its leaves.
 */
export function forEachSource(
  material: Material,
  fact: FactName,
  materials: MaterialsBySlug,
  visit: (source: Material, fraction: number) => void,
): void {
  if (material.parts === undefined || speaksItself(material, fact)) {
    visit(material, 1);
    return;
  }
  for (const leaf of leavesOf(material, materials)) visit(leaf.material, leaf.fraction);
}
