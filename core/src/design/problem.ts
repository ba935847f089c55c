import { PAIR_SHARE, SULFATE_SHARE } from "../rheology/routes.ts";
import { CARRIED_BY_ACTIVE } from "../surfactants/index.ts";
import type { BlendClarity, Candidate, DesignWishes, RestOfSheet } from "./wishes.ts";

/** Least share of the actives of a surfactant that is in at all, as a part of 1: what is less is not worth a bottle. Ours. */
export const LEAST_SHARE = 0.05;

/** lower ≤ Σ values × p ≤ upper. */
export interface Row {
  readonly values: readonly number[];
  readonly lower: number;
  readonly upper: number;
}

/**
 * A choice of surfactants with everything that depends on their amounts in a line. The unknowns are p, the active matter of
 * each, % w/w of the product.
 */
export interface Problem {
  readonly members: readonly Candidate[];
  readonly lower: readonly number[];
  readonly upper: readonly number[];
  /** All active matter, % w/w. */
  readonly least: number;
  readonly most: number;
  readonly rows: readonly Row[];
  /** For each % of active matter: money, zein (middle of its range), flash and stability of the foam, salts in %. */
  readonly cost: readonly number[];
  readonly zein: readonly number[];
  readonly flash: readonly number[];
  readonly stability: readonly number[];
  readonly salt: readonly number[];
  /** mmol/L in use for each %. */
  readonly millimolar: readonly number[];
  /** What stands in the cost beside the surfactants. */
  readonly restCost: number;
  readonly oilPercent: number;
  /** Of what stands beside the surfactants. */
  readonly restClarity: BlendClarity;
  /** What the sheet has of each member now, and what it has of surfactants that are not in the choice, % active matter. */
  readonly present: readonly number[];
  readonly gone: number;
}

/** In-use strength is a tenth: 1 % of an active of 400 g/mol is 2.5 mmol/L. */
const MILLIMOLAR_PER_PERCENT = 1000;
/** Above the shares of the sheet by this part of 1. */
const SPARE = 0.005;
const [SULFATE, PAIR] = [SULFATE_SHARE / 100 + SPARE, PAIR_SHARE / 100 + SPARE];

/**
 * Shares that make a blend answer to salt, as parts of 1: one group alone, or two together. A little above those of `saltRoute`, so that
 * amounts rounded for the sheet, and an assay that comes later, still do.
 */
const SALT_WAYS: readonly (readonly (readonly [NonNullable<Candidate["group"]>, number])[])[] = [
  [["sulfate", SULFATE]],
  [
    ["sulfonate", PAIR],
    ["betaine", PAIR],
  ],
  [
    ["taurate", PAIR],
    ["betaine", PAIR],
  ],
];

/**
 * The problems of one choice: one, or one for each way its blend can answer to salt where that is wished. None where it
 * cannot.
 */
export function problemsOf(members: readonly Candidate[], wishes: DesignWishes, rest: RestOfSheet): readonly Problem[] {
  const ways =
    wishes.thickening === "salt" ? SALT_WAYS.filter((way) => way.every(([group]) => members.some((one) => one.group === group))) : [[]];
  return ways.map((way) => problemOf(members, wishes, rest, way));
}

function problemOf(
  members: readonly Candidate[],
  wishes: DesignWishes,
  rest: RestOfSheet,
  way: readonly (readonly [NonNullable<Candidate["group"]>, number])[],
): Problem {
  const each = (of: (one: Candidate) => number): readonly number[] => members.map(of);
  const supplied = each(({ activePercent }) => 100 / activePercent);
  const cost = each(({ price, activePercent }) => (((price ?? 0) - rest.waterPrice) * 100) / activePercent);
  const salt = each(({ saltPercent, activePercent }) => saltPercent / activePercent);
  const most = wishes.activePercent.high;
  const least = rest.mayCloud ? wishes.activePercent.low : Math.max(wishes.activePercent.low, rest.oilPercent / CARRIED_BY_ACTIVE);
  const rows: Row[] = [{ values: supplied, lower: -Infinity, upper: rest.roomPercent }];
  if (wishes.mostSaltPercent !== null) rows.push({ values: salt, lower: -Infinity, upper: wishes.mostSaltPercent - rest.saltPercent });
  if (wishes.mostCost !== null) rows.push({ values: cost, lower: -Infinity, upper: wishes.mostCost - (rest.cost ?? 0) });
  if (wishes.mostAnionicPercent !== null) {
    const most = wishes.mostAnionicPercent / 100;
    rows.push({ values: each(({ charge }) => (charge === "anionic" ? 1 : 0) - most), lower: -Infinity, upper: 0 });
  }
  for (const [at] of members.entries())
    rows.push({ values: members.map((_, k) => (k === at ? 1 : 0) - LEAST_SHARE), lower: 0, upper: Infinity });
  for (const [group, share] of way) rows.push({ values: each((one) => (one.group === group ? 1 : 0) - share), lower: 0, upper: Infinity });
  return {
    ...{ members, least, most, rows, cost, salt },
    lower: each(() => LEAST_SHARE * Math.max(0, least)),
    upper: each(({ mostPercent, activePercent, grams }) => {
      const left = grams === null ? Infinity : (100 * grams) / rest.batchGrams;
      return Math.min((Math.min(mostPercent, left) * activePercent) / 100, most * (1 - LEAST_SHARE * (members.length - 1)));
    }),
    zein: each(({ zein }) => (zein.low + zein.high) / 2),
    flash: each(({ foam }) => foam.flash),
    stability: each(({ foam }) => foam.stability),
    millimolar: each(({ molarMass }) => MILLIMOLAR_PER_PERCENT / molarMass),
    restCost: rest.cost ?? 0,
    oilPercent: rest.oilPercent,
    restClarity: rest.clarity,
    present: each(({ slug }) => rest.present.get(slug) ?? 0),
    gone: [...rest.present].reduce((sum, [slug, percent]) => (members.some((one) => one.slug === slug) ? sum : sum + percent), 0),
  };
}
