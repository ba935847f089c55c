import type { Ensemble } from "../../numerics/ensemble.ts";
import { median, quantileOfSorted } from "../../numerics/quantiles.ts";
import { randomFrom } from "../../numerics/random.ts";
import { meantBy } from "../viscosity/words.ts";
import { plausibleLog10, plausibleSafeMax, plausibleSaltFor } from "./plausibleCurve.ts";
import { ADDITION_ERROR, ON_TARGET, type CurveModel, type Thickening } from "./plausibleCurves.ts";
import { gramsToSalt } from "./saltCurve.ts";
import { worthwhileGrams } from "./worthwhile.ts";

/** What the plausible salt curves say of the batch and of more salt. */
export interface Outlook {
  readonly saltNow: number;
  /** Advised addition, g; 0 where none is worth its risk. */
  readonly grams: number;
  readonly nowOnTarget: number;
  readonly nowMiddle: number;
  /** Share of the salt curves that reach the target short of their peak. */
  readonly reachable: number;
  readonly highestSafe: number;
  /** Share of the salt curves on whose safe edge, or beyond, the batch stands. */
  readonly nearTop: number;
  /** Share of the salt curves on which it stands past the peak. */
  readonly past: number;
  /** The brine is no saltier than the batch would have to be. */
  readonly isWeakBrine: boolean;
  after(grams: number): { readonly expected: number; readonly low: number; readonly high: number };
  peakChance(grams: number): number;
}

/** A gain below it is no peak to pass, decades. */
const NO_PEAK_DECADES = 0.04;
/** Aimed at inside a word: a little above where it begins, so that it surely is that word. */
const INTO_WORD = 0.3;

/** From where to where a thickness counts as what was wanted: 15 % around it, or the whole word where words were read. */
export function wishedRange({ target, additions }: Pick<Thickening, "target" | "additions">): {
  readonly low: number;
  readonly aim: number;
  readonly high: number;
} {
  if (additions.at(-1)?.gauge !== "word") return { low: target * (1 - ON_TARGET), aim: target, high: target * (1 + ON_TARGET) };
  const { from, to } = meantBy(target);
  return { low: from, aim: from ** (1 - INTO_WORD) * to ** INTO_WORD, high: to };
}

/** Looks at every plausible salt curve: where the batch stands on it, and what more salt would do. */
export function outlookOf(
  thickening: Thickening,
  model: CurveModel,
  { members, coordinates, coordinatesEach }: Ensemble,
  seed: number,
): Outlook {
  const { strengthPercent, additions } = thickening;
  const { massGrams } = model;
  const random = randomFrom(seed);
  const wished = wishedRange(thickening);
  const [low, aim, high] = [Math.log10(wished.low), Math.log10(wished.aim), Math.log10(wished.high)];
  const factors = Float64Array.from({ length: members }, () => 1 + ADDITION_ERROR * random.normal());
  const curves = Array.from({ length: members }, (_, k) => model.curveOf(coordinates, k * coordinatesEach));
  const salts = Float64Array.from({ length: members }, (_, k) => model.saltNow(coordinates, k * coordinatesEach));
  const now = Float64Array.from(curves, (curve, k) => plausibleLog10(curve, salts[k]!));
  const isPast = (k: number): boolean => salts[k]! > curves[k]!.peakSaltPercent;
  const gramsTo = (k: number, to: number): number => gramsToSalt(massGrams, { from: salts[k]!, to, strengthPercent }) / factors[k]!;
  const gramsToLog = (k: number, log10: number): number => {
    if (now[k]! >= log10) return 0;
    const salt = isPast(k) ? null : plausibleSaltFor(curves[k]!, log10);
    return salt === null ? Infinity : Math.max(0, gramsTo(k, salt));
  };
  const each = (of: (k: number) => number): Float64Array => Float64Array.from({ length: members }, (_, k) => of(k));
  const toSafe = each((k) => gramsTo(k, plausibleSafeMax(curves[k]!)));
  const toPeak = each((k) => (isPast(k) || curves[k]!.height < NO_PEAK_DECADES ? Infinity : gramsTo(k, curves[k]!.peakSaltPercent)));
  const atSafe = each((k) => (isPast(k) ? now[k]! : Math.max(now[k]!, plausibleLog10(curves[k]!, plausibleSafeMax(curves[k]!)))));
  const toAim = each((k) => (atSafe[k]! < low ? Infinity : Math.min(gramsToLog(k, aim), Math.max(0, toSafe[k]!))));
  const share = (isTrue: (k: number) => boolean): number => curves.filter((_, k) => isTrue(k)).length / members;
  const saltNow = median(salts);
  const saltAfter = (k: number, grams: number): number =>
    (massGrams * salts[k]! + grams * factors[k]! * strengthPercent) / (massGrams + grams * factors[k]!);
  return {
    saltNow,
    grams: worthwhileGrams(
      { toAim, toPeak, toTooThick: each((k) => gramsToLog(k, high)) },
      { massGrams, strengthPercent, saltNow, isByWord: additions.at(-1)?.gauge === "word" },
    ),
    nowOnTarget: share((k) => now[k]! >= low && now[k]! <= high),
    nowMiddle: 10 ** median(now),
    reachable: share((k) => toAim[k]! < Infinity),
    highestSafe: 10 ** median(atSafe),
    nearTop: share((k) => toSafe[k]! <= 0),
    past: share(isPast),
    isWeakBrine: median(toSafe) === Infinity,
    after(grams) {
      const sorted = each((k) => plausibleLog10(curves[k]!, saltAfter(k, grams))).sort();
      const [expected, least, most] = [0.5, 0.05, 0.95].map((part) => 10 ** quantileOfSorted(sorted, part));
      return { expected: expected!, low: least!, high: most! };
    },
    peakChance: (grams) => share((k) => grams > toPeak[k]!),
  };
}
