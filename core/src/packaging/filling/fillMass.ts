import { Refusal } from "../../quantities/refusal.ts";

/** A container as measured with water. */
export interface Container {
  readonly name: string;
  /** What its label may promise, mL. */
  readonly nominalMl: number;
  /** Full to the brim, mL. */
  readonly brimfulMl: number;
  /** Air left under the cap, mL. */
  readonly headspaceMl?: number;
  /** Pushed aside by pump and dip tube, mL. */
  readonly dipTubeMl?: number;
}

/**
 * What goes into one container, g: min(nominal, brimful − headspace − dip tube) × density. A 250 mL bottle of 268 mL to
 * the brim with 12 mL headspace and 9 mL of pump takes 247 mL; at 1.03 g/mL that is 254.41 g.
 * @throws Refusal when nothing fits or a measure is not a number.
 */
export function fillMassGrams({ nominalMl, brimfulMl, headspaceMl = 0, dipTubeMl = 0 }: Container, densityGramsPerMl: number): number {
  const volume = Math.min(nominalMl, brimfulMl - headspaceMl - dipTubeMl);
  if (!(volume > 0) || !(densityGramsPerMl > 0)) {
    throw new Refusal(
      "not-possible",
      "Nothing fits into this container.",
      "Measure it again: fill it to the brim with water and weigh that.",
    );
  }
  return volume * densityGramsPerMl;
}

/** How many containers a yield fills, and what is left as samples. */
export interface FillCount {
  readonly containers: number;
  readonly leftoverGrams: number;
}

/** Weighing noise that must not cost a container, as a part of one fill. */
const NOISE = 1e-9;

/** Count = ⌊yield ⁄ fill⌋ and what is left. 3,050 g in bottles of 254.41 g fill 11 and leave 251.49 g. */
export function fillCount(yieldGrams: number, fillGrams: number): FillCount {
  if (!(yieldGrams >= 0) || !(fillGrams > 0)) {
    throw new Refusal("not-possible", "There is nothing to fill.", "Weigh the batch and choose a container.");
  }
  const containers = Math.floor(yieldGrams / fillGrams + NOISE);
  return { containers, leftoverGrams: Math.max(0, yieldGrams - containers * fillGrams) };
}
