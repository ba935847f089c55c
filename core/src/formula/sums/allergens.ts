import { forEachSource } from "../leaves.ts";
import type { Profile } from "../profiles.ts";
import type { ResolvedSheet } from "../types.ts";
import { usualMarket, type Market } from "../../library/markets.ts";

export interface Allergen {
  readonly name: string;
  /** % w/w of the formula. */
  readonly percent: number;
}

/** Scent allergens of the formula summed over everything that brings them, the most first. */
export function allergenAmounts({ lines, materials }: ResolvedSheet): readonly Allergen[] {
  const sums = new Map<string, number>();
  for (const { material, percent } of lines) {
    forEachSource(material, "allergens", materials, (source, fraction) => {
      for (const allergen of source.allergens) {
        sums.set(allergen.name, (sums.get(allergen.name) ?? 0) + (percent * fraction * allergen.percent) / 100);
      }
    });
  }
  return [...sums]
    .filter(([, percent]) => percent > 0)
    .map(([name, percent]) => ({ name, percent }))
    .sort((a, b) => b.percent - a.percent || (a.name < b.name ? -1 : 1));
}

/** Above this an allergen of the profile's product is named where it is sold, % w/w. */
export function allergenThresholdPercent(profile: Profile, market: Market = usualMarket): number {
  return profile.leftOn === true ? market.leftOnPercent : market.rinsedPercent;
}
