export { preservationChecks } from "./checks.ts";
export type { PreservationCheck, PreservationCheckName, PreservationCheckState } from "./checks.ts";
export { dilute, topUpPercent } from "./dilution.ts";
export type { DilutedPreservative, Dilution, DilutionParts } from "./dilution.ts";
export type { JudgedPh } from "./judgedPh.ts";
export { preservativeDoses, preservativeReadings, strengthCurve, workingDosePercent } from "./preservatives.ts";
export type { PreservativeDose, PreservativeReading, StrengthPoint } from "./preservatives.ts";
export { electrolyteActivity, norrishActivity, waterActivityReading } from "./waterActivity.ts";
export type { SoluteShare, WaterActivityReading } from "./waterActivity.ts";
