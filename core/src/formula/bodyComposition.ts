import type { Role } from "../library/material.ts";
import type { ResolvedLine } from "./types.ts";
import type { WeighedLine } from "./weighSheet.ts";

/** What a formula holds beside its active matter, in kinds a maker would name. */
export type LayerKind = "rest" | "brought" | "care" | "oils" | "scent" | "keep" | "acid" | "salt" | "body" | "other";

export interface Layer {
  readonly kind: LayerKind;
  /** % w/w of the formula. */
  readonly percent: number;
}

const kindOfRole: Readonly<Record<Role, LayerKind>> = {
  water: "rest",
  surfactant: "brought",
  base: "brought",
  solubiliser: "oils",
  superfat: "oils",
  emollient: "oils",
  emulsifier: "oils",
  "fatty-solid": "oils",
  conditioner: "care",
  humectant: "care",
  protein: "care",
  active: "care",
  botanical: "care",
  thickener: "body",
  suspender: "body",
  powder: "body",
  exfoliant: "body",
  preservative: "keep",
  chelator: "keep",
  antioxidant: "keep",
  "ph-adjuster": "acid",
  salt: "salt",
  fragrance: "scent",
  colour: "other",
};

/** Bottom to top in the bottle. */
const fromTheBottom: readonly LayerKind[] = ["rest", "brought", "salt", "acid", "body", "other", "keep", "scent", "oils", "care"];

/**
 * The formula without its active matter, by kind and from the bottom up, % w/w. Together with the active matter it
 * comes to the sheet's total. What the cleansers' bottles hold beside the cleanser, mostly water, is "brought".
 */
export function bodyComposition(lines: readonly ResolvedLine[], assessed: readonly WeighedLine[]): readonly Layer[] {
  const sums = new Map<LayerKind, number>();
  lines.forEach(({ material, line, percent }, index) => {
    const kind = line.qs === true ? "rest" : kindOfRole[material.role];
    const other = percent - (assessed[index]?.activePercent ?? 0);
    sums.set(kind, (sums.get(kind) ?? 0) + other);
  });
  return fromTheBottom.flatMap((kind) => {
    const percent = sums.get(kind) ?? 0;
    return percent > 0 ? [{ kind, percent }] : [];
  });
}
