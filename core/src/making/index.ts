export { correctedTargets, deviationsOf, formulaAsMade } from "./deviations.ts";
export type { ActualGrams, Deviation } from "./deviations.ts";
export { evaporationTopUpGrams } from "./evaporation.ts";
export { stages, type Stage, type Step, type StepList, type Vessel, type VesselId } from "./step.ts";
export { stepsOf } from "./stepsOf.ts";
export { hasWeighed, whyNot } from "./batch/admit.ts";
export { sumsAsMade } from "./batch/asMade.ts";
export type { SumAsMade } from "./batch/asMade.ts";
export { batchState, standingEntries } from "./batch/batchState.ts";
export type { BatchLine, BatchPlan, BatchState, BatchStep } from "./batch/batchState.ts";
export { contentsOf, evaporationAt, partTargetGrams } from "./batch/contents.ts";
export { entryKinds, phWays, readOffs, thicknessUnits } from "./batch/entries.ts";
export type { BatchEntry, DosedAgent, DosedSalt, PhWay, ReadOff, ThicknessUnit } from "./batch/entries.ts";
export { nextStep, type NextStep } from "./batch/nextStep.ts";
export { planBatch } from "./batch/planBatch.ts";
export { preflight } from "./batch/preflight.ts";
export type { LotForBatch, PreflightItem } from "./batch/preflight.ts";
export { isRunning, waitsOf, type Wait } from "./batch/waits.ts";
export { agentsOf, type BenchAgent } from "./tuning/agents.ts";
export { curveInGrams, phTuning, tunedCorridor, type PhRow, type PhTuning } from "./tuning/phTuning.ts";
export { questionOf, questionOfHaste } from "./tuning/questions.ts";
export { polymerTunings, type PolymerTuning } from "./tuning/polymerTuning.ts";
export { hydrating, type Hydrating } from "./tuning/hydrating.ts";
export { surfactantBaseOf, type SurfactantBase } from "./tuning/surfactantBase.ts";
export {
  aimedThickness,
  saltsOf,
  thicknessTuning,
  upToCliffGrams,
  type Jar,
  type ThicknessRow,
  type ThicknessTuning,
} from "./tuning/thicknessTuning.ts";
export { hiddenBatch, type HiddenBatch } from "./rehearsal/hiddenBatch.ts";
export { trueCurve, trueDoseGrams } from "./rehearsal/hiddenCurve.ts";
export { playedUntilTuned } from "./rehearsal/playedUntil.ts";
export { rehearsalScore, type RehearsalScore, type ScorePart } from "./rehearsal/rehearsalScore.ts";
export { truthAfter, type Truth } from "./rehearsal/truth.ts";
