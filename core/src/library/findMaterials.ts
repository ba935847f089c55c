import type { Material } from "./material.ts";
import { nameSearch } from "./nameSearch.ts";

export interface FoundMaterial {
  readonly id: string;
  readonly facts: Material;
}

const MOST_MATCHES = 12;

/** Searches names, INCI names, nicknames and roles: whole words before starts of words before near letters; the best match first. */
export function findMaterials(all: readonly FoundMaterial[], text: string): readonly FoundMaterial[] {
  return materialFinder(all)(text);
}

/** The same search, prepared once for many texts. */
export function materialFinder(all: readonly FoundMaterial[], most = MOST_MATCHES): (text: string) => readonly FoundMaterial[] {
  const { find } = nameSearch(all.map(({ facts }) => facts));
  return (text) =>
    find(text, true)
      .slice(0, most)
      .flatMap(({ place }) => all[place] ?? []);
}
