import type { PhCorridor } from "../acidity/corridor.ts";
import type { ActiveMatter } from "../surfactants/activeMatter.ts";
import type { Irritation } from "../surfactants/irritation.ts";
import { forEachSource, leavesOf } from "../formula/leaves.ts";
import type { MassBalance } from "../formula/massBalance.ts";
import type { Profile } from "../formula/profiles.ts";
import type { SaltReading } from "../formula/sums/hiddenSalt.ts";
import { wetPercentOf } from "../formula/sums/wetness.ts";
import type { ResolvedLine, ResolvedSheet } from "../formula/types.ts";
import type { WeighedLine } from "../formula/weighSheet.ts";
import type { JudgedPh } from "../preservation/judgedPh.ts";
import type { PreservativeDose } from "../preservation/preservatives.ts";
import type { Material, MaterialsBySlug, PlainMaterial } from "../library/material.ts";
import { remembered } from "../library/remembered.ts";
import { ROOM_C } from "../quantities/roomTemperature.ts";

/** A plain material in the formula, from a line of its own or out of a blend. */
export interface Content {
  readonly resolved: ResolvedLine;
  readonly material: PlainMaterial;
  /** % w/w of the formula. */
  readonly percent: number;
}

/** What the readings before the rules have worked out. */
export interface ReadSheet {
  readonly sheet: ResolvedSheet;
  readonly profile: Profile;
  readonly balance: MassBalance;
  readonly activeMatter: ActiveMatter;
  readonly weighed: readonly WeighedLine[];
  readonly salt: SaltReading;
  readonly densityGramsPerMl: number | null;
  readonly irritation: Irritation | null;
  /** Oil that nothing carries, % w/w. */
  readonly looseOilPercent: number;
  readonly corridor: PhCorridor | null;
  readonly ph: JudgedPh;
  readonly doses: readonly PreservativeDose[];
  /** Whole salt at the top of a fitted salt curve of this base, % w/w; null where none was fitted. */
  readonly saltPeakPercent: number | null;
}

/** All a rule may look at. */
export interface Judged extends ReadSheet {
  /** Lines with something in them. */
  readonly lines: readonly ResolvedLine[];
  /** Every plain material in it, blends taken apart. */
  readonly contents: readonly Content[];
  /** Flags of each line's material, those of its leaves where a blend states none. */
  readonly flags: ReadonlyMap<ResolvedLine, ReadonlySet<string>>;
  /** Temperature of each phase, °C. */
  readonly temperatures: ReadonlyMap<string, number>;
  /** Water in what is wet, % w/w of the formula; moisture of powders and water of the preservatives do not count. */
  readonly wetPercent: number;
  /** Half of what the finest scale shows, % of the batch: what is off by less is rounding, no finding. */
  readonly halfStepPercent: number;
}

/** Lays out a sheet once for all rules. */
export function judgedOf(read: ReadSheet): Judged {
  const { sheet } = read;
  const lines = sheet.lines.filter(({ percent }) => percent > 0);
  const contents: Content[] = [];
  const flags = new Map<ResolvedLine, ReadonlySet<string>>();
  for (const resolved of lines) {
    for (const { material, fraction } of leavesOf(resolved.material, sheet.materials)) {
      contents.push({ resolved, material, percent: resolved.percent * fraction });
    }
    flags.set(resolved, resolved.material.parts === undefined ? flagsOf(resolved.material) : flagsOfBlend(resolved, sheet.materials));
  }
  const temperatures = new Map(sheet.formula.phases.map(({ id, temperatureC }) => [id, temperatureC ?? ROOM_C]));
  return { ...read, lines, contents, flags, temperatures, wetPercent: wetPercentOf(sheet), halfStepPercent: halfStepOf(sheet) };
}

/** Sums of typed shares carry noise of this size, %. */
const NOISE_PERCENT = 1e-9;

function halfStepOf({ formula: { scales, batchGrams } }: ResolvedSheet): number {
  const steps = scales.map(({ readabilityGrams }) => readabilityGrams);
  return steps.length === 0 ? NOISE_PERCENT : Math.max(NOISE_PERCENT, (50 * Math.min(...steps)) / batchGrams);
}

const flagsOf = remembered((material: Material): ReadonlySet<string> => new Set(material.flags));

function flagsOfBlend({ material }: ResolvedLine, materials: MaterialsBySlug): ReadonlySet<string> {
  const own = new Set<string>();
  forEachSource(material, "flags", materials, (source) => source.flags.forEach((flag) => own.add(flag)));
  return own;
}

/** Lines of contents, each once and in the order of the sheet. */
export function linesOf(contents: readonly Content[]): readonly ResolvedLine[] {
  return [...new Set(contents.map(({ resolved }) => resolved))];
}

export function idsOf(lines: readonly ResolvedLine[]): readonly string[] {
  return lines.map(({ line }) => line.id);
}

/** Slugs of the lines' materials, each once. */
export function slugsOf(lines: readonly ResolvedLine[]): readonly string[] {
  return [...new Set(lines.map(({ material }) => material.slug))];
}

export function sumPercent(parts: readonly { readonly percent: number }[]): number {
  return parts.reduce((sum, { percent }) => sum + percent, 0);
}

/** Lines whose material carries a flag. */
export function flagged({ lines, flags }: Judged, flag: string): readonly ResolvedLine[] {
  return lines.filter((resolved) => flags.get(resolved)?.has(flag) === true);
}

/** What else could go into the sheet before the q.s. line is used up, % w/w. */
export function roomPercent({ balance }: Judged): number {
  return balance.hasQs ? balance.qsPercent : 0;
}
