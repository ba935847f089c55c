import type { Material } from "../library/material.ts";

/** How what is too small to weigh is dosed all the same. */
export type SmallDoseWay = "solution" | "scent" | "oil" | "colour";

/** By what it is: scents together or in drops, oils thinned with oil, colours by the drop of a solution, all else as a solution. */
export function smallDoseWay({ role, solubleIn }: Pick<Material, "role" | "solubleIn">): SmallDoseWay {
  if (role === "fragrance") return "scent";
  if (role === "colour") return "colour";
  return solubleIn.includes("oil") && !solubleIn.includes("water") ? "oil" : "solution";
}

/** Drops that mass comes to; null where the mass of a drop is not known. 0.15 g of 23 mg a drop are 6.5. */
export function dropsOf({ dropMilligrams }: Pick<Material, "dropMilligrams">, grams: number): number | null {
  return dropMilligrams === null || dropMilligrams <= 0 ? null : (grams * 1000) / dropMilligrams;
}
