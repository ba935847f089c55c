import { drawEnsemble } from "../../numerics/ensemble.ts";
import { curveModel, missOf, restsOf, type Thickening } from "./plausibleCurves.ts";
import { outlookOf } from "./outlook.ts";
import { thickeningSaid, thickeningText, type ThickeningSaid } from "./thickeningText.ts";
import type { AdditionAdvice } from "./additionAdvice.ts";
import { NO_FIT, verdictOf, type ThickeningState } from "./verdict.ts";

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
 * The next addition of salt, from an ensemble of plausible salt curves narrowed by the jars and the readings: the one that
 * is worth most, what it brings nearer to the target against what it may spoil; no more than what has a chance of 0.2 % to
 * pass the peak where that still tells something. Bases that hardly answer, plateaus, two slopes and hidden salt told
 * wrongly are held possible. Readings that fit no member are read again, then stand without the jars. Deterministic for a
 * seed.
 */
export function adviseThickening(thickening: Thickening, { seed = SEED }: { readonly seed?: number } = {}): ThickeningAdvice {
  const model = curveModel(thickening);
  const ensemble = drawEnsemble(model.problem, { members: MEMBERS, seed });
  const outlook = outlookOf(thickening, model, ensemble, seed);
  const rest = restsOf(thickening.additions).at(-1);
  if (thickening.jars.length > 0 && rest !== undefined && rest.readings.length > 1 && missOf(rest, outlook.nowMiddle) > NO_FIT) {
    // Read again and the same again, it is so: the batch is not the base the samples were made of.
    return adviseThickening({ ...thickening, jars: [] }, { seed });
  }
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
