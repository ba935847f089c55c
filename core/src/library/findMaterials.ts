import Fuse from "fuse.js";
import type { Material } from "./material.ts";

export interface FoundMaterial {
  readonly id: string;
  readonly facts: Material;
}

const MOST_MATCHES = 12;

/** Searches names, INCI names and roles, tolerant of spelling; the best match first. */
export function findMaterials(all: readonly FoundMaterial[], text: string): readonly FoundMaterial[] {
  return materialFinder(all)(text);
}

/** The same search, prepared once for many texts. */
export function materialFinder(all: readonly FoundMaterial[], most = MOST_MATCHES): (text: string) => readonly FoundMaterial[] {
  const fuse = new Fuse(all, {
    keys: [
      { name: "name", weight: 3, getFn: ({ facts }) => facts.name },
      {
        name: "inci",
        weight: 2,
        getFn: ({ facts }) => (facts.inci ?? []).filter((entry) => entry.name !== "Aqua").map((entry) => entry.name),
      },
      { name: "role", weight: 1, getFn: ({ facts }) => facts.role.replaceAll("-", " ") },
      { name: "slug", weight: 1, getFn: ({ facts }) => facts.slug.replaceAll("-", " ") },
    ],
    threshold: 0.34,
    ignoreLocation: true,
    minMatchCharLength: 2,
    // Words are looked for one by one, in any order; all must be there.
    useExtendedSearch: true,
  });
  return (text) => {
    const words = plainWords(text);
    return words === "" ? [] : fuse.search(words, { limit: most }).map((match) => match.item);
  };
}

/** The words typed, without the signs that mean something to the search. */
function plainWords(text: string): string {
  return text.replace(/[|=!^'"$]/g, " ").trim();
}
