import { shownMaterial } from "@tensidrum/core/library";
import { materialFinder, type FoundMaterial } from "@tensidrum/core/search";

/** A material told by what someone wrote. */
export interface KnownMaterial {
  readonly id: string;
  readonly slug: string;
  readonly name: string;
  /** The spelling was only near. */
  readonly isGuess: boolean;
}

/** Finds a material by slug or name; null where nothing is even near. */
export type KnownMaterials = (text: string) => KnownMaterial | null;

/** Finds a material by slug or name, and guesses one by a spelling that is near. */
export function knownMaterials(materials: readonly FoundMaterial[]): KnownMaterials {
  const exact = new Map<string, FoundMaterial>();
  for (const material of materials) {
    for (const name of [material.facts.slug, material.facts.name, shownMaterial(material.facts).name])
      exact.set(name.toLowerCase(), material);
  }
  let find: ReturnType<typeof materialFinder> | undefined;
  const guessed = new Map<string, FoundMaterial | undefined>();
  return (text) => {
    const key = text.trim().toLowerCase();
    if (key === "") return null;
    const same = exact.get(key);
    if (same === undefined && !guessed.has(key)) {
      find ??= materialFinder(materials, 1);
      guessed.set(key, find(text)[0]);
    }
    const found = same ?? guessed.get(key);
    if (found === undefined) return null;
    return { id: found.id, slug: found.facts.slug, name: shownMaterial(found.facts).name, isGuess: same === undefined };
  };
}
