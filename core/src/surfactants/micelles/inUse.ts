import type { Cleanser } from "../cleansers.ts";
import type { Solved } from "../../numerics/newton.ts";
import type { Surfactant } from "./blend.ts";
import { mixedMicelles, type MixedMicelles } from "./mixedMicelles.ts";
import { freeAnionicMillimolar, reliefOf } from "./relief.ts";

/** Parts of the wetted product that are product. */
const PRODUCT_IN_USE = 0.1;

/** A blend diluted as on wet skin. */
export interface BlendInUse {
  readonly totalMillimolar: number;
  readonly surfactants: readonly Surfactant[];
}

/** Micelles of a product in use, with what they say of mildness. */
export interface MicellesInUse extends MixedMicelles {
  readonly totalMillimolar: number;
  /** Slugs of the surfactants the arrays stand for. */
  readonly surfactants: readonly string[];
  readonly freeAnionicMillimolar: number;
  /** Null without anionics. */
  readonly relief: number | null;
}

/**
 * The blend at in-use strength, 1 part of product in 10 parts by mass, a litre of it taken as 1 kg. 12 % of an active of
 * 400 g/mol is 300 mmol in a kilogram of product and 30 mmol/L in use. Null when a molar mass or cmc is unknown.
 */
export function blendInUse(cleansers: readonly Cleanser[]): BlendInUse | null {
  const amounts: { cleanser: Cleanser; cmcMillimolar: number; millimolar: number }[] = [];
  let totalMillimolar = 0;
  for (const cleanser of cleansers) {
    const { molarMass, cmcMillimolar, percent } = cleanser;
    if (molarMass === null || cmcMillimolar === null) return null;
    const millimolar = ((percent * 10) / molarMass) * 1000 * PRODUCT_IN_USE;
    amounts.push({ cleanser, cmcMillimolar, millimolar });
    totalMillimolar += millimolar;
  }
  const surfactants = amounts.map(({ cleanser: { charge }, cmcMillimolar, millimolar }) => ({
    charge,
    cmcMillimolar,
    moleFraction: millimolar / totalMillimolar,
  }));
  return { totalMillimolar, surfactants };
}

/** Mixed micelles of a product in use, or why there are none to tell of. */
export function micellesInUse(cleansers: readonly Cleanser[]): Solved<MicellesInUse> {
  if (cleansers.length === 0) return { found: false, reason: "cleansing actives in the formula" };
  const blend = blendInUse(cleansers);
  if (blend === null) return { found: false, reason: "molar mass or cmc of these materials" };
  const { totalMillimolar, surfactants } = blend;
  const solved = mixedMicelles(totalMillimolar, surfactants);
  if (!solved.found) return solved;
  const freeAnionic = freeAnionicMillimolar(surfactants, solved.value);
  const value: MicellesInUse = {
    ...solved.value,
    totalMillimolar,
    surfactants: cleansers.map(({ slug }) => slug),
    freeAnionicMillimolar: freeAnionic,
    relief: reliefOf(totalMillimolar, surfactants, freeAnionic),
  };
  return { found: true, value, iterations: solved.iterations };
}
