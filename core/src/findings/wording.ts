import { shownMaterial } from "../library/shownMaterial.ts";
import type { Material, MaterialsBySlug } from "../library/material.ts";

/** Names of materials for a sentence: all up to three, otherwise two and how many more. */
export function namesOf(parts: readonly { readonly material: Material }[]): string {
  const names = [...new Set(parts.map(({ material }) => shownMaterial(material).name))];
  if (names.length <= 1) return names.join("");
  if (names.length <= 3) return `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
  return `${names.slice(0, 2).join(", ")} and ${names.length - 2} more`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

export function withArticle(name: string): string {
  return `${/^[aeiou]/.test(name) ? "an" : "a"} ${name}`;
}

/** "is" or "are" for so many. */
export function isOrAre(count: number): string {
  return count === 1 ? "is" : "are";
}

/** Name of a material known by its slug alone. */
export function nameOfSlug(slug: string, { materials }: { readonly materials: MaterialsBySlug }): string {
  const found = materials.get(slug);
  return found === undefined ? slug : shownMaterial(found).name;
}

/** Who claims a part of the pH corridor, named for a sentence: the aim's own claims, or a material by its name. */
export function claimantName(who: string, sheet: { readonly materials: MaterialsBySlug }): string {
  return who === "profile" || who === "school" || who === "eye area" ? `the ${who}` : nameOfSlug(who, sheet);
}
