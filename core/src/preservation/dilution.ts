import { activeMatterOfLine, sumActiveMatter } from "../surfactants/activeMatter.ts";
import { Refusal } from "../quantities/refusal.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import type { Formula } from "../formula/types.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { written } from "../quantities/written.ts";
import { preservativeDoses } from "./preservatives.ts";

export interface DilutedPreservative {
  readonly material: string;
  /** What is left of it, % w/w of the diluted product. */
  readonly percent: number;
  /** Its usual dose begins here, % w/w; null where it is unknown. */
  readonly low: number | null;
  /** Still within its range; null where the range is unknown. */
  readonly ok: boolean | null;
  /** What brings it back to its range, % w/w of the diluted product; null where the range is unknown. */
  readonly topUpPercent: number | null;
}

export interface Dilution {
  readonly activeMatterPercent: number;
  readonly preservative: readonly DilutedPreservative[];
  readonly text: string;
}

export interface DilutionParts {
  /** By mass. */
  readonly partsProduct: number;
  readonly partsWater: number;
}

/**
 * What adding water does to a finished product: everything in it is multiplied by product ⁄ (product + water), by
 * mass. A wash of 12 % active matter and 0.9 % preservative (0.5 to 1 %), doubled with water, has 6 % and 0.45 %, which
 * is too little.
 * @throws Refusal when there is no product, or a material is unknown.
 */
export function dilute(formula: Formula, { partsProduct, partsWater }: DilutionParts, library: MaterialsBySlug): Dilution {
  if (!(partsProduct > 0) || !(partsWater >= 0)) {
    throw new Refusal(
      "not-possible",
      "A dilution needs some product and no less than no water.",
      "Give the parts of product and of water by mass.",
    );
  }
  const share = partsProduct / (partsProduct + partsWater);
  const { sheet } = resolveLines(formula, library);
  const active = sumActiveMatter(sheet.lines.map((line) => activeMatterOfLine(line, sheet.materials))).percent * share;
  const preservative = preservativeDoses(sheet).map(({ material, percent, use }): DilutedPreservative => {
    const left = percent * share;
    const low = use?.low ?? null;
    return {
      material,
      percent: left,
      low,
      ok: low === null ? null : left >= low,
      topUpPercent: low === null ? null : topUpPercent(left, low),
    };
  });
  return { activeMatterPercent: active, preservative, text: wordsOf(active, share, preservative) };
}

/**
 * What must be added of a pure material to bring it from one percent to another, % w/w of the mixture before: adding
 * x to 100 gives (p + x) ⁄ (100 + x). From 0.3 % to 0.5 % take 0.2010 %.
 */
export function topUpPercent(percent: number, wantedPercent: number): number {
  return percent >= wantedPercent ? 0 : (100 * (wantedPercent - percent)) / (100 - wantedPercent);
}

function wordsOf(active: number, share: number, preservative: readonly DilutedPreservative[]): string {
  const strength = `The mixture is ${written(share * 100, 1)} % product and has ${written(active, 2)} % active matter.`;
  if (preservative.length === 0) return `${strength} The product brings no preservative: use the mixture at once.`;
  const weak = preservative.filter((each) => each.ok === false);
  if (weak.length === 0) {
    const unknown = preservative.some((each) => each.ok === null);
    return `${strength} ${unknown ? "Where the usual dose is known, the" : "The"} preservative is still within its range.`;
  }
  const short = weak.map(
    ({ material, percent, low, topUpPercent: more }) =>
      `${material} falls to ${written(percent, 3)} %, below ${written(low ?? 0, 3)} % (add ${written(more ?? 0, 3)} %)`,
  );
  return `${strength} It is no longer preserved enough: ${short.join("; ")}. Mix only what is used within days, or top the preservative up.`;
}
