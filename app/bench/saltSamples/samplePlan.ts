/** Base in a jar, where nobody says, g. */
export const USUAL_JAR_GRAMS = 50;

const JARS = 7;
const FIRST_STEP_PERCENT = 0.3;
const STEP_PERCENT = 0.4;

/** A jar that is to be made. */
export interface PlannedSample {
  /** Hidden and added, % w/w. */
  readonly saltPercent: number;
  readonly saltGrams: number;
}

/**
 * Jars to find the salt curve of a base with, from the base as it is upwards. Dry salt for a jar of base mass m from hidden
 * salt h to whole salt s: m (s − h) ⁄ (100 − s). 50 g with 1 % take 0.255 g to 1.5 %.
 */
export function saltSamplePlan(baseGrams: number, hiddenSaltPercent: number): readonly PlannedSample[] {
  return Array.from({ length: JARS }, (_, at) => {
    const saltPercent = hiddenSaltPercent + (at === 0 ? 0 : FIRST_STEP_PERCENT + STEP_PERCENT * (at - 1));
    return { saltPercent, saltGrams: (baseGrams * (saltPercent - hiddenSaltPercent)) / (100 - saltPercent) };
  });
}
