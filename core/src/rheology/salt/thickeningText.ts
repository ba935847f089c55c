import type { AdditionAdvice } from "./additionAdvice.ts";
import type { HoldReason, ThickeningState } from "./verdict.ts";
import type { Thickening } from "./plausibleCurves.ts";

interface Told {
  readonly state: ThickeningState;
  readonly reason: HoldReason | null;
  readonly recommend: AdditionAdvice;
  /** Thickness at the top of the safe part, by the middle of the ensemble. */
  readonly highest: number;
}

/** As the scale shows it: hundredths of a gram, thousandths below one. */
const grams = (value: number): string => value.toFixed(value < 1 ? 3 : 2);
const short = (value: number): string => String(Number(value.toPrecision(3)));

const HOLDS: Readonly<Record<HoldReason, string>> = {
  lost: "The last addition thinned it: the peak is passed. Stop salting; dilute with unsalted base, or thicken it with a gum slurry.",
  "no-gain":
    "The last addition gained less than a tenth: salt will not thicken it further. Stop, and use a gum or an associative thickener.",
  "too-thick": "Thicker than wanted. Stop; a little water or unsalted base brings it back.",
  measure: "Measure the thickness before the first addition: without a reading or a sample nothing is known of this base.",
  reread: "Near the target, but one reading scatters by more than that: read again before anything more goes in.",
  "weak-brine": "The brine is no saltier than the batch has to be: it would only thin it. Use a stronger one, or dry salt.",
  pastPeak: "The next gram could pass the peak. Stop here, or make salt-curve samples of the base.",
};

/** From here on it is salt with a trace of water, no brine. */
const DRY_PERCENT = 90;

/** The advice in words. */
export function thickeningText(thickening: Thickening, { state, reason, recommend, highest }: Told): string {
  const { target, batchGrams, strengthPercent } = thickening;
  if (state === "in-target") return "On target. Let it stand and judge again tomorrow; scent may still thin it.";
  if (state === "unreachable")
    return `Salt alone will not bring this base to ${short(target)}: its safe part ends near ${short(highest)} (estimate). Use another route.`;
  if (reason !== null) return HOLDS[reason];
  const percent = ((100 * recommend.grams) / batchGrams).toFixed(2);
  const bottle = strengthPercent < DRY_PERCENT ? "brine" : "salt";
  return `Add ${grams(recommend.grams)} g of ${bottle} (${percent} % of the batch), stir slowly, rest five to ten minutes, read again. Expect ${short(recommend.expected)}, most likely ${short(recommend.low)} to ${short(recommend.high)} (estimate).`;
}
