export { adviseThickening } from "./salt/adviseThickening.ts";
export type { AdditionAdvice, ThickeningAdvice } from "./salt/adviseThickening.ts";
export type { ThickeningState } from "./salt/verdict.ts";
export { answerSaltCurve, type SaltCurveAnswer } from "./salt/answerSaltCurve.ts";
export { fitSaltCurve, type SaltFit, type SaltFitting, type SaltPoint } from "./salt/fitSaltCurve.ts";
export { drawnHill, fittedHill, type DrawnHill } from "./salt/drawnHill.ts";
export { gramsToSalt, safeMaxPercent, saltFor, viscosityAt, type Hill } from "./salt/hill.ts";
export { ON_TARGET, type Thickening } from "./salt/plausibleHills.ts";
export { earliestCorrectionMinutes, hydrationClocks, slurryOf, type HydrationClock } from "./hydration.ts";
export { polymerStepGrams } from "./polymerStep.ts";
export { thickeningRoutes, type RouteName, type ThickeningRoute } from "./routes.ts";
export { settlingOf, yieldEstimate, type Particle, type Settling, type YieldEstimate } from "./settling.ts";
export { beadViscosity, type BeadDrop, type BeadViscosity } from "./viscosity/beadDrop.ts";
export {
  calibrateFunnel,
  flowViscosity,
  glycerinPascalSeconds,
  type FlowViscosity,
  type FunnelConstants,
  type KnownLiquid,
} from "./viscosity/flowTime.ts";
export { thicknessWord, type ThicknessWord } from "./viscosity/words.ts";
