import { leavesOf } from "../formula/leaves.ts";
import type { ResolvedSheet } from "../formula/types.ts";
import type { Role } from "../library/material.ts";
import type { Cleanser } from "./cleansers.ts";

/** How a blend foams, each 0 to 10: an estimate. */
export interface Foam {
  /** How fast it comes. */
  readonly flash: number;
  /** How fine and thick it is. */
  readonly density: number;
  /** How long it stands. */
  readonly stability: number;
  readonly words: string;
}

const OILS: ReadonlySet<Role> = new Set<Role>(["emollient", "fragrance", "superfat"]);

/** Loose oil each part of active matter carries away, % per %. */
export const CARRIED_BY_ACTIVE = 0.1;
/** Parts of solubiliser that carry one part of oil. */
const SOLUBILISER_PER_OIL = 4;

/**
 * Oil that nothing carries, % w/w: emollients, scent and superfats, less a tenth of the active matter and a quarter of
 * the solubilisers; never below 0. 3 % oil beside 12 % active and 4 % solubiliser leaves 3 − 1.2 − 1 = 0.8 %.
 */
export function looseOilPercent({ lines, materials }: ResolvedSheet, activePercent: number): number {
  let oil = 0;
  let solubiliser = 0;
  for (const { material, percent } of lines) {
    if (percent === 0) continue;
    for (const leaf of leavesOf(material, materials)) {
      if (OILS.has(leaf.material.role)) oil += percent * leaf.fraction;
      else if (leaf.material.role === "solubiliser") solubiliser += percent * leaf.fraction;
    }
  }
  return Math.max(0, oil - CARRIED_BY_ACTIVE * activePercent - solubiliser / SOLUBILISER_PER_OIL);
}

/** Active matter at which a blend foams 63 % of what it can, % w/w. */
const ACTIVE_SCALE_PERCENT = 4;
const LOST_PER_OIL_PERCENT = 0.08;
const LEAST_WITH_OIL = 0.3;
/** Share of amphoterics that steadies a foam, % of the actives. */
export const STEADYING = { low: 15, high: 50 };

/** What strength and loose oil make of the figures of the cleansers; it rises with the active matter, % w/w. */
export function foamFactor(activePercent: number, looseOil: number): number {
  return (1 - Math.exp(-activePercent / ACTIVE_SCALE_PERCENT)) * Math.max(LEAST_WITH_OIL, 1 - LOST_PER_OIL_PERCENT * looseOil);
}

/**
 * Foam estimate: share-weighted figures of the cleansers × (1 − e^(−active ⁄ 4)) × (1 − 0.08 × loose oil, at least 0.3);
 * then one more of stability with 15 to 50 % amphoterics among the actives; 0 to 10.
 * Null without actives, or when one of them has no foam figures.
 */
export function foamOf(cleansers: readonly Cleanser[], looseOil: number): Foam | null {
  const sums = { flash: 0, density: 0, stability: 0 };
  let active = 0;
  let amphoteric = 0;
  for (const { percent, foam, charge } of cleansers) {
    if (foam === null) return null;
    sums.flash += percent * foam.flash;
    sums.density += percent * foam.density;
    sums.stability += percent * foam.stability;
    active += percent;
    if (charge === "amphoteric") amphoteric += percent;
  }
  if (active === 0) return null;
  const factor = foamFactor(active, looseOil) / active;
  const amphotericShare = (100 * amphoteric) / active;
  const steadied = amphotericShare >= STEADYING.low && amphotericShare <= STEADYING.high ? 1 : 0;
  const figures = {
    flash: capped(sums.flash * factor),
    density: capped(sums.density * factor),
    stability: capped(sums.stability * factor + steadied),
  };
  return { ...figures, words: foamWords(figures) };
}

function capped(value: number): number {
  return Math.min(10, Math.max(0, value));
}

/** Below this a figure says there is next to no foam. */
const HARDLY_ANY = 2.5;
/** So much more of one figure is seen in the sink. */
const CLEARLY_MORE = 1;
const STANDS_LONG = 6;

/** What the figures look like in the hand. */
export function foamWords({ flash, density, stability }: Pick<Foam, "flash" | "density" | "stability">): string {
  if (Math.max(flash, density) < HARDLY_ANY) return "hardly any foam";
  const bubbles =
    flash >= density + CLEARLY_MORE
      ? "large, loose bubbles that form quickly"
      : density >= flash + CLEARLY_MORE
        ? "small, dense bubbles that form slowly"
        : "even, medium bubbles";
  return `${bubbles}; ${stability >= STANDS_LONG ? "stable" : "collapses soon"}`;
}
