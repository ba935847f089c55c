import { charges, type Charge } from "../../library/material.ts";

/**
 * Interaction β of two surfactants in one micelle by their charges, in units of RT; 0 within a type. Attraction is
 * negative (Holland and Rubingh, J. Phys. Chem. 1983, 87, 1984; typical values of the pairs).
 */
const PAIRS: readonly (readonly [Charge, Charge, number])[] = [
  ["anionic", "amphoteric", -6],
  ["anionic", "nonionic", -3.3],
  ["amphoteric", "nonionic", -1],
  ["anionic", "cationic", -22],
  ["cationic", "amphoteric", -2],
  ["cationic", "nonionic", -1.5],
];

const betas = new Map(PAIRS.flatMap(([one, other, beta]) => [[one + other, beta] as const, [other + one, beta] as const]));

export function interaction(one: Charge, other: Charge): number {
  return betas.get(one + other) ?? 0;
}

/** The charge types of a blend in the order of the library, with their interactions as a square table. */
export interface Types {
  readonly present: readonly Charge[];
  readonly beta: readonly (readonly number[])[];
  /**
   * Whether the free energy of mixing has one minimum only. For −, ±, 0 the interactions are squared distances of
   * points in a plane, so it is convex; an anionic beside a cationic breaks that.
   */
  readonly isConvex: boolean;
}

/** Each combination of types is worked out once. */
const known = new Map<string, Types>();

/** The types that are there with a share above 0. */
export function typesOf(surfactants: readonly { readonly charge: Charge; readonly moleFraction: number }[]): Types {
  const present = charges.filter((charge) => surfactants.some((one) => one.charge === charge && one.moleFraction > 0));
  const key = present.join();
  let types = known.get(key);
  if (types === undefined) {
    const beta = present.map((one) => present.map((other) => interaction(one, other)));
    types = { present, beta, isConvex: !(present.includes("anionic") && present.includes("cationic")) };
    known.set(key, types);
  }
  return types;
}

/** What mixing does at a composition of the micelle, by type. */
export interface Mixing {
  /** ln f of each type. */
  readonly lnActivity: readonly number[];
  /** Σ β X of each type. */
  readonly pull: readonly number[];
  /** Excess free energy Σ β X X over the pairs, RT per mole. */
  readonly excess: number;
}

/**
 * Activity coefficients of the regular solution: ln fᵢ = Σⱼ βᵢⱼ Xⱼ − Σⱼ﹤ₖ βⱼₖ Xⱼ Xₖ, which is the multicomponent form of
 * Holland and Rubingh (1983) written over types; within a type all f are equal because β is 0 there.
 * For two types it is β X₂² and β X₁².
 */
export function mixingAt(shares: readonly number[], beta: Types["beta"]): Mixing {
  const pull = new Array<number>(shares.length).fill(0);
  let twiceExcess = 0;
  for (let t = 0; t < shares.length; t += 1) {
    for (let k = 0; k < shares.length; k += 1) pull[t]! += beta[t]![k]! * shares[k]!;
    twiceExcess += pull[t]! * shares[t]!;
  }
  const excess = twiceExcess / 2;
  return { lnActivity: pull.map((value) => value - excess), pull, excess };
}
