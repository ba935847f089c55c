import type { Surfactant } from "./blend.ts";
import { mixedMicelles } from "./mixedMicelles.ts";
import { freeAnionicMillimolar, reliefOf } from "./relief.ts";

/** Micelles of a blend given by its numbers; null where one kind of micelle does not describe it. */
export interface MicellesAnswer {
  readonly mixedCmcMillimolar: number | null;
  readonly micelleFractions: readonly number[] | null;
  readonly monomerMillimolar: readonly number[] | null;
  /** Surfactant bound in micelles, mmol/L. */
  readonly micellarMillimolar: number | null;
  readonly freeAnionicMillimolar: number | null;
  /** Null without anionics. */
  readonly relief: number | null;
  readonly text: string;
}

const UNKNOWN: Omit<MicellesAnswer, "text"> = {
  mixedCmcMillimolar: null,
  micelleFractions: null,
  monomerMillimolar: null,
  micellarMillimolar: null,
  freeAnionicMillimolar: null,
  relief: null,
};

/**
 * Micelles, monomers and relief of a blend.
 * @param totalMillimolar All surfactant, mmol/L.
 * @param surfactants With shares that are brought to a sum of 1; at least one above 0.
 */
export function answerMicelles(totalMillimolar: number, surfactants: readonly Surfactant[]): MicellesAnswer {
  const solved = mixedMicelles(totalMillimolar, surfactants);
  if (!solved.found) return { ...UNKNOWN, text: `Not found: ${solved.reason}.` };
  const freeAnionic = freeAnionicMillimolar(surfactants, solved.value);
  const relief = reliefOf(totalMillimolar, surfactants, freeAnionic);
  return { ...solved.value, freeAnionicMillimolar: freeAnionic, relief, text: told(solved.value.micellarMillimolar, relief) };
}

function told(micellar: number, relief: number | null): string {
  if (micellar === 0)
    return "Too thin for micelles: everything stays single. The fractions are those of the first micelle that would form.";
  if (relief === null) return "Micelles form. Without anionics there is nothing to be relieved.";
  return `Micelles form; ${(100 * relief).toFixed(0)} % less anionic stays single than with the anionics alone (estimate).`;
}
