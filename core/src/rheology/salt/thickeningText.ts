import type { AdditionAdvice } from "./additionAdvice.ts";
import type { HoldReason, ThickeningState } from "./verdict.ts";
import type { Thickening } from "./plausibleCurves.ts";
import { thicknessWord, type ThicknessWord } from "../viscosity/words.ts";

interface Told {
  readonly state: ThickeningState;
  readonly reason: HoldReason | null;
  readonly recommend: AdditionAdvice;
  /** Thickness at the top of the safe part, by the middle of the ensemble. */
  readonly highest: number;
}

/** The advice as code and facts. */
export type ThickeningSaid =
  /** `word`: it was told in words, and stands in this one; else null. */
  | { readonly code: "on-target"; readonly word: ThicknessWord | null }
  | { readonly code: "unreachable"; readonly target: number; readonly highest: number }
  | { readonly code: HoldReason }
  | {
      readonly code: "add";
      readonly what: "brine" | "salt";
      readonly grams: number;
      /** Of the batch. */
      readonly percent: number;
      readonly expected: number;
      readonly low: number;
      readonly high: number;
    };

/** From here on it is salt with a trace of water, no brine. */
const DRY_PERCENT = 90;

/** What verdict and addition say, before words. */
export function thickeningSaid(thickening: Thickening, { state, reason, recommend, highest }: Told): ThickeningSaid {
  const { target, batchGrams, strengthPercent, additions } = thickening;
  if (state === "in-target") return { code: "on-target", word: additions.at(-1)?.gauge === "word" ? thicknessWord(target) : null };
  if (state === "unreachable") return { code: "unreachable", target, highest };
  if (reason !== null) return { code: reason };
  const { grams, expected, low, high } = recommend;
  return {
    ...{ grams, expected, low, high },
    code: "add",
    what: strengthPercent < DRY_PERCENT ? "brine" : "salt",
    percent: (100 * grams) / batchGrams,
  };
}

const HOLDS: Readonly<Record<HoldReason, string>> = {
  lost: "The last addition thinned it: the peak is passed. Stop salting; dilute with unsalted base, or thicken it with a gum slurry.",
  "no-gain":
    "The last addition gained less than a tenth: salt will not thicken it further. Stop, and use a gum or an associative thickener.",
  "no-fit": "This reading fits neither the samples nor the readings before it. Stir, rest and read again; read the same again, it stands.",
  doubt: "Read it again before anything more goes in: one reading scatters too much for the next decision.",
  "too-thick": "Thicker than wanted. Stop; a little water or unsalted base brings it back.",
  measure: "Measure the thickness before the first addition: without a reading or a sample nothing is known of this base.",
  reread: "Near the target, but one reading scatters by more than that: read again before anything more goes in.",
  "weak-brine": "The brine is no saltier than the batch has to be: it would only thin it. Use a stronger one, or dry salt.",
  pastPeak:
    "More salt would more likely pass the peak than reach the target. Stop here, or make salt-curve samples of the base first; a gum or an associative thickener goes further.",
};

/** As the scale shows it: hundredths of a gram, thousandths below one. */
const written = (grams: number): string => grams.toFixed(grams < 1 ? 3 : 2);
const short = (value: number): string => String(Number(value.toPrecision(3)));

/** The advice in words. */
export function thickeningText(said: ThickeningSaid): string {
  switch (said.code) {
    case "on-target":
      return `${said.word === null ? "On target." : `It is a ${said.word}, as wanted; a word cannot tell nearer, a flow cup can.`} Let it stand and judge again tomorrow; scent may still thin it.`;
    case "unreachable":
      return `Salt alone will hardly bring this base to ${short(said.target)}: it most likely ends near ${short(said.highest)} (estimate). Stop salting; a gum slurry or an associative thickener takes it further.`;
    case "add":
      return `Add ${written(said.grams)} g of ${said.what} (${said.percent.toFixed(2)} % of the batch), stir slowly, rest five to ten minutes, read again. Expect ${short(said.expected)}, most likely ${short(said.low)} to ${short(said.high)} (estimate).`;
    default:
      return HOLDS[said.code];
  }
}
