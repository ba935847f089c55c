import { phCorridor, type PhCorridor } from "../acidity/corridor.ts";
import { activeMatterOfLine, sumActiveMatter, type ActiveMatter } from "../surfactants/activeMatter.ts";
import type { Foam } from "../surfactants/foam.ts";
import type { Irritation } from "../surfactants/irritation.ts";
import type { NotJudged } from "../findings/finding.ts";
import type { ReadSheet } from "../findings/judged.ts";
import { preservationChecks, type PreservationCheck } from "../preservation/checks.ts";
import { judgedPh, type JudgedPh } from "../preservation/judgedPh.ts";
import { preservativeDoses, preservativeReadings, type PreservativeReading } from "../preservation/preservatives.ts";
import { waterActivityReading } from "../preservation/waterActivity.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import type { MicellesInUse } from "../surfactants/micelles/inUse.ts";
import { baseHashOf } from "../surfactants/baseHash.ts";
import { cleansersOf } from "../surfactants/cleansers.ts";
import { mildnessOf } from "../surfactants/mildness.ts";
import { thickeningRoutes, type ThickeningRoute } from "../rheology/routes.ts";
import { aimedProfile } from "../formula/aim.ts";
import { clarityOutlook, type ClarityOutlook } from "../appearance/clarity.ts";
import { estimatesOf, type Estimate } from "./estimates.ts";
import { leavesOf } from "../formula/leaves.ts";
import type { MassBalance } from "../formula/massBalance.ts";
import type { Profile } from "../formula/profiles.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import { densityReading } from "../formula/sums/density.ts";
import { saltReading } from "../formula/sums/hiddenSalt.ts";
import { compositionOf, percentByInci, type CompositionEntry } from "../formula/sums/rollUp.ts";
import type { Formula, ResolvedSheet } from "../formula/types.ts";
import { weighSheet, type WeighedLine } from "../formula/weighSheet.ts";

/** What adding up alone tells. Keys follow docs/formats; numbers are unrounded. */
export interface Sums {
  readonly totalPercent: number;
  readonly openPercent: number;
  readonly lines: readonly WeighedLine[];
  readonly activeMatter: ActiveMatter;
  /** Sodium chloride, hidden and added, % w/w. */
  readonly saltPercent: number;
  /** The part of it put in as salt, % w/w. */
  readonly addedSaltPercent: number;
  readonly electrolytePercent: number;
  /** Null where a material's density is unknown. */
  readonly densityGramsPerMl: number | null;
}

/** Everything a formula reads as, before the rules speak. */
export interface Readings extends Sums {
  /** At in-use strength; null where a fact is missing or one kind of micelle does not describe the blend. */
  readonly micelles: MicellesInUse | null;
  readonly irritation: Irritation | null;
  readonly foam: Foam | null;
  /** Oil that nothing carries, % w/w. */
  readonly looseOilPercent: number;
  /** Whole salt at the peak of a curve fitted through samples of this base, % w/w; null where none was fitted. */
  readonly saltPeakPercent: number | null;
  /** 0 to 1; null without water. */
  readonly waterActivity: number | null;
  /** Null where no water makes a pH. */
  readonly phCorridor: PhCorridor | null;
  readonly preservatives: readonly PreservativeReading[];
  /** The pH the preservatives are judged at. */
  readonly preservativePh: JudgedPh;
  readonly preservationChecks: readonly PreservationCheck[];
  readonly composition: readonly CompositionEntry[];
  /** Which ways of thickening work, and why. */
  readonly thickening: readonly ThickeningRoute[];
  readonly clarity: ClarityOutlook;
  /** Readings that rest on estimates, and on whose. */
  readonly estimates: readonly Estimate[];
}

/** What is known of surfactant bases beside their formulas. */
export interface Known {
  /** Whole salt at the peak of the salt curve fitted through samples of a base, % w/w, by the base's hash. */
  readonly saltPeaks?: Readonly<Record<string, number>>;
}

function saltPeakOf(sheet: ResolvedSheet, { saltPeaks = {} }: Known): number | null {
  if (Object.keys(saltPeaks).length === 0) return null;
  return saltPeaks[baseHashOf(cleansersOf(sheet)) ?? ""] ?? null;
}

interface Summed {
  readonly sheet: ResolvedSheet;
  readonly profile: Profile;
  readonly balance: MassBalance;
  readonly sums: Sums;
  /** Ids of the lines whose material has no known density. */
  readonly withoutDensity: readonly string[];
}

