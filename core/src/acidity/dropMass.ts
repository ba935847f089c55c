import { Refusal } from "../quantities/refusal.ts";

/** Fewer drops weigh too little to divide. */
export const DROPS_TO_WEIGH = 20;

/**
 * Mass of one drop from several weighed together, g: 20 drops of 0.94 g are 0.047 g each.
 * @throws Refusal for fewer than 20 drops or no mass.
 */
export function dropMassGrams(weighedGrams: number, drops: number): number {
  if (!(drops >= DROPS_TO_WEIGH && weighedGrams > 0)) {
    throw new Refusal(
      "not-possible",
      `${drops} drops of ${weighedGrams} g do not tell the mass of one.`,
      `Weigh ${DROPS_TO_WEIGH} drops together.`,
    );
  }
  return weighedGrams / drops;
}
