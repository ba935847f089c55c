import { adviseThickening, ON_TARGET, type Thickening } from "@tensidrum/core/rheology";
import { drawsFrom } from "./world/draws";
import { trueSaltCurve, type TrueSaltCurve } from "./world/trueSaltCurve";

/** How careful a maker is. */
export interface Maker {
  /** How often the funnel is timed after each rest. */
  readonly readingsEach: number;
  /** Salt in jars tried beforehand, above what the base brings, % w/w. */
  readonly jarSteps: readonly number[];
}

/** What came of one batch. */
export interface ThickeningOutcome {
  readonly additions: number;
  readonly passedPeak: boolean;
  readonly onTarget: boolean;
  /** Told to go on no further than this. */
  readonly state: string;
}

const MOST_ADDITIONS = 8;
/** Advice asked for in all, readings again included. */
const MOST_ADVICES = 25;

/** A maker who salts as advised and sees only the funnel. */
export function thickenByAdvice(number: number, { readingsEach, jarSteps }: Maker): ThickeningOutcome {
  const batch = trueSaltCurve(drawsFrom(number));
  const { batchGrams, hiddenSaltPercent, target } = batch;
  const readings = (gramsTotal: number): Thickening["additions"] =>
    Array.from({ length: readingsEach }, () => ({ gramsTotal, viscosity: batch.read() }));
  let thickening: Thickening = {
    batchGrams,
    hiddenSaltPercent,
    strengthPercent: 100,
    target,
    jars: jarSteps.map((step) => ({ saltPercent: hiddenSaltPercent + step, viscosity: batch.jar(step) })),
    additions: readings(0),
  };
  let additions = 0;
  let passedPeak = false;
  for (let advice = 0; ; advice += 1) {
    const { state, recommend } = adviseThickening(thickening);
    if (state !== "add" || additions === MOST_ADDITIONS || advice === MOST_ADVICES) {
      return { additions, passedPeak, onTarget: isOnTarget(batch), state };
    }
    if (recommend.grams > 0) {
      batch.add(recommend.grams);
      additions += 1;
      passedPeak ||= batch.isPastPeak();
    }
    const gramsTotal = thickening.additions.at(-1)!.gramsTotal + recommend.grams;
    thickening = { ...thickening, additions: [...thickening.additions, ...readings(gramsTotal)] };
  }
}

function isOnTarget(batch: TrueSaltCurve): boolean {
  return Math.abs(batch.trueViscosity() / batch.target - 1) <= ON_TARGET;
}
