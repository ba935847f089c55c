import type { Material } from "../../library/material.ts";
import { forEachSource } from "../leaves.ts";
import type { ResolvedSheet } from "../types.ts";

/** INCI names that are common salt. */
const SALT_NAMES = new Set(["Sodium Chloride", "Maris Sal"]);

/** INCI names of the other dissolved salts a raw material brings along. */
const ELECTROLYTE_NAMES = new Set([
  "Ammonium Sulfate",
  "Magnesium Chloride",
  "Magnesium Sulfate",
  "Potassium Carbonate",
  "Potassium Chloride",
  "Sodium Carbonate",
  "Sodium Glycolate",
  "Sodium Hydroxide",
  "Sodium Isethionate",
  "Sodium Lactate",
  "Sodium Methyl Isethionate",
  "Sodium Methyltaurate",
  "Sodium Sulfate",
  "Sodium Sulfoacetate",
]);

export interface SaltReading {
  /** Sodium chloride in the formula, hidden and added, % w/w. */
  readonly saltPercent: number;
  /** The part of it that was put in as salt, % w/w. */
  readonly addedSaltPercent: number;
  /** All other dissolved salts, % w/w. */
  readonly electrolytePercent: number;
}

/** Sodium chloride of one plain material as supplied, %; where nothing is stated, from its composition. */
export function saltOf(material: Material): number {
  return material.saltPercent ?? sumOfNames(material, SALT_NAMES);
}

/** Other dissolved salts of one plain material as supplied, %; where nothing is stated, from its composition. */
export function electrolyteOf(material: Material): number {
  return material.electrolytePercent ?? sumOfNames(material, ELECTROLYTE_NAMES);
}

function sumOfNames(material: Material, names: ReadonlySet<string>): number {
  let sum = 0;
  for (const entry of material.inci ?? []) if (names.has(entry.name)) sum += entry.percent;
  return sum;
}

/**
 * Salt in the formula: Σ percent × salt ⁄ 100, betaines and other cleansers included. 22 % of a betaine with 5.2 %
 * salt bring 1.144 %; with 1 % salt added it is 2.144 %.
 */
export function saltReading({ lines, materials }: ResolvedSheet): SaltReading {
  let saltPercent = 0;
  let addedSaltPercent = 0;
  let electrolytePercent = 0;
  for (const { material, percent } of lines) {
    if (material.parts === undefined) {
      const salt = (percent * saltOf(material)) / 100;
      saltPercent += salt;
      if (material.role === "salt") addedSaltPercent += salt;
      electrolytePercent += (percent * electrolyteOf(material)) / 100;
    } else {
      forEachSource(material, "saltPercent", materials, (source, fraction) => {
        saltPercent += (percent * fraction * saltOf(source)) / 100;
      });
      forEachSource(material, "electrolytePercent", materials, (source, fraction) => {
        electrolytePercent += (percent * fraction * electrolyteOf(source)) / 100;
      });
    }
  }
  return { saltPercent, addedSaltPercent, electrolytePercent };
}
