import type { Cleanser } from "../cleansers.ts";
import { foamOf } from "../foam.ts";
import { irritationOf, zeinIndex } from "../irritation.ts";
import type { Charge } from "../../library/material.ts";
import { micellesInUse } from "../micelles/inUse.ts";

/**
 * The estimates over every blend of the types at one strength. Each array holds one number per point, in the order of
 * `trianglePoints`; NaN where a point cannot be judged: a type is needed that is not there, or a fact is missing.
 */
export interface BlendTriangle {
  /** Steps along an edge. */
  readonly steps: number;
  /** Shares among anionic, amphoteric and nonionic, %. */
  readonly anionicPercent: Float64Array;
  readonly amphotericPercent: Float64Array;
  readonly nonionicPercent: Float64Array;
  readonly mixedCmcMillimolar: Float64Array;
  readonly freeAnionicMillimolar: Float64Array;
  readonly relief: Float64Array;
  readonly irritationIndex: Float64Array;
  readonly irritationLoad: Float64Array;
  readonly foamFlash: Float64Array;
  readonly foamDensity: Float64Array;
  readonly foamStability: Float64Array;
}

/** Number of points of a triangle: (steps + 1)(steps + 2) ⁄ 2; 70 steps are 2,556. */
export function trianglePoints(steps: number): number {
  return ((steps + 1) * (steps + 2)) / 2;
}

const CORNERS = ["anionic", "amphoteric", "nonionic"] as const;

/**
 * Walks the whole triangle of anionic, amphoteric and nonionic at the blend's active matter. Inside a type the ratio of
 * the surfactants stays; cationics keep their percent and the corners share the rest.
 *
 * @param cleansers The blend as it is.
 * @param looseOilPercent Oil that nothing carries, % w/w.
 * @param steps Steps along an edge, at least 1.
 */
export function triangleOf(cleansers: readonly Cleanser[], looseOilPercent: number, steps: number): BlendTriangle {
  const size = trianglePoints(steps);
  const array = () => new Float64Array(size).fill(Number.NaN);
  const triangle: BlendTriangle = {
    steps,
    anionicPercent: array(),
    amphotericPercent: array(),
    nonionicPercent: array(),
    mixedCmcMillimolar: array(),
    freeAnionicMillimolar: array(),
    relief: array(),
    irritationIndex: array(),
    irritationLoad: array(),
    foamFlash: array(),
    foamDensity: array(),
    foamStability: array(),
  };
  const totals = totalsOf(cleansers);
  const activePercent = cleansers.reduce((sum, { percent }) => sum + percent, 0);
  let point = 0;
  for (let anionic = 0; anionic <= steps; anionic += 1) {
    for (let amphoteric = 0; amphoteric <= steps - anionic; amphoteric += 1) {
      const shares = { anionic: anionic / steps, amphoteric: amphoteric / steps, nonionic: (steps - anionic - amphoteric) / steps };
      triangle.anionicPercent[point] = 100 * shares.anionic;
      triangle.amphotericPercent[point] = 100 * shares.amphoteric;
      triangle.nonionicPercent[point] = 100 * shares.nonionic;
      const blend = shiftedBlend(cleansers, totals, shares, activePercent);
      if (blend !== null) judgePoint(triangle, point, blend, { activePercent, looseOilPercent });
      point += 1;
    }
  }
  return triangle;
}

type Totals = Readonly<Record<Charge, number>>;

function totalsOf(cleansers: readonly Cleanser[]): Totals {
  const totals = { anionic: 0, amphoteric: 0, nonionic: 0, cationic: 0 };
  for (const { charge, percent } of cleansers) totals[charge] += percent;
  return totals;
}

/** The blend at other shares of the corners; null where a corner is asked for that nothing in the blend can give. */
function shiftedBlend(
  cleansers: readonly Cleanser[],
  totals: Totals,
  shares: Readonly<Record<(typeof CORNERS)[number], number>>,
  activePercent: number,
): readonly Cleanser[] | null {
  if (activePercent <= 0 || CORNERS.some((charge) => shares[charge] > 0 && totals[charge] === 0)) return null;
  const toShare = activePercent - totals.cationic;
  return cleansers.flatMap((cleanser) => {
    if (cleanser.charge === "cationic") return [cleanser];
    const percent = (toShare * shares[cleanser.charge] * cleanser.percent) / totals[cleanser.charge];
    return percent > 0 ? [{ ...cleanser, percent }] : [];
  });
}

interface Around {
  readonly activePercent: number;
  readonly looseOilPercent: number;
}

function judgePoint(triangle: BlendTriangle, point: number, blend: readonly Cleanser[], around: Around): void {
  const solved = micellesInUse(blend);
  if (solved.found) {
    triangle.mixedCmcMillimolar[point] = solved.value.mixedCmcMillimolar;
    triangle.freeAnionicMillimolar[point] = solved.value.freeAnionicMillimolar;
    triangle.relief[point] = solved.value.relief ?? Number.NaN;
    const zein = zeinIndex(blend);
    if (zein !== null) {
      const { index, load } = irritationOf(zein, solved.value.relief, around.activePercent);
      triangle.irritationIndex[point] = index;
      triangle.irritationLoad[point] = load;
    }
  }
  const foam = foamOf(blend, around.looseOilPercent);
  if (foam !== null) {
    triangle.foamFlash[point] = foam.flash;
    triangle.foamDensity[point] = foam.density;
    triangle.foamStability[point] = foam.stability;
  }
}
