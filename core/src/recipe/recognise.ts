import type { Material } from "../library/material.ts";
import { nameSearch, type NameHit } from "../library/nameSearch.ts";
import { plainName } from "../library/plainName.ts";

/** How sure a reading is. A word that means several, and a guess, are offered and never taken by themselves. */
export type Sureness = "sure" | "likely" | "several" | "guess" | "unknown";

export interface Recognised {
  /** Slug; null where it is a guess, or nothing comes near. */
  readonly material: string | null;
  readonly sureness: Sureness;
  /** Slugs of what it could be where it is a guess, the likeliest first. */
  readonly offers: readonly string[];
}

export type Recogniser = (name: string) => Recognised;

/** A recipe repeats its names; so many are not looked up twice. */
const MOST_REMEMBERED = 1_000;
const MOST_OFFERS = 4;
/** Longer ones are sentences, no names; comparing them with every material takes too long. */
const LONGEST_NAME = 60;
const SHORTEST_NAME = 3;

const nothing: Recognised = { material: null, sureness: "unknown", offers: [] };

/** Learns the names of all materials once; the answer recognises a name as typed. */
export function recogniserOf(materials: readonly Material[]): Recogniser {
  const { find, same } = nameSearch(materials);
  const slugOf = (place: number): string => materials[place]?.slug ?? "";
  const recognise = (name: string): Recognised => {
    const exactly = same(name);
    if (exactly.length > 0) return named(exactly.map(slugOf), "sure");
    if (name.length > LONGEST_NAME || name.length < SHORTEST_NAME) return nothing;
    const hits = find(name);
    const fits = hits.filter(({ fit }) => fit === "same");
    if (fits.length > 0)
      return named(
        fits.map(({ place }) => slugOf(place)),
        "likely",
      );
    const [first, second] = hits;
    if (first === undefined) return nothing;
    const isAlone = isWhole(first) && (second === undefined || !isWhole(second));
    return isAlone
      ? named([slugOf(first.place)], "likely")
      : offered(
          hits.map(({ place }) => slugOf(place)),
          "guess",
        );
  };
  const read = new Map<string, Recognised>();
  return (name) => {
    const plain = plainName(name);
    const before = read.get(plain);
    if (before !== undefined) return before;
    const recognised = recognise(plain);
    if (read.size < MOST_REMEMBERED) read.set(plain, recognised);
    return recognised;
  };
}

const isWhole = ({ fit, unfinished }: NameHit): boolean => fit === "words" && unfinished === 0;

function named(slugs: readonly string[], sureness: "sure" | "likely"): Recognised {
  const [only = null] = slugs;
  return slugs.length === 1 ? { material: only, sureness, offers: [] } : offered(slugs, "several");
}

function offered(slugs: readonly string[], sureness: "several" | "guess"): Recognised {
  return { material: null, sureness, offers: slugs.slice(0, MOST_OFFERS) };
}
