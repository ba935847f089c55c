import { forEachSource } from "../leaves.ts";
import type { Profile } from "../profiles.ts";
import type { ResolvedSheet } from "../types.ts";
import { usualMarket, type Market } from "../../library/markets.ts";

export interface Allergen {
  readonly name: string;
  /** % w/w of the formula. */
  readonly percent: number;
}

/**
 * Oils that are named as a whole since the longer list of 2023 (Commission Regulation (EU) 2023/1545), by the INCI names
 * materials go by.
 */
const LISTED_OILS: ReadonlySet<string> = new Set([
  "Cananga Odorata Flower Oil",
  "Cedrus Atlantica Wood Oil",
  "Cinnamomum Zeylanicum Leaf Oil",
  "Citrus Aurantium Bergamia Peel Oil",
  "Citrus Aurantium Dulcis Peel Oil",
  "Citrus Limon Peel Oil",
  "Cymbopogon Flexuosus Oil",
  "Eucalyptus Globulus Leaf Oil",
  "Eugenia Caryophyllus Bud Oil",
  "Lavandula Angustifolia Oil",
  "Mentha Piperita Oil",
  "Mentha Viridis Leaf Oil",
  "Pelargonium Graveolens Flower Oil",
  "Pogostemon Cablin Leaf Oil",
]);

/** Scent allergens of the formula summed over everything that brings them, the most first. */
export function allergenAmounts({ lines, materials }: ResolvedSheet): readonly Allergen[] {
  const sums = new Map<string, number>();
  for (const { material, percent } of lines) {
    forEachSource(material, "allergens", materials, (source, fraction) => {
      if (source.parts === undefined && source.role === "fragrance") {
        for (const { name, percent: share } of source.inci) {
          if (LISTED_OILS.has(name)) sums.set(name, (sums.get(name) ?? 0) + (percent * fraction * share) / 100);
        }
      }
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
