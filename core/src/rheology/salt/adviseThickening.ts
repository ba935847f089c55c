import { drawEnsemble } from "../../numerics/ensemble.ts";
import { curveModel, type Thickening } from "./plausibleCurves.ts";
import { outlookOf } from "./outlook.ts";
import { thickeningSaid, thickeningText, type ThickeningSaid } from "./thickeningText.ts";
import type { AdditionAdvice } from "./additionAdvice.ts";
import { verdictOf, type ThickeningState } from "./verdict.ts";

export interface ThickeningAdvice {
  readonly state: ThickeningState;
  readonly recommend: AdditionAdvice;
  /** Whole salt in the batch now, % w/w. */
  readonly saltPercent: number;
  readonly said: ThickeningSaid;
  readonly text: string;
}

const MEMBERS = 2000;
const SEED = 20_25;

/**
 * The next addition of salt, from an ensemble of plausible salt curves narrowed by the jars and the readings: the smallest
 * of the way to the target by the middle of the ensemble, the addition whose chance of passing the peak is 0.2 %, the one
 * that may end too thick with a small chance, and the middle of s₀ − w ⁄ 3. Deterministic for a seed.
 */
export function adviseThickening(thickening: Thickening, { seed = SEED }: { readonly seed?: number } = {}): ThickeningAdvice {
  const model = curveModel(thickening);
  const ensemble = drawEnsemble(model.problem, { members: MEMBERS, seed });
  const outlook = outlookOf(thickening, model, ensemble, seed);
  const verdict = verdictOf(thickening, outlook);
  const grams = verdict.state === "add" && verdict.reason === null ? outlook.grams : 0;
  const recommend = { grams, ...outlook.after(grams), peakChance: outlook.peakChance(grams) };
  const said = thickeningSaid(thickening, { ...verdict, recommend, highest: outlook.highestSafe });
  return {
    state: verdict.state,
    recommend,
    saltPercent: outlook.saltNow,
    said,
    text: thickeningText(said),
  };
}
