import { FEWEST_STEPS, finestFirst, type Scale } from "@tensidrum/core/quantities";

/** On which scale something is weighed, and whether in the beaker that stands there or in a small cup beside it. */
export interface ScaleOfWeighing {
  readonly scale: Scale | null;
  readonly isInCup: boolean;
}

/**
 * The finest scale that carries the beaker with its content and what is to come, as long as that is enough steps of it to
 * be weighed well; else the finest that carries what is to come alone, in a small cup that is emptied into the beaker.
 */
export function scaleOfWeighing(
  scales: readonly Scale[],
  { loadGrams, grams }: { readonly loadGrams: number; readonly grams: number },
): ScaleOfWeighing {
  const fromFinest = finestFirst(scales);
  const inBeaker = fromFinest.find(({ capacityGrams }) => capacityGrams >= loadGrams + grams);
  if (inBeaker !== undefined && grams >= FEWEST_STEPS * inBeaker.readabilityGrams) return { scale: inBeaker, isInCup: false };
  const alone = fromFinest.find(({ capacityGrams }) => capacityGrams >= grams);
  if (alone === undefined || alone === inBeaker) return { scale: inBeaker ?? null, isInCup: false };
  return { scale: alone, isInCup: true };
}
