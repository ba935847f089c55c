import { adviseThickening, ON_TARGET, type Thickening } from "@tensidrum/core/thickness";
import { drawsFrom } from "./world/draws";
import { hiddenHill } from "./world/hiddenHill";

/** What came of one batch. */
export interface ThickeningOutcome {
  readonly additions: number;
  readonly passedPeak: boolean;
  readonly onTarget: boolean;
  readonly state: string;
}

const MOST_ADDITIONS = 8;

/** A maker who salts as advised, without jars, and sees only the funnel. */
export function thickenByAdvice(number: number): ThickeningOutcome {
  const batch = hiddenHill(drawsFrom(number));
  const { batchGrams, hiddenSaltPercent, target } = batch;
  let thickening: Thickening = {
    batchGrams,
    hiddenSaltPercent,
    strengthPercent: 100,
    target,
    jars: [],
    additions: [{ gramsTotal: 0, viscosity: batch.read() }],
  };
  let passedPeak = false;
  let additions = 0;
  for (;;) {
    const { state, recommend, text } = adviseThickening(thickening);
    if (state !== "add" || additions === MOST_ADDITIONS) {
      return {
        additions,
        passedPeak,
        onTarget: Math.abs(batch.trueViscosity() / target - 1) <= ON_TARGET,
        state: state + " " + text.slice(0, 12),
      };
    }
    if (recommend.grams > 0) {
      batch.add(recommend.grams);
      additions += 1;
      passedPeak ||= batch.isPastPeak();
    }
    const gramsTotal = thickening.additions.at(-1)!.gramsTotal + recommend.grams;
    thickening = { ...thickening, additions: [...thickening.additions, ...[0, 1, 2].map(() => ({ gramsTotal, viscosity: batch.read() }))] };
  }
}
