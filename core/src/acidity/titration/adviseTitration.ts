import { drawEnsemble } from "../../numerics/ensemble.ts";
import type { Titration } from "./bookkeeping.ts";
import { bufferCurve, type BufferPoint } from "./bufferCurve.ts";
import { phNow, shareInside } from "./forecast.ts";
import { batchModel } from "./plausibleBatches.ts";
import { median } from "../../numerics/quantiles.ts";
import { situationOf, type TitrationState } from "./situation.ts";
import { nextDose, type DoseAdvice } from "./nextDose.ts";
import { adviceText, titrationSaid, type TitrationSaid } from "./wording.ts";

export interface TitrationAdvice {
  readonly state: TitrationState;
  readonly recommend: DoseAdvice;
  readonly bufferCurve: readonly BufferPoint[];
  /** Chance that the batch truly is inside the window now, 0 to 1. */
  readonly insideChance: number;
  readonly said: TitrationSaid;
  readonly text: string;
}

export interface AdviceOptions {
  readonly seed?: number;
  /** Titrations of earlier batches of this version. */
  readonly earlier?: readonly Titration[];
}

const MEMBERS = 2000;
const SEED = 20_25;

/**
 * The next dose of acid or base, from an ensemble of plausible batches: known sites of the formula within their ranges
 * and ± 20 %, up to three unknown ones, a weak background; weighted by every reading. The dose is the smaller of the one
 * to the middle of the window by the middle of the ensemble, and the one whose chance of passing the far edge is 0.1 %.
 * Deterministic for a seed.
 */
export function adviseTitration(titration: Titration, { seed = SEED, earlier = [] }: AdviceOptions = {}): TitrationAdvice {
  const model = batchModel(titration, earlier);
  const ensemble = drawEnsemble(model.problem, { members: MEMBERS, seed });
  const phs = phNow(model, ensemble);
  const { low, high } = titration.target;
  const insideChance = shareInside(phs, low, high);
  const situation = situationOf(titration, model.stations, { ph: median(phs), insideChance });
  const dose = nextDose(titration, model, ensemble, { situation, seed });
  const said = titrationSaid(titration, situation, dose);
  return {
    state: situation.state,
    recommend: dose.advice,
    bufferCurve: bufferCurve(model.stations, titration.agent, titration.counterAgent),
    insideChance,
    said,
    text: adviceText(said),
  };
}
