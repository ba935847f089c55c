import type { Lacking } from "../formula/lacking.ts";
import type { FormulaChange } from "../formula/changes/formulaChange.ts";
import type { FindingCode, FindingFacts } from "./facts.ts";
import type { Judged } from "./judged.ts";

export type { FindingCode } from "./facts.ts";

/** What to wear: said in one line on a screen, however many materials ask for it. */
export const WEAR_CODES: ReadonlySet<FindingCode> = new Set<FindingCode>(["DUST", "CORROSIVE", "EYE_IRRITANT"]);

/** How many things there are to consider: what to wear is one. */
export function thingsToConsider(findings: readonly { readonly code: FindingCode; readonly severity: Severity }[]): number {
  const considered = findings.filter(({ severity }) => severity === "consider");
  const wear = considered.filter(({ code }) => WEAR_CODES.has(code)).length;
  return considered.length - Math.max(0, wear - 1);
}

/** "stop": do not make it so; "fix": it will disappoint; "consider": know it. */
export type Severity = "stop" | "fix" | "consider";

export const findingCodes = [
  "MASS_OVER",
  "MASS_OPEN",
  "MASS_NO_QS",
  "LINE_OPEN",
  "ACTIVE_LOW",
  "ACTIVE_HIGH",
  "CHARGE_CLASH",
  "ONE_SURFACTANT",
  "ANIONIC_HEAVY",
  "MILDNESS_FOR_FACE",
  "SCHOOL_BREACH",
  "PRESERVATIVE_MISSING",
  "PRESERVATIVE_LOW",
  "PRESERVATIVE_HIGH",
  "PRESERVATIVE_DILUTED",
  "PRESERVATIVE_PH",
  "PRESERVATIVE_INACTIVATED",
  "PRESERVATIVE_HEAT",
  "PRESERVATIVE_HELPER",
  "PRESERVATIVE_NEEDLESS",
  "MICROBE_FOOD",
  "OIL_LOOSE",
  "EMULSIFIER_MISSING",
  "WAX_COLD",
  "SPLIT_TEMPERATURE",
  "FRAGRANCE_HIGH",
  "ALLERGEN_DECLARE",
  "GUM_DRY",
  "GUM_RATIO",
  "SALT_NO_GRIP",
  "SALT_PAST_PEAK",
  "SALT_MEETS_GUM",
  "POLYMER_SALT",
  "GUAR_ACID_FIRST",
  "PARTICLES_SINK",
  "PUMP_CLOG",
  "SOAP_ACIDIFIED",
  "PH_NO_CORRIDOR",
  "PH_OUTSIDE",
  "EYE_PH",
  "CLOUDY_LIKELY",
  "COLOUR_SHIFT",
  "DUST",
  "CORROSIVE",
  "EYE_IRRITANT",
  "NUT",
  "GLUTEN",
  "SOY",
  "COARSE_ON_FACE",
  "RESTRICTED",
  "LIMIT_OVER",
  "ACTIVE_DOSE",
  "GUM_OVER",
  "RAW_PH_HIGH",
  "KEEP_DARK",
  "TOO_SMALL_TO_WEIGH",
] as const satisfies readonly FindingCode[];

interface Found<Code extends FindingCode> {
  readonly code: Code;
  readonly severity: Severity;
  /** Ids of the lines it is about. */
  readonly lines: readonly string[];
  /** What it rests on, as numbers and slugs; the catalogue of wording turns them into sentences. */
  readonly facts: FindingFacts[Code];
  /** The cure as a change of the formula, where a number alone fixes it. */
  readonly change?: FormulaChange;
}

export type Finding = { readonly [Code in FindingCode]: Found<Code> }[FindingCode];

/** Readings that can be missing as a whole. */
export type ReadingName = "densityGramsPerMl" | "waterActivity" | "phCorridor" | "composition" | "micelles" | "irritation" | "foam";

/** What a rule or a reading needed and did not get. */
export type NotJudged = Lacking<FindingCode | ReadingName>;

export interface Rule {
  readonly codes: readonly FindingCode[];
  check(judged: Judged): readonly Finding[];
  notJudged?(judged: Judged): readonly NotJudged[];
}
