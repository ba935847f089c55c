import { aimedProfile } from "../../formula/aim.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import type { Formula } from "../../formula/types.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import { usualMarket, type Market } from "../../library/markets.ts";
import { labelOf } from "../label.ts";
import { netWeightText } from "../labelDetails.ts";
import { labelCautions } from "../warnings.ts";
import type { LabelDesign, LabelTexts } from "./labelDesign.ts";

export interface LabelledBatch {
  /** As it was made. */
  readonly formula: Formula;
  readonly library: MaterialsBySlug;
  readonly code: string;
  /** In one container, g. */
  readonly netGrams: number;
  /** As it is to be written. */
  readonly bestBefore: string;
  readonly market?: Market;
}

/** What each field of a label says of a batch. Where it is made and whom to ask is for the maker to write. */
export function labelTexts(
  { formula, library, code, netGrams, bestBefore, market = usualMarket }: LabelledBatch,
  { naming }: Pick<LabelDesign, "naming">,
): LabelTexts {
  const profile = aimedProfile(formula);
  const { ingredients, mayContain } = labelOf(formula, naming, library, market);
  const names = ingredients.filter(({ name }) => !mayContain.includes(name)).map(({ name }) => name);
  const may = mayContain.length === 0 ? "" : ` May contain: ${mayContain.join(", ")}.`;
  return {
    name: formula.name,
    what: profile.name,
    directions: profile.leftOn === true ? "Spread a little on the skin." : "Lather with water, then rinse off well.",
    ingredients: `Ingredients: ${names.join(", ")}.${may}`,
    cautions: labelCautions(resolveLines(formula, library).sheet, profile).join(" "),
    net: netWeightText(netGrams),
    batch: `Batch ${code}`,
    "best-before": `Best before ${bestBefore}`,
    "made-in": "",
    contact: "",
  };
}
