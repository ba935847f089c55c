import type { Charge } from "../../library/material.ts";
import { typesOf, type Types } from "./interactions.ts";

/** A surfactant in water. */
export interface Surfactant {
  readonly charge: Charge;
  /** Critical micelle concentration of it alone, mmol/L. */
  readonly cmcMillimolar: number;
  /** Its share of all surfactant, mol/mol. */
  readonly moleFraction: number;
}

/** A blend as the solver takes it: arrays over the surfactants, with the place of each one's charge among the types. */
export interface Blend {
  readonly types: Types;
  /** Shares brought to a sum of 1. */
  readonly fractions: readonly number[];
  readonly cmcs: readonly number[];
  /** −1 where nothing of the type is there. */
  readonly typeOf: readonly number[];
}

export function blendOf(surfactants: readonly Surfactant[]): Blend {
  const whole = surfactants.reduce((sum, { moleFraction }) => sum + moleFraction, 0);
  const types = typesOf(surfactants);
  return {
    types,
    fractions: surfactants.map(({ moleFraction }) => moleFraction / whole),
    cmcs: surfactants.map(({ cmcMillimolar }) => cmcMillimolar),
    typeOf: surfactants.map(({ charge }) => types.present.indexOf(charge)),
  };
}

/** Surfactant in micelles and single, mmol/L, by type; and how fast the bound part falls with ln u. */
export interface Split {
  readonly bound: readonly number[];
  readonly loss: readonly number[];
  /** All bound, mmol/L. */
  readonly micellar: number;
}

/** What is bound when surfactant i has αᵢ C ⁄ (1 + uₜ Cᵢ) in micelles. */
export function splitOf({ types, fractions, cmcs, typeOf }: Blend, totalMillimolar: number, u: readonly number[]): Split {
  const bound = new Array<number>(types.present.length).fill(0);
  const loss = new Array<number>(types.present.length).fill(0);
  let micellar = 0;
  for (let k = 0; k < fractions.length; k += 1) {
    const type = typeOf[k]!;
    if (type < 0 || fractions[k] === 0) continue;
    const uC = u[type]! * cmcs[k]!;
    const inMicelles = (fractions[k]! * totalMillimolar) / (1 + uC);
    bound[type]! += inMicelles;
    loss[type]! += (inMicelles * uC) / (1 + uC);
    micellar += inMicelles;
  }
  return { bound, loss, micellar };
}

/** Σ mᵢ ⁄ Cᵢ over the surfactants of each type, for monomers m in mmol/L. */
export function monomersPerCmc({ types, cmcs, typeOf }: Blend, monomers: readonly number[]): readonly number[] {
  const sums = new Array<number>(types.present.length).fill(0);
  for (let k = 0; k < cmcs.length; k += 1) if (typeOf[k]! >= 0) sums[typeOf[k]!]! += monomers[k]! / cmcs[k]!;
  return sums;
}

/** What of each surfactant is in micelles, mmol/L. */
export function boundMillimolar({ fractions, cmcs, typeOf }: Blend, totalMillimolar: number, u: readonly number[]): readonly number[] {
  return fractions.map((fraction, k) => (fraction === 0 ? 0 : (fraction * totalMillimolar) / (1 + u[typeOf[k]!]! * cmcs[k]!)));
}

/** What of each surfactant stays single, mmol/L; what is bound is the rest of it. */
export function monomersMillimolar(blend: Blend, totalMillimolar: number, u: readonly number[]): readonly number[] {
  const { cmcs, typeOf } = blend;
  return boundMillimolar(blend, totalMillimolar, u).map((bound, k) => (bound === 0 ? 0 : bound * u[typeOf[k]!]! * cmcs[k]!));
}
