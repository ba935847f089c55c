import type { Charge, Material, MaterialsBySlug, PlainMaterial, Span } from "../library/material.ts";
import { leavesOf } from "../formula/leaves.ts";
import type { ResolvedLine } from "../formula/types.ts";

export type ByCharge = Readonly<Record<Charge, number>>;

/** Active surfactant matter, % w/w of what it is measured on. */
export interface ActiveMatter extends Span {
  readonly percent: number;
  /** Typical values by charge type; they sum to `percent`. */
  readonly byCharge: ByCharge;
}

/** Most lines bring no cleansing active; they share this answer. */
const NOTHING: ActiveMatter = { percent: 0, low: 0, high: 0, byCharge: { anionic: 0, amphoteric: 0, nonionic: 0, cationic: 0 } };

interface Tally {
  percent: number;
  low: number;
  high: number;
  byCharge: Record<Charge, number>;
}

function emptyTally(): Tally {
  return { percent: 0, low: 0, high: 0, byCharge: { anionic: 0, amphoteric: 0, nonionic: 0, cationic: 0 } };
}

function addPlain(tally: Tally, material: PlainMaterial, sharePercent: number): void {
  if (material.countsAsActive !== true || material.active === null || material.charge === null) return;
  const typical = (sharePercent * material.active.typical) / 100;
  tally.percent += typical;
  tally.low += (sharePercent * material.active.low) / 100;
  tally.high += (sharePercent * material.active.high) / 100;
  tally.byCharge[material.charge] += typical;
}

/**
 * Active matter of one material as supplied, % w/w of the material; a nested one from its leaves, unless its
 * strength was measured: then the leaves only split it by charge.
 */
export function activeContentOf(material: Material, materials: MaterialsBySlug): ActiveMatter {
  const tally = emptyTally();
  if (material.parts === undefined) addPlain(tally, material, 100);
  else for (const leaf of leavesOf(material, materials)) addPlain(tally, leaf.material, 100 * leaf.fraction);
  const measured = material.parts !== undefined && material.measured?.includes("active") === true ? material.active : null;
  if (measured === null || tally.percent === 0) return tally;
  const { byCharge } = scaled(tally, measured.typical / tally.percent, 0, 0);
  return { percent: measured.typical, low: measured.low, high: measured.high, byCharge };
}

/**
 * What one line brings, % w/w of the formula. An assay replaces low, typical and high of the line, the charge
 * split of a blend stays typical; it speaks only for materials that bring cleansing actives.
 */
export function activeMatterOfLine(resolved: ResolvedLine, materials: MaterialsBySlug): ActiveMatter {
  if (resolved.material.countsAsActive !== true && resolved.material.parts === undefined) return NOTHING;
  const content = activeContentOf(resolved.material, materials);
  const assay = resolved.line.assayPercent;
  const share = resolved.percent / 100;
  if (assay === undefined || content.percent === 0) return scaled(content, share, share, share);
  const typical = (share * assay) / content.percent;
  return {
    ...scaled(content, typical, 0, 0),
    low: share * assay,
    high: share * assay,
  };
}

function scaled(content: ActiveMatter, typical: number, low: number, high: number): ActiveMatter {
  const { anionic, amphoteric, nonionic, cationic } = content.byCharge;
  return {
    percent: content.percent * typical,
    low: content.low * low,
    high: content.high * high,
    byCharge: {
      anionic: anionic * typical,
      amphoteric: amphoteric * typical,
      nonionic: nonionic * typical,
      cationic: cationic * typical,
    },
  };
}

/**
 * Active surfactant matter of the formula, % w/w: Σ percent × active ⁄ 100 over the lines that bring cleansing
 * actives, with the range of their suppliers. 22 % of a 30 % betaine and 18 % of a 40 % sulfonate are
 * 6.60 + 7.20 = 13.80 %. An empty formula has 0 %.
 */
export function sumActiveMatter(perLine: readonly ActiveMatter[]): ActiveMatter {
  const tally = emptyTally();
  for (const line of perLine) {
    tally.percent += line.percent;
    tally.low += line.low;
    tally.high += line.high;
    tally.byCharge.anionic += line.byCharge.anionic;
    tally.byCharge.amphoteric += line.byCharge.amphoteric;
    tally.byCharge.nonionic += line.byCharge.nonionic;
    tally.byCharge.cationic += line.byCharge.cationic;
  }
  return tally;
}

/** Shares of the charge types in the active matter, %; all 0 where there is none. */
export function chargeShares(active: Pick<ActiveMatter, "percent" | "byCharge">): ByCharge {
  const factor = active.percent > 0 ? 100 / active.percent : 0;
  const { anionic, amphoteric, nonionic, cationic } = active.byCharge;
  return {
    anionic: anionic * factor,
    amphoteric: amphoteric * factor,
    nonionic: nonionic * factor,
    cationic: cationic * factor,
  };
}

/** Sums of actives carry noise of this size, % w/w. */
const NOISE_PERCENT = 1e-9;

/** Where an amount of active matter lies in a window, both in % w/w; the ends belong to it. */
export function placeInWindow(percent: number, { low, high }: Span): "below" | "within" | "above" {
  if (percent < low - NOISE_PERCENT) return "below";
  return percent > high + NOISE_PERCENT ? "above" : "within";
}
