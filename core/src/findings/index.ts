export { judge, rules } from "./registry.ts";
export type { Finding, FindingCode, Judged, NotJudged, Rule, Severity } from "./finding.ts";
