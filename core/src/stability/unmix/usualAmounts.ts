import type { Material, MaterialsBySlug, Span } from "../../library/material.ts";
import { leavesOf } from "../../formula/leaves.ts";
import { nearestName } from "../../library/nearestName.ts";
import { plainName } from "../../library/plainName.ts";

/** Usual amount of an ingredient in a wash, % w/w, and the name it was recognised by. */
export interface UsualAmount extends Span {
  readonly name: string;
}

/** The name of what dries away. */
export const isWaterName = (name: string): boolean => ["aqua", "water", "eau", "aqua water", "water aqua"].includes(plainName(name));

/** Shorter names are taken only when they are the same. */
const SHORTEST_FUZZY = 5;

/**
 * Learns what each INCI name usually amounts to: from the least that one material's usual dose brings of it to what all
 * materials that bring it could at their highest dose. Names without such a dose stay unknown. The answer recognises a
 * name as printed, tolerant of its spelling.
 */
export function usualAmounts(library: MaterialsBySlug): (printed: string) => UsualAmount | null {
  const amounts = new Map<string, { name: string; low: number; high: number }>();
  const alias = new Map<string, string>();
  for (const material of library.values()) {
    for (const { name, common, percent } of partsOf(material, library)) {
      const plain = plainName(name);
      if (common !== undefined && !alias.has(plainName(common))) alias.set(plainName(common), plain);
      // Without a usual dose anything is possible.
      const { low, high } = material.use ?? { low: 0, high: 100 };
      const known = amounts.get(plain);
      const least = (low * percent) / 100;
      const most = (high * percent) / 100;
      amounts.set(plain, { name, low: Math.min(known?.low ?? Infinity, least), high: Math.min(100, (known?.high ?? 0) + most) });
    }
  }
  const near = nearestName([...amounts.keys(), ...alias.keys()]);
  const answers = new Map<string, UsualAmount | null>();
  const recognise = (plain: string): UsualAmount | null => {
    const same = amounts.get(plain) ?? amounts.get(alias.get(plain) ?? "");
    if (same !== undefined) return same;
    if (plain.length < SHORTEST_FUZZY) return null;
    const nearest = near(plain);
    return nearest === null ? null : (amounts.get(nearest) ?? amounts.get(alias.get(nearest) ?? "") ?? null);
  };
  return (printed) => {
    const plain = plainName(printed);
    let answer = answers.get(plain);
    if (answer === undefined) answers.set(plain, (answer = recognise(plain)));
    return answer;
  };
}

/** The INCI names a material consists of, % of it; of a blend by its leaves. */
export function partsOf(material: Material, library: MaterialsBySlug): readonly { name: string; common?: string; percent: number }[] {
  if (material.parts === undefined) return material.inci;
  const sums = new Map<string, number>();
  for (const { material: leaf, fraction } of leavesOf(material, library)) {
    for (const { name, percent } of leaf.inci) sums.set(name, (sums.get(name) ?? 0) + fraction * percent);
  }
  return [...sums].map(([name, percent]) => ({ name, percent }));
}
