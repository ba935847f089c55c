import type { Measurable } from "../quantities/kitchenMeasures.ts";

/** What nothing is known of is measured as water, as an estimate. */
export const likeWater: Measurable = { form: null, densityGramsPerMl: 1, dropMilligrams: 30 };
