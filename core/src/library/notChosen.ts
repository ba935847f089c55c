import { wholeMaterial } from "./briefMaterial.ts";
import type { Material } from "./material.ts";
import { remembered } from "./remembered.ts";

/** The flag of what stands on a line until a material is chosen. */
const NOT_CHOSEN_FLAG = "not-chosen";

/**
 * Stands on a line whose material is yet to be chosen: its mass counts in the whole, and nothing else is known of it.
 * Nobody can search for it.
 */
export const notChosen: Material = wholeMaterial({
  slug: "not-chosen",
  name: "Material not chosen yet",
  role: "base",
  inci: [{ name: "Not chosen yet", percent: 100 }],
  flags: [NOT_CHOSEN_FLAG],
  handling: "Choose the material this line stands for, or delete the line.",
});

/** Whether a line with this material still waits for its own. */
export function isNotChosen({ flags }: Pick<Material, "flags">): boolean {
  return flags.includes(NOT_CHOSEN_FLAG);
}

const named = remembered((material: Material) => new Map<string, Material>([["", material]]));
/** A maker's open lines are few; more different texts are named anew each time. */
const MOST_NAMED = 200;

/** The material a line shows: one that is not chosen goes by what the recipe says. */
export function namedAsWritten(material: Material, asWritten: string | undefined): Material {
  if (asWritten === undefined || !isNotChosen(material)) return material;
  const known = named(material);
  const before = known.get(asWritten);
  if (before !== undefined) return before;
  const called = { ...material, name: `“${asWritten}”` };
  if (known.size < MOST_NAMED) known.set(asWritten, called);
  return called;
}
