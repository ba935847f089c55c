import type { Cleanser } from "./cleansers.ts";

export type IrritationBand = "very mild" | "mild" | "moderate" | "strong" | "harsh";

/** An estimate to rank blends by; no safety test. */
export interface Irritation {
  /** Zein-type number of the blend, mg N ⁄ 100 mL. */
  readonly index: number;
  /** The index at the product's own strength, 15 % active being 1. */
  readonly load: number;
  readonly band: IrritationBand;
}

/** Upper ends of the bands of the load; above the last it is harsh. */
export const irritationBands = [
  { below: 60, band: "very mild" },
  { below: 120, band: "mild" },
  { below: 200, band: "moderate" },
  { below: 320, band: "strong" },
] as const satisfies readonly { readonly below: number; readonly band: IrritationBand }[];

/** How much of the zein number the monomers make out. */
const RELIEF_COUNTS = 0.6;
/** Active matter at which load and index are equal, % w/w. */
const USUAL_ACTIVE_PERCENT = 15;

/**
 * Zein number of the cleansers as they stand, mg N ⁄ 100 mL: Σ share × the middle of each one's range (Götte 1964).
 * What mixing them in one micelle saves is not in it yet. Null without actives, or when one of them has no zein number.
 */
export function zeinIndex(cleansers: readonly Cleanser[]): number | null {
  let weighted = 0;
  let total = 0;
  for (const { percent, zein } of cleansers) {
    if (zein === null) return null;
    weighted += (percent * (zein.low + zein.high)) / 2;
    total += percent;
  }
  return total > 0 ? weighted / total : null;
}

export function irritationBand(load: number): IrritationBand {
  return irritationBands.find(({ below }) => load < below)?.band ?? "harsh";
}

/**
 * Irritation estimate: index = Σ share × zein × (1 − 0.6 × relief), load = index × active matter ⁄ 15. A blend of zein
 * 150 at 12 % active with a relief of 0.5 has an index of 105 and a load of 84, which is mild.
 *
 * @param zein From `zeinIndex`.
 * @param relief What mixed micelles save, 0 to 1; null where there is no anionic to be relieved.
 * @param activePercent Active matter, % w/w.
 */
export function irritationOf(zein: number, relief: number | null, activePercent: number): Irritation {
  const index = zein * (1 - RELIEF_COUNTS * (relief ?? 0));
  const load = (index * activePercent) / USUAL_ACTIVE_PERCENT;
  return { index, load, band: irritationBand(load) };
}
