export { correctedTargets, deviationsOf, formulaAsMade } from "./deviations.ts";
export type { ActualGrams, Deviation } from "./deviations.ts";
export { evaporationTopUpGrams } from "./evaporation.ts";
export { stages, type Stage, type Step, type StepList, type Vessel, type VesselId } from "./step.ts";
export { stepsOf } from "./stepsOf.ts";
