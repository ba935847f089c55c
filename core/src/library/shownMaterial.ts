import type { Material, MaterialsBySlug } from "./material.ts";
import { isNotChosen } from "./notChosen.ts";
import { remembered } from "./remembered.ts";

/** Parts a name at its first comma outside brackets. */
const NAME_AND_DETAIL = /^((?:\([^)]*\)|[^,(])+), (.+)$/;

/** Name and detail of a material: "Cocamidopropyl betaine" and "about 30 % active". */
export const shownMaterial: (material: Material) => { readonly name: string; readonly detail: string } = remembered(
  (material: Material) => {
    if (isNotChosen(material)) return { name: material.name, detail: "" };
    const [whole, name, detail] = NAME_AND_DETAIL.exec(material.name) ?? [];
    if (whole === undefined || name === undefined || detail === undefined) return { name: material.name, detail: "" };
    return { name, detail };
  },
);

/** The INCI names a label would carry, without the water they come in. */
export function shownInci(material: Material): string {
  const names = (material.inci ?? []).map((entry) => entry.name);
  const telling = names.filter((name) => name !== "Aqua");
  return (telling.length > 0 ? telling : names).slice(0, 3).join(", ");
}

const roleWords: Partial<Record<Material["role"], string>> = {
  "ph-adjuster": "sets pH",
  "fatty-solid": "solid fat",
  superfat: "superfatting",
  fragrance: "scent",
  water: "water",
};

/** The role of a material in words. */
export function roleOf(material: Material): string {
  return roleWords[material.role] ?? material.role;
}

/** Name of a material known by its slug alone; the slug itself where the library has no such material. */
export function nameOfSlug(slug: string, materials: MaterialsBySlug): string {
  const found = materials.get(slug);
  return found === undefined ? slug : shownMaterial(found).name;
}
