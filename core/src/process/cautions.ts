import type { ResolvedLine } from "../formula/types.ts";

const WORDS: readonly (readonly [flag: string, words: string])[] = [
  ["dusty-respirator", "Wear a well-fitting dust mask: the powder flies."],
  ["corrosive", "Gloves and goggles: it burns. Add it to the water, never the water to it."],
];

/** What to beware of while these lines are weighed, and what the step itself says; null where there is nothing. */
export function cautionOf(lines: readonly ResolvedLine[], own: string | undefined): string | null {
  const flags = new Set(lines.flatMap(({ material }) => material.flags));
  const said = [...WORDS.filter(([flag]) => flags.has(flag)).map(([, words]) => words), ...(own === undefined ? [] : [own])];
  return said.length === 0 ? null : said.join(" ");
}
