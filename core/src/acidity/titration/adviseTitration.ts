import { drawEnsemble } from "../../numerics/ensemble.ts";
import type { Titration } from "./bookkeeping.ts";
import { bufferCurve, STRIP_SIGMA, type BufferPoint } from "./bufferCurve.ts";
import { misfitOf, phNow, shareInside } from "./forecast.ts";
import { batchModel, type BatchModel } from "./plausibleBatches.ts";
import { median } from "../../numerics/quantiles.ts";
import { NO_FIT, OUTSIDE_BY, situationOf, withoutDose, type TitrationState } from "./situation.ts";
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
  /** Titration of a sample of this batch: its curve is the batch's. */
  readonly sample?: Titration | null;
  /** It is itself a sample taken aside. */
  readonly isSample?: boolean;
}

const MEMBERS = 1500;
const SEED = 20_25;

/**
 * The next dose of acid or base, from an ensemble of plausible batches: sites of the formula as listed, at times off by a
 * factor or not there; up to three unknown ones, a weak background; pKas moved by the salts of the wash; an instrument that
 * is off; readings that are behind, or slips; weighted by every reading. The dose is the smaller of the one to the middle
 * of the window by the middle of the ensemble, and the one whose chance of passing the far edge by more than a tenth is
 * 0.6 %. It is inside only where hardly one plausible batch is clearly outside and the reading itself says so.
 * Deterministic for a seed.
 */
export function adviseTitration(
  titration: Titration,
  { seed = SEED, earlier = [], sample = null, isSample = false }: AdviceOptions = {},
): TitrationAdvice {
  const model = batchModel(titration, sample === null ? earlier : [...earlier, sample]);
  const ensemble = drawEnsemble(model.problem, { members: MEMBERS, seed });
  const phs = phNow(model, ensemble);
  const { low, high } = titration.target;
  const insideChance = shareInside(phs, low, high);
  const misfit = misfitOf(model, ensemble);
  const standing = readingsAtLastDose(titration);
  if (misfit > NO_FIT && standing.length > 1 && standing.length < titration.readings.length) {
    // Read twice and the same twice, it is so, whatever was dosed: what came before says nothing of this batch.
    return { ...adviseTitration({ ...titration, readings: standing }, { seed, isSample }), bufferCurve: curveOf(model, titration) };
  }
  const reading = model.pooled.at(-1)!;
  const by = reading.sigma >= STRIP_SIGMA ? OUTSIDE_BY.strip : OUTSIDE_BY.meter;
  const outsideChance = 1 - shareInside(phs, low - by, high + by);
  const first = situationOf(titration, model, { ph: median(phs), insideChance, outsideChance, misfit });
  const dose = nextDose(titration, model, ensemble, {
    situation: first,
    seed,
    dosing: isSample ? "sample" : sample === null ? "batch" : "shown",
  });
  const isStuck = first.state === "dose" && first.needs === null && dose.advice.grams === 0;
  const situation = isStuck ? withoutDose(first, reading, titration.target, outsideChance) : first;
  const said = titrationSaid(titration, situation, dose);
  return {
    state: situation.state,
    recommend: dose.advice,
    bufferCurve: curveOf(model, titration),
    insideChance,
    said,
    text: adviceText(said),
  };
}

function curveOf({ stations }: BatchModel, { agent, counterAgent }: Titration): readonly BufferPoint[] {
  return bufferCurve(stations, agent, counterAgent);
}

/** The last reading with those taken again since the same dose. */
function readingsAtLastDose({ readings }: Titration): Titration["readings"] {
  const last = readings.at(-1)!;
  const isSame = (one: Titration["readings"][number]): boolean =>
    one.doseGramsTotal === last.doseGramsTotal &&
    (one.counterGramsTotal ?? 0) === (last.counterGramsTotal ?? 0) &&
    (one.otherGramsTotal ?? 0) === (last.otherGramsTotal ?? 0) &&
    (one.backGramsTotal ?? 0) === (last.backGramsTotal ?? 0);
  return readings.slice(readings.findIndex(isSame));
}