function summed(formula: Formula, library: MaterialsBySlug): Summed {
  const profile = aimedProfile(formula);
  const { sheet, balance } = resolveLines(formula, library);
  const activePerLine = sheet.lines.map((resolved) => activeMatterOfLine(resolved, sheet.materials));
  const density = densityReading(sheet);
  const sums: Sums = {
    totalPercent: balance.totalPercent,
    openPercent: balance.openPercent,
    lines: weighSheet(sheet, balance, activePerLine),
    activeMatter: sumActiveMatter(activePerLine),
    ...saltReading(sheet),
    densityGramsPerMl: density.gramsPerMl,
  };
  return { sheet, profile, balance, sums, withoutDensity: density.unknownLines };
}

/**
 * The sums alone: grams, active matter, salt, density.
 * @throws Refusal when the profile or a material is unknown or a material contains itself.
 */
export function assessSums(formula: Formula, library: MaterialsBySlug): Sums {
  return summed(formula, library).sums;
}

/** A formula read once: what it shows and what the rules look at. */
export interface FormulaReading {
  readonly readings: Readings;
  readonly read: ReadSheet;
  /** Readings that lack a fact. */
  readonly lacking: readonly NotJudged[];
}

/**
 * Reads a formula without letting the rules speak: sums, micelles, mildness, foam, composition, water activity, pH
 * corridor, preservatives and their checks, thickening, clarity. What a sheet shows at every key.
 * @throws Refusal when the profile or a material is unknown or a material contains itself.
 */
export function readingOf(formula: Formula, library: MaterialsBySlug, known: Known = {}): FormulaReading {
  const { sheet, profile, balance, sums, withoutDensity } = summed(formula, library);
  const saltPeakPercent = saltPeakOf(sheet, known);
  const byInci = percentByInci(sheet);
  const { activity, waterPercent } = waterActivityReading(sheet, byInci);
  const doses = preservativeDoses(sheet);
  const corridor = waterPercent > 0 || profile.ph !== null ? phCorridor(sheet, profile, doses) : null;
  const preservativePh = judgedPh(formula, corridor, profile);
  const preservatives = preservativeReadings(doses, preservativePh.ph);
  const { notJudged: mildnessNotJudged, ...mildness } = mildnessOf(sheet, sums.activeMatter.percent);
  const read: ReadSheet = {
    sheet,
    profile,
    balance,
    doses,
    corridor,
    ph: preservativePh,
    activeMatter: sums.activeMatter,
    weighed: sums.lines,
    salt: sums,
    densityGramsPerMl: sums.densityGramsPerMl,
    irritation: mildness.irritation,
    looseOilPercent: mildness.looseOilPercent,
    saltPeakPercent,
  };
  return {
    readings: {
      ...sums,
      ...mildness,
      saltPeakPercent,
      waterActivity: activity,
      phCorridor: corridor,
      preservatives,
      preservativePh,
      preservationChecks: preservationChecks(sheet, { ph: preservativePh, waterActivity: activity, preservatives }),
      composition: compositionOf(byInci),
      thickening: thickeningRoutes(sheet, sums.saltPercent + sums.electrolytePercent),
      clarity: clarityOutlook(sheet, mildness.looseOilPercent),
      estimates: estimatesOf(sheet),
    },
    read,
    lacking: [
      ...(withoutDensity.length > 0 ? [{ what: "densityGramsPerMl", lacks: "material-density", lines: withoutDensity } as const] : []),
      ...mildnessNotJudged,
      ...notJudgedReadings(activity, corridor),
      ...untold(sheet),
    ],
  };
}

function notJudgedReadings(activity: number | null, corridor: PhCorridor | null): readonly NotJudged[] {
  const missing: NotJudged[] = [];
  if (activity === null) missing.push({ what: "waterActivity", lacks: "water", lines: [] });
  if (corridor === null) missing.push({ what: "phCorridor", lacks: "water-or-ph-claim", lines: [] });
  return missing;
}

/** Below this a composition leaves something untold, % of the material. */
const TOLD_PERCENT = 99.5;

/** Lines whose material does not tell all it consists of; the composition stays short by that much. */
function untold({ lines, materials }: ResolvedSheet): readonly NotJudged[] {
  const silent = lines.filter(
    ({ material, percent }) =>
      percent > 0 &&
      leavesOf(material, materials).some((leaf) => leaf.material.inci.reduce((sum, entry) => sum + entry.percent, 0) < TOLD_PERCENT),
  );
  return silent.length === 0 ? [] : [{ what: "composition", lacks: "whole-composition", lines: silent.map(({ line }) => line.id) }];
}
