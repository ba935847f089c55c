import type { Material } from "../../library/material.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import { nameOfSlug } from "../../library/shownMaterial.ts";

/** Names of materials for a sentence. */
export interface Names {
  of(slug: string): string;
  /** All up to three, otherwise two and how many more. */
  list(slugs: readonly string[]): string;
  /** The material itself; undefined where the library has it no more. */
  material(slug: string): Material | undefined;
}

export function namesFrom(materials: MaterialsBySlug): Names {
  const of = (slug: string): string => nameOfSlug(slug, materials);
  return { of, list: (slugs) => listed([...new Set(slugs.map(of))]), material: (slug) => materials.get(slug) };
}

/** Words in a row: "a, b and c". */
export function joined(words: readonly string[], last = "and"): string {
  if (words.length <= 1) return words.join("");
  return `${words.slice(0, -1).join(", ")} ${last} ${words.at(-1)}`;
}

function listed(names: readonly string[]): string {
  return names.length <= 3 ? joined(names) : `${names.slice(0, 2).join(", ")} and ${names.length - 2} more`;
}

/** "is" or "are" for so many. */
export function isOrAre({ length }: readonly unknown[]): string {
  return length === 1 ? "is" : "are";
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
