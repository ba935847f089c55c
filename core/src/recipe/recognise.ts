import Fuse, { type IFuseOptions } from "fuse.js";
import { narrowSearch } from "../library/narrowSearch.ts";
import { shownMaterial } from "../library/shownMaterial.ts";
import type { Material } from "../library/material.ts";
import { plainName } from "../library/plainName.ts";
import { nicknames } from "./nicknames.ts";

/** How sure a reading is. */
export type Sureness = "sure" | "likely" | "guess" | "unknown";

export interface Recognised {
  /** Slug; null when nothing comes near. */
  readonly material: string | null;
  readonly sureness: Sureness;
}

export type Recogniser = (name: string) => Recognised;

/** So many names that share most letters with what was typed are compared with care. */
const CAREFULLY_COMPARED = 40;
/** A recipe repeats its names; so many are not looked up twice. */
const MOST_REMEMBERED = 1_000;

/** Words that tell nothing of what it is. */
const FILLERS = new Set([
  "of",
  "the",
  "a",
  "an",
  "some",
  "pure",
  "organic",
  "raw",
  "fresh",
  "vegetable",
  "cosmetic",
  "grade",
  "natural",
  "refined",
  "unrefined",
  "essential",
  "eo",
  "your",
  "choice",
  "optional",
  "fine",
  "ground",
  "liquid",
  "cold",
  "pressed",
  "virgin",
  "extra",
  "my",
  "favourite",
  "hot",
  "warm",
]);

/** Fuse.js scores: 0 is a perfect match. */
const LIKELY_SCORE = 0.12;
const GUESS_SCORE = 0.3;
const SHORT_SCORE = 0.25;
const SHORTEST_FUZZY = 4;
/** Longer ones are sentences, no names; comparing them letter by letter with every material takes too long. */
const LONGEST_FUZZY = 60;
/** Shorter names are taken only for what is nearly the same. */
const SHORTEST_GUESS = 6;

const comparing: IFuseOptions<Named> = {
  keys: ["name"],
  includeScore: true,
  ignoreLocation: true,
  threshold: GUESS_SCORE,
  minMatchCharLength: 2,
};

interface Named {
  readonly name: string;
  readonly slug: string;
}

/** The known names nearest to a typed one by their letters, the nearest first. */
type Likeliest = (telling: string) => readonly Named[];

/** Learns the names of all materials once; the answer recognises a name as typed. */
export function recogniserOf(materials: readonly Material[]): Recogniser {
  const exact = new Map<string, Set<string>>();
  const known: Named[] = [];
  const learn = (name: string, slug: string): void => {
    const plain = plainName(name);
    if (plain === "") return;
    const slugs = exact.get(plain);
    if (slugs === undefined) exact.set(plain, new Set([slug]));
    else slugs.add(slug);
    known.push({ name: plain, slug });
  };
  for (const material of materials) for (const name of namesOf(material)) learn(name, material.slug);
  const calledSo = new Map<string, string>();
  const slugs = new Set(materials.map(({ slug }) => slug));
  for (const [slug, names] of Object.entries(nicknames)) {
    if (!slugs.has(slug)) continue;
    for (const name of names) {
      calledSo.set(plainName(name), slug);
      known.push({ name: plainName(name), slug });
    }
  }
  const narrow = narrowSearch(known.map(({ name }) => name));
  const likeliest: Likeliest = (telling) =>
    narrow([telling])
      .slice(0, CAREFULLY_COMPARED)
      .flatMap((place) => known[place] ?? []);
  const exactly = (plain: string): Recognised | null => {
    const nick = calledSo.get(plain);
    if (nick !== undefined) return { material: nick, sureness: "sure" };
    const found = exact.get(plain);
    if (found === undefined) return null;
    const [first = null] = found;
    return { material: first, sureness: found.size === 1 ? "sure" : "likely" };
  };
  const read = new Map<string, Recognised>();
  return (name) => {
    const plain = plainName(name);
    const before = read.get(plain);
    if (before !== undefined) return before;
    const recognised = recognise(plain, exactly, likeliest);
    if (read.size < MOST_REMEMBERED) read.set(plain, recognised);
    return recognised;
  };
}

function namesOf(material: Material): readonly string[] {
  const telling = (material.inci ?? []).filter((entry) => entry.name !== "Aqua");
  const main = telling.length === 1 ? telling[0] : undefined;
  const inciNames = main === undefined ? [] : [main.name, ...(main.common === undefined ? [] : [main.common])];
  return [material.name, shownMaterial(material).name, material.slug, ...inciNames];
}

function recognise(plain: string, exactly: (plain: string) => Recognised | null, likeliest: Likeliest): Recognised {
  if (plain === "") return { material: null, sureness: "unknown" };
  const asTyped = exactly(plain);
  if (asTyped !== null) return asTyped;
  const telling = plain
    .split(" ")
    .filter((word) => !FILLERS.has(word))
    .join(" ");
  const withoutFillers = telling === plain ? null : exactly(telling);
  if (withoutFillers !== null) return { ...withoutFillers, sureness: withoutFillers.sureness === "sure" ? "likely" : "guess" };
  if (telling.length < SHORTEST_FUZZY || telling.length > LONGEST_FUZZY) return { material: null, sureness: "unknown" };
  return nearest(telling, likeliest(telling));
}

function nearest(telling: string, candidates: readonly Named[]): Recognised {
  const [best] = new Fuse(candidates, comparing)
    .search(telling, { limit: 8 })
    .sort((a, b) => distance(a.item.name, telling, a.score) - distance(b.item.name, telling, b.score));
  if (best?.score === undefined) return { material: null, sureness: "unknown" };
  const off = distance(best.item.name, telling, best.score);
  if (off > (telling.length < SHORTEST_GUESS ? SHORT_SCORE : GUESS_SCORE)) return { material: null, sureness: "unknown" };
  return { material: best.item.slug, sureness: off <= LIKELY_SCORE ? "likely" : "guess" };
}

/** Fuse.js overlooks how much of the known name was not typed; here it counts. */
function distance(known: string, typed: string, score = 1): number {
  const longer = Math.max(known.length, typed.length);
  return score + (0.25 * Math.abs(known.length - typed.length)) / longer;
}
