import { wholeMaterial } from "../library/briefMaterial.ts";
import type { Material, MaterialPart, NestedMaterial } from "../library/material.ts";
import { shownMaterial } from "../library/shownMaterial.ts";
import { writtenShort } from "../quantities/written.ts";

/** Slug of the water a stock solution is made with. */
export const STOCK_WATER = "water-distilled";

/** What of a material is solute, %: an acid's or base's own content, else all of it. */
export function soluteContentPercent(material: Material): number {
  return material.acidBase?.percentOfMaterial ?? 100;
}

/**
 * A stock solution as a material: the solute as bought and water, so that on a sheet its water counts as water. 25 % of a
 * 99.5 % powder are parts of 25.13 and 74.87 %. What is caustic stays so in its caution.
 */
export function stockMaterial(solute: Material, strengthPercent: number, slug: string): NestedMaterial {
  const share = (100 * strengthPercent) / soluteContentPercent(solute);
  return {
    ...wholeMaterial({
      slug,
      name: `${shownMaterial(solute).name} ${writtenShort(strengthPercent, 2)} % solution`,
      role: solute.role,
      parts: [
        { material: solute.slug, percent: share },
        { material: STOCK_WATER, percent: 100 - share },
      ],
    }),
    form: "liquid",
    solubleIn: ["water"],
    handling: "Stir or shake it before use. Weigh it like any other line; its water counts as water.",
    caution: solute.caution,
  } as NestedMaterial;
}

/**
 * How much of a solution stands for a material, % w/w of the formula: 0.3 % of an acid is 1.2 % of a solution that holds
 * 25 % of it. Null when the solution holds none of it.
 */
export function percentAsSolution(percent: number, parts: readonly MaterialPart[], solute: string): number | null {
  const share = parts.find(({ material }) => material === solute)?.percent ?? 0;
  return share > 0 ? (100 * percent) / share : null;
}
