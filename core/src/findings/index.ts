export { forFace } from "./forFace.ts";
export { findingCodes, thingsToConsider, WEAR_CODES } from "./finding.ts";
export type { Finding, FindingCode, NotJudged, Rule, Severity } from "./finding.ts";
export type { Judged } from "./judged.ts";
export { judge, rules } from "./registry.ts";
