import { forEachSource } from "../formula/leaves.ts";
import type { ResolvedSheet } from "../formula/types.ts";
import type { Material } from "../library/material.ts";

/** Less of it hardly feeds anyone, % w/w; gums are slow food. */
const LITTLE_GUM_PERCENT = 1;
const LITTLE_FOOD_PERCENT = 0.5;

export interface MicrobeNutrients {
  /** Gums and everything else microbes eat, % w/w. */
  readonly percent: number;
  /** Whether the preservative has more to do for it. */
  readonly counts: boolean;
  /** Ids of the lines that bring it. */
  readonly lines: readonly string[];
}

/** What microbes like to eat: honey, juices, infusions, clay, milk, from 0.5 % on; gums from 1 % on. */
export function microbeNutrients({ lines, materials }: ResolvedSheet): MicrobeNutrients {
  let gums = 0;
  let food = 0;
  const bring = new Set<string>();
  for (const { line, material, percent } of lines) {
    if (percent === 0) continue;
    forEachSource(material, "flags", materials, (source, fraction) => {
      if (!source.flags.includes("microbe-food")) return;
      bring.add(line.id);
      if (isGum(source)) gums += percent * fraction;
      else food += percent * fraction;
    });
  }
  return { percent: gums + food, counts: food >= LITTLE_FOOD_PERCENT || gums >= LITTLE_GUM_PERCENT, lines: [...bring] };
}

/** Thickeners, suspenders, and polymers for hair that swell like them. */
function isGum({ role, flags }: Material): boolean {
  return role === "thickener" || role === "suspender" || (role === "conditioner" && flags.includes("hydrates-slowly"));
}
