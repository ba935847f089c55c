import type { ActiveMatter } from "../actives/activeMatter.ts";
import type { MassBalance } from "../formula/massBalance.ts";
import type { Profile } from "../formula/profiles.ts";
import type { SettledSheet } from "../formula/types.ts";
import type { WeighedLine } from "../formula/weighSheet.ts";

export type Severity = "stop" | "fix" | "consider";

export type FindingCode = "MASS_OVER" | "MASS_OPEN" | "MASS_NO_QS" | "ACTIVE_LOW" | "ACTIVE_HIGH" | "CHARGE_CLASH" | "TOO_SMALL_TO_WEIGH";

export interface Finding {
  readonly code: FindingCode;
  readonly severity: Severity;
  /** Ids of the lines it is about. */
  readonly lines: readonly string[];
  /** The fact, with its number. */
  readonly what: string;
  readonly why: string;
  /** What to do, with its number where there is one. */
  readonly cure: string;
}

/** Readings that can be missing as a whole. */
export type ReadingName = "densityGramsPerMl" | "waterActivity" | "phCorridor" | "composition" | "micelles" | "irritation" | "foam";

/** What a rule or a reading needed and did not get. */
export interface NotJudged {
  readonly what: FindingCode | ReadingName;
  readonly missing: string;
  readonly lines: readonly string[];
}

/** All a rule may look at. */
export interface Judged {
  readonly sheet: SettledSheet;
  readonly profile: Profile;
  readonly balance: MassBalance;
  readonly activeMatter: ActiveMatter;
  readonly weighed: readonly WeighedLine[];
}

export interface Rule {
  readonly codes: readonly FindingCode[];
  check(judged: Judged): readonly Finding[];
  notJudged?(judged: Judged): readonly NotJudged[];
}
