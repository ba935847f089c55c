import Fuse, { type IFuseOptions } from "fuse.js";
import type { Material } from "./material.ts";
import { SHORT_LIST, narrowSearch } from "./narrowSearch.ts";

export interface FoundMaterial {
  readonly id: string;
  readonly facts: Material;
}

const MOST_MATCHES = 12;
/** More than any name has: each word is compared with every text, letter by letter. */
const MOST_WORDS = 8;
const LONGEST_WORD = 20;

const ranking: IFuseOptions<FoundMaterial> = {
  keys: [
    { name: "name", weight: 3, getFn: ({ facts }) => facts.name },
    { name: "inci", weight: 2, getFn: ({ facts }) => [...inciNames(facts)] },
    { name: "role", weight: 1, getFn: ({ facts }) => facts.role.replaceAll("-", " ") },
    { name: "slug", weight: 1, getFn: ({ facts }) => facts.slug.replaceAll("-", " ") },
  ],
  threshold: 0.34,
  ignoreLocation: true,
  minMatchCharLength: 2,
  // Words are looked for one by one, in any order; all must be there.
  useExtendedSearch: true,
};

function inciNames(facts: Material): readonly string[] {
  return (facts.inci ?? []).filter((entry) => entry.name !== "Aqua").map((entry) => entry.name);
}

/** Searches names, INCI names and roles, tolerant of spelling; the best match first. */
export function findMaterials(all: readonly FoundMaterial[], text: string): readonly FoundMaterial[] {
  return materialFinder(all)(text);
}

/** The same search, prepared once for many texts. A long list is narrowed to its likeliest part before it is ranked. */
export function materialFinder(all: readonly FoundMaterial[], most = MOST_MATCHES): (text: string) => readonly FoundMaterial[] {
  const candidates = all.length <= SHORT_LIST ? wholeList(all) : narrowedList(all);
  return (text) => {
    const words = plainWords(text);
    return words === ""
      ? []
      : candidates(words)
          .search(words, { limit: most })
          .map((match) => match.item);
  };
}

function wholeList(all: readonly FoundMaterial[]) {
  const fuse = new Fuse(all, ranking);
  return () => fuse;
}

function narrowedList(all: readonly FoundMaterial[]) {
  const texts = all.map(({ facts }) => [facts.name, ...inciNames(facts), facts.role, facts.slug].join(" ").replaceAll("-", " "));
  const narrow = narrowSearch(texts);
  return (words: string) => {
    const places = narrow(words.toLowerCase().replaceAll("-", " ").split(/\s+/).filter(Boolean));
    return new Fuse(
      places.flatMap((place) => all[place] ?? []),
      ranking,
    );
  };
}

/** The words typed, without the signs that mean something to the search. */
function plainWords(text: string): string {
  return text
    .replace(/[|=!^'"$]/g, " ")
    .split(/\s+/)
    .filter((word) => word !== "")
    .slice(0, MOST_WORDS)
    .map((word) => word.toLowerCase().slice(0, LONGEST_WORD))
    .join(" ");
}
