import { heatSteps } from "./heatSteps.ts";
import { otherSteps } from "./otherSteps.ts";
import type { StepText } from "./stepText.ts";
import { surfactantSteps } from "./surfactantSteps.ts";
import { tuningSteps } from "./tuningSteps.ts";
import { waterSteps } from "./waterSteps.ts";

/** The words of every step, by its code; the facts of a step are what its words need. */
export const stepWords = { ...waterSteps, ...surfactantSteps, ...heatSteps, ...otherSteps, ...tuningSteps } as const;

export type StepCode = keyof typeof stepWords;

type FactsOf<Code extends StepCode> = (typeof stepWords)[Code] extends (facts: infer Facts) => StepText ? Facts : never;

/** A step as code and facts: steps without facts have none to give. */
export type SaidStep = {
  [Code in StepCode]: (typeof stepWords)[Code] extends () => StepText
    ? { readonly code: Code }
    : { readonly code: Code; readonly facts: FactsOf<Code> };
}[StepCode];

/** A step in words. */
export function stepText(said: SaidStep): StepText {
  const words = stepWords[said.code] as (facts: unknown) => StepText;
  return words("facts" in said ? said.facts : undefined);
}
