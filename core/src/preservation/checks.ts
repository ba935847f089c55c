import { leavesOf } from "../formula/leaves.ts";
import type { ResolvedSheet } from "../formula/types.ts";
import { isChelator } from "./classes.ts";
import type { JudgedPh } from "./judgedPh.ts";
import { microbeNutrients } from "./microbeNutrients.ts";
import type { PreservativeReading } from "./preservatives.ts";

/** Water below this activity feeds nothing, rare moulds only, or mainly moulds and yeasts. */
const NOTHING_GROWS_BELOW = 0.6;
const RARE_MOULDS_BELOW = 0.7;
const NO_BACTERIA_BELOW = 0.85;
const ACID_BELOW = 5;
const ALKALINE_FROM = 9.5;

interface CheckReasons {
  ph: "unknown" | "acid" | "alkaline" | "comfortable";
  "water-activity": "no-water" | "nothing-grows" | "rare-moulds" | "moulds-and-yeasts" | "everything-grows";
  preservative: "no-water" | "none" | "low" | "dose-unknown" | "within-dose";
  chelator: "no-water" | "there" | "missing";
  "microbe-nutrients": "few" | "many";
  "clean-process": "your-task";
  pack: "your-task";
}

export type PreservationCheckName = keyof CheckReasons;

/** "yours": nothing in the formula decides it. */
export type PreservationCheckState = "pass" | "weak" | "open" | "unknown" | "yours";

interface Check<Name extends PreservationCheckName> {
  readonly check: Name;
  readonly state: PreservationCheckState;
  readonly reason: CheckReasons[Name];
  /** The number it is judged by; null where there is none. */
  readonly value: number | null;
  /** Preservatives below their usual dose, by slug. */
  readonly low?: readonly string[];
  /** Where the pH comes from. */
  readonly phFrom?: (JudgedPh & { readonly ph: number })["from"];
}

/** One of the things that hold microbes down. Several weak ones together can do what none does alone (Leistner 2000). */
export type PreservationCheck = { readonly [Name in PreservationCheckName]: Check<Name> }[PreservationCheckName];

export interface CheckReadings {
  readonly ph: JudgedPh;
  /** 0 to 1; null without water. */
  readonly waterActivity: number | null;
  readonly preservatives: readonly PreservativeReading[];
}

/** Everything that preserves the finished product, each with its own state. An aid to thought; only a microbiology test decides. */
export function preservationChecks(sheet: ResolvedSheet, readings: CheckReadings): readonly PreservationCheck[] {
  return [
    phCheck(readings.ph),
    waterCheck(readings.waterActivity),
    preservativeCheck(readings.preservatives, readings.waterActivity === null),
    chelatorCheck(sheet, readings.waterActivity === null),
    nutrientCheck(sheet),
    { check: "clean-process", state: "yours", reason: "your-task", value: null },
    { check: "pack", state: "yours", reason: "your-task", value: null },
  ];
}

function phCheck({ ph, from }: JudgedPh): PreservationCheck {
  const check = "ph";
  if (ph === null) return { check, state: "unknown", reason: "unknown", value: null };
  if (ph <= ACID_BELOW) return { check, state: "pass", reason: "acid", value: ph, phFrom: from };
  if (ph >= ALKALINE_FROM) return { check, state: "pass", reason: "alkaline", value: ph, phFrom: from };
  return { check, state: "weak", reason: "comfortable", value: ph, phFrom: from };
}

function waterCheck(value: number | null): PreservationCheck {
  const check = "water-activity";
  if (value === null) return { check, state: "pass", reason: "no-water", value };
  if (value < NOTHING_GROWS_BELOW) return { check, state: "pass", reason: "nothing-grows", value };
  if (value < RARE_MOULDS_BELOW) return { check, state: "pass", reason: "rare-moulds", value };
  if (value < NO_BACTERIA_BELOW) return { check, state: "weak", reason: "moulds-and-yeasts", value };
  return { check, state: "open", reason: "everything-grows", value };
}

function preservativeCheck(preservatives: readonly PreservativeReading[], isDry: boolean): PreservationCheck {
  const check = "preservative";
  if (preservatives.length === 0 && isDry) return { check, state: "pass", reason: "no-water", value: null };
  if (preservatives.length === 0) return { check, state: "open", reason: "none", value: null };
  const working = preservatives.reduce((sum, { workingPercent }) => sum + (workingPercent ?? 0), 0);
  const value = preservatives.some(({ workingPercent }) => workingPercent !== null) ? working : null;
  const low = preservatives.filter(({ percent, low: least }) => least !== null && percent < least).map(({ material }) => material);
  if (low.length > 0) return { check, state: "weak", reason: "low", value, low };
  if (preservatives.some(({ low: least }) => least === null)) return { check, state: "unknown", reason: "dose-unknown", value };
  return { check, state: "pass", reason: "within-dose", value };
}

function chelatorCheck({ lines, materials }: ResolvedSheet, isDry: boolean): PreservationCheck {
  let percent = 0;
  for (const line of lines) {
    for (const leaf of leavesOf(line.material, materials)) {
      if (isChelator(leaf.material)) percent += line.percent * leaf.fraction;
    }
  }
  const check = "chelator";
  if (percent === 0 && isDry) return { check, state: "pass", reason: "no-water", value: 0 };
  return percent > 0 ? { check, state: "pass", reason: "there", value: percent } : { check, state: "open", reason: "missing", value: 0 };
}

function nutrientCheck(sheet: ResolvedSheet): PreservationCheck {
  const { counts, percent } = microbeNutrients(sheet);
  const check = "microbe-nutrients";
  return counts ? { check, state: "weak", reason: "many", value: percent } : { check, state: "pass", reason: "few", value: percent };
}
