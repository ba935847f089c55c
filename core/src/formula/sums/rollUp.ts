import { leavesOf } from "../leaves.ts";
import type { ResolvedSheet } from "../types.ts";

/** One INCI name with its share of the formula, % w/w. */
export interface CompositionEntry {
  readonly inci: string;
  readonly percent: number;
}

/**
 * The composition as a list: the most first, equal amounts by name.
 */
export function compositionOf(byInci: ReadonlyMap<string, number>): readonly CompositionEntry[] {
  return [...byInci]
    .filter(([, percent]) => percent > 0)
    .map(([inci, percent]) => ({ inci, percent }))
    .sort((a, b) => b.percent - a.percent || (a.inci < b.inci ? -1 : 1));
}

/**
 * What the formula consists of, % w/w by INCI name, nested materials opened to any depth. Adds up to the sheet's total as
 * far as the materials' own compositions do.
 */
export function percentByInci({ lines, materials }: ResolvedSheet): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const { material, percent } of lines) {
    for (const leaf of leavesOf(material, materials)) {
      const share = (percent * leaf.fraction) / 100;
      for (const entry of leaf.material.inci) sums.set(entry.name, (sums.get(entry.name) ?? 0) + share * entry.percent);
    }
  }
  return sums;
}

/** Waters of flowers and fruits are water too, as far as drying power and growth go. */
const WATER_NAME = /^(Aqua|.+ Water)$/;

/** Water in the formula, % w/w, that of the raw materials included. */
export function waterPercent(composition: ReadonlyMap<string, number>): number {
  let water = 0;
  for (const [name, percent] of composition) if (WATER_NAME.test(name)) water += percent;
  return water;
}
