export { aimKeys, aimOf, aimedProfile, looks, noAim } from "./aim.ts";
export { thicknessWishes } from "./thicknessWish.ts";
export type { Aim, Look } from "./aim.ts";
export type { ThicknessWish } from "./thicknessWish.ts";
export { formulaMaterial } from "./blends/formulaMaterial.ts";
export { daysLeft, madeUpWater, replaceWater } from "./blends/madeUpWater.ts";
export type { MadeUpWater, ReplacedWater, WaterRecipe } from "./blends/madeUpWater.ts";
export { blendMaterial, nextRound, scentBlend, scentDifference, scentInFormula } from "./blends/scentBlend.ts";
export type { ScentBlend, ScentDifference, ScentInFormula, ScentRound, ScentShare } from "./blends/scentBlend.ts";
export { bodyComposition } from "./bodyComposition.ts";
export type { Layer, LayerKind } from "./bodyComposition.ts";
export { applyChange } from "./changes/formulaChange.ts";
export type { Changeable, FormulaChange } from "./changes/formulaChange.ts";
export { openRecipe } from "./changes/openRecipe.ts";
export type { OpenAmount, OpenRecipe } from "./changes/openRecipe.ts";
export { USUAL_LOSS_PERCENT, batchForContainers, batchForMaterial, roundsForPot, scaleToBatch, type PotRounds } from "./changes/scaling.ts";
export { draftPhase, formulaOfDraft, nothingMeasured, partName } from "./draft.ts";
export type { Draft, DraftLine, DraftPart, DraftPhase, KeptPhase, Measured } from "./draft.ts";
export { finestDecimals, gramsText } from "./gramsShown.ts";
export { leavesOf } from "./leaves.ts";
export type { Leaf } from "./leaves.ts";
export { OPEN_BELOW_PERCENT, OVER_ABOVE_PERCENT, massBalance } from "./massBalance.ts";
export type { MassBalance, MassState } from "./massBalance.ts";
export { profileOf, profiles } from "./profiles.ts";
export type { Profile, ProfileSlug } from "./profiles.ts";
export { resolveLines, wholeLines } from "./resolveLines.ts";
export { schoolOf, schools } from "./schools.ts";
export type { School, SchoolSlug } from "./schools.ts";
export { completeSnapshot, formulaForExport } from "./snapshot.ts";
export { dropsOf, smallDoseWay } from "./smallDose.ts";
export type { SmallDoseWay } from "./smallDose.ts";
export { allergenAmounts, allergenThresholdPercent } from "./sums/allergens.ts";
export type { Allergen } from "./sums/allergens.ts";
export type { CompositionEntry } from "./sums/rollUp.ts";
export type {
  Formula,
  FormulaLine,
  MeasuredProduct,
  OpenPart,
  LinePortion,
  OwnProcess,
  OwnStep,
  ProcessChoices,
  Phase,
  ResolvedLine,
  ResolvedSheet,
  Split,
  SplitLine,
} from "./types.ts";
export { shownFormulaName } from "./untitled.ts";
export { joinedPortions, withPortions } from "./portions.ts";
export { processForLines, withProcess } from "./process.ts";
