import { adviseThickening, type Thickening } from "@tensidrum/core/rheology";
import { drawsFrom } from "./world/draws";
import { classOf, trueSaltCurve, type TrueSaltCurve } from "./world/trueSaltCurve";

/** What came of one batch. */
export interface ThickeningOutcome {
  readonly classes: TrueSaltCurve["classes"];
  readonly additions: number;
  /** An addition carried it past the peak. */
  readonly passedPeak: boolean;
  /** Told to be on target. */
  readonly saidOnTarget: boolean;
  /** Within 15 %, or in the class of the wish where only words were asked. */
  readonly onTarget: boolean;
  /** Salt in all at the end, % w/w. */
  readonly saltPercent: number;
  /** What the advisor said last. */
  readonly last: string;
  readonly promised: readonly { readonly chance: number; readonly passed: boolean }[];
}

const MOST_ADDITIONS = 20;
/** Advice asked for in all, readings again included. */
const MOST_ADVICES = 60;
const NEAR = 0.15;

/** A maker who salts as advised and sees only the gauge. */
export function thickenByAdvice(number: number): ThickeningOutcome {
  const batch = trueSaltCurve(drawsFrom(number));
  const { batchGrams, toldSaltPercent, target, classes } = batch;
  let thickening: Thickening = {
    ...{ batchGrams, target, strengthPercent: 100, jars: [] },
    hiddenSaltPercent: toldSaltPercent,
    additions: [readingOf(batch, 0)],
  };
  let additions = 0;
  let passedPeak = false;
  const promised: { chance: number; passed: boolean }[] = [];
  for (let advice = 0; ; advice += 1) {
    const { state, recommend, said } = adviseThickening(thickening);
    if (state !== "add" || additions === MOST_ADDITIONS || advice === MOST_ADVICES) {
      return {
        ...{ classes, additions, passedPeak, promised, onTarget: isOnTarget(batch), last: said.code },
        saidOnTarget: state === "in-target",
        saltPercent: batch.saltPercent(),
      };
    }
    if (recommend.grams > 0) {
      const wasPast = batch.isPastPeak();
      batch.add(recommend.grams);
      additions += 1;
      const passes = !wasPast && batch.isPastPeak();
      passedPeak ||= passes;
      promised.push({ chance: recommend.peakChance, passed: passes });
    }
    const gramsTotal = thickening.additions.at(-1)!.gramsTotal + recommend.grams;
    thickening = { ...thickening, additions: [...thickening.additions, readingOf(batch, gramsTotal)] };
  }
}

const TOLD_BY = { viscometer: "number", funnel: "funnel", words: "word" } as const;

const readingOf = (batch: TrueSaltCurve, gramsTotal: number): Thickening["additions"][number] => ({
  gramsTotal,
  viscosity: batch.read(),
  gauge: TOLD_BY[batch.classes.gauge],
});

function isOnTarget({ trueViscosity, target, classes }: TrueSaltCurve): boolean {
  if (classes.gauge === "words") return classOf(trueViscosity()) === classOf(target);
  return Math.abs(trueViscosity() / target - 1) <= NEAR;
}
