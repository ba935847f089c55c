import type { Material } from "./material.ts";

/** Name and detail of a material: "Cocamidopropyl betaine" and "about 30 % active". */
export function shownMaterial(material: Material): { readonly name: string; readonly detail: string } {
  const comma = material.name.indexOf(", ");
  if (comma < 0) return { name: material.name, detail: "" };
  return { name: material.name.slice(0, comma), detail: material.name.slice(comma + 2) };
}

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
