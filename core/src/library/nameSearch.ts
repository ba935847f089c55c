import MiniSearch from "minisearch";
import { lettersWrong } from "./lettersWrong.ts";
import type { Material } from "./material.ts";
import { isNotChosen } from "./notChosen.ts";
import { nicknames, severalMeanings } from "./nicknames.ts";
import { plainName } from "./plainName.ts";
import { remembered } from "./remembered.ts";
import { roleOf, shownMaterial } from "./shownMaterial.ts";

/** How well a name fits what was typed: it is the name itself, all its words stand in it, or only letters are near. */
export type Fit = "same" | "words" | "near";

export interface NameHit {
  /** In the list that is searched, from 0. */
  readonly place: number;
  readonly fit: Fit;
  /** Words typed that are only the start of a word of the name, or only near it. */
  readonly unfinished: number;
}

/** More than any name has. */
const MOST_WORDS = 10;
const LONGEST_WORD = 24;
/** One letter starts too many words. */
const SHORTEST_START = 2;

/** Words that tell nothing of what it is; they are looked for first and left out when nothing has them. */
const TELLS_NOTHING = new Set(
  `a an and the of some in with for my your pure organic raw fresh natural refined unrefined virgin extra cold pressed cosmetic grade quality
   essential eo optional fine ground liquid hot warm favourite choice vegetable approx about drops`.split(/\s+/u),
);

interface Document {
  readonly id: number;
  readonly name: string;
  readonly called: string;
  readonly detail: string;
  readonly inci: string;
  readonly role: string;
  readonly slug: string;
}

const NAME_FIELDS = ["name", "called", "detail", "inci", "slug"];

export interface NameSearch {
  /** Best first; nothing where no name has all the words, not even by near letters. */
  readonly find: (text: string, withRoles?: boolean) => readonly NameHit[];
  /** Places of the materials whose name, INCI name or nickname it is; several where it means several. */
  readonly same: (text: string) => readonly number[];
}

/** Learns the names of all materials once: library names, INCI names and what people call them. */
export function nameSearch(materials: readonly Material[]): NameSearch {
  const placeOf = new Map(materials.map(({ slug }, place) => [slug, place]));
  const nicksOf = (slug: string): readonly string[] => nicknames[slug] ?? [];
  const exact = new Map<string, number[]>();
  const learn = (name: string, place: number): void => {
    const plain = plainName(name);
    const places = exact.get(plain);
    if (plain === "") return;
    if (places === undefined) exact.set(plain, [place]);
    else if (!places.includes(place)) places.push(place);
  };
  const meant = new Map<string, readonly number[]>();
  materials.forEach((material, place) => {
    if (isNotChosen(material)) return;
    for (const name of namesOf(material)) learn(name, place);
    for (const nick of nicksOf(material.slug)) meant.set(plainName(nick), [place]);
  });
  for (const [word, slugs] of Object.entries(severalMeanings)) {
    const places = slugs.flatMap((slug) => placeOf.get(slug) ?? []);
    if (places.length > 0) meant.set(plainName(word), places);
  }
  const index = indexOf(materials, nicksOf);
  const same = (text: string): readonly number[] => {
    const plain = plainName(text);
    return meant.get(plain) ?? exact.get(plain) ?? [];
  };
  const withAll = (words: readonly string[], fields: readonly string[], isNear: boolean): readonly NameHit[] =>
    index
      .search(words.join(" "), {
        fields: [...fields],
        combineWith: "AND",
        prefix: (word) => word.length >= SHORTEST_START,
        fuzzy: isNear ? lettersWrong : false,
        weights: { prefix: 0.6, fuzzy: 0.3 },
        boost: { name: 4, called: 4, detail: 2, inci: 1.5 },
      })
      .map(({ id, terms, score }) => {
        const place = id as number;
        return { place, unfinished: unfinishedOf(words, terms), farness: isNear ? farness(words, place) : 0, score };
      })
      .toSorted((a, b) => a.unfinished - b.unfinished || a.farness - b.farness || b.score - a.score || a.place - b.place)
      .map(({ place, unfinished }) => ({ place, unfinished, fit: isNear ? "near" : "words" }));
  const calledOf = remembered((material: Material) => [...namesOf(material), ...nicksOf(material.slug)].map(plainName));
  /** By how many letters the likeliest of its names is longer or shorter than what was typed. */
  const farness = (words: readonly string[], place: number): number => {
    const material = materials[place];
    const typed = words.join(" ").length;
    return material === undefined ? typed : Math.min(...calledOf(material).map((name) => Math.abs(name.length - typed)));
  };
  const find: NameSearch["find"] = (text, withRoles = false) => {
    const asTyped = wordsOf(text);
    if (asTyped.length === 0) return [];
    const apart = wordsOf(text.replace(/(\p{L})(?=\d)/gu, "$1 "));
    const words = apart.length > asTyped.length && index.search(asTyped.join(" "), { combineWith: "AND" }).length === 0 ? apart : asTyped;
    const fields = withRoles ? [...NAME_FIELDS, "role"] : NAME_FIELDS;
    const telling = words.filter((word) => !TELLS_NOTHING.has(word));
    const first = [...same(text), ...same(words.join(" ")), ...(telling.length > 0 ? same(telling.join(" ")) : [])];
    const tries = [words, ...(telling.length > 0 && telling.length < words.length ? [telling] : [])];
    let found = tries.map((each) => withAll(each, fields, false)).find((hits) => hits.length > 0) ?? [];
    if (found.length === 0 && first.length === 0) {
      found = tries.map((each) => withAll(each, fields, true)).find((hits) => hits.length > 0) ?? [];
    }
    const named = [...new Set(first)].map((place): NameHit => ({ place, fit: "same", unfinished: 0 }));
    return [...named, ...found.filter(({ place }) => !first.includes(place))];
  };
  return { find, same };
}

function indexOf(materials: readonly Material[], nicksOf: (slug: string) => readonly string[]): MiniSearch<Document> {
  const index = new MiniSearch<Document>({
    fields: [...NAME_FIELDS, "role"],
    tokenize: (text) => plainName(text).split(" "),
    processTerm: (term) => (term === "" ? null : term.slice(0, LONGEST_WORD)),
  });
  index.addAll(
    materials.flatMap((material, id) => {
      if (isNotChosen(material)) return [];
      const { name, detail } = shownMaterial(material);
      return {
        ...{ id, name, detail },
        called: nicksOf(material.slug).join(" "),
        inci: (material.inci ?? []).flatMap((entry) => (entry.name === "Aqua" ? [] : [entry.name, entry.common ?? ""])).join(" "),
        role: `${material.role} ${roleOf(material)} ${material.charge ?? ""}`,
        slug: material.slug,
      };
    }),
  );
  return index;
}

function namesOf(material: Material): readonly string[] {
  const telling = (material.inci ?? []).filter((entry) => entry.name !== "Aqua");
  const main = telling.length === 1 ? telling[0] : undefined;
  const inciNames = main === undefined ? [] : [main.name, ...(main.common === undefined ? [] : [main.common])];
  return [material.name, shownMaterial(material).name, material.slug, ...inciNames];
}

function wordsOf(text: string): readonly string[] {
  return plainName(text)
    .split(" ")
    .filter((word) => word !== "")
    .slice(0, MOST_WORDS)
    .map((word) => word.slice(0, LONGEST_WORD));
}

function unfinishedOf(words: readonly string[], found: readonly string[]): number {
  return words.filter((word) => !found.includes(word)).length;
}
