import type { Material, MaterialsBySlug } from "../library/material.ts";
import type { Scale } from "../quantities/scales.ts";
import type { ThicknessWish } from "./thicknessWish.ts";
import type { ProfileSlug } from "./profiles.ts";
import type { SchoolSlug } from "./schools.ts";

/** Letter for things handled together. */
export interface Phase {
  readonly id: string;
  readonly title?: string;
  readonly temperatureC?: number;
}

/** One line of the sheet: a share in percent, or the q.s. line. */
export interface FormulaLine {
  readonly id: string;
  readonly phase: string;
  /** Slug of the material. */
  readonly material: string;
  /** % w/w as supplied, 0 to 100. */
  readonly percent?: number;
  readonly qs?: true;
  /** Active content by the lot's certificate, % of the material. */
  readonly assayPercent?: number;
  /** What the recipe it came from says, as it was written. */
  readonly asWritten?: string;
}

/** A line of one named part only. */
export interface SplitLine {
  readonly id: string;
  readonly phase: string;
  readonly material: string;
  /** % w/w of that part. */
  readonly percent: number;
  readonly assayPercent?: number;
  /** What the recipe it came from says, as it was written. */
  readonly asWritten?: string;
}

/** What others may add to a part that is left open. */
export interface OpenPart {
  /** At most, % of what is finished: up to 9 % are 9 g to 91 g of the part. */
  readonly addUpToPercent: number;
  /** What it may be, in the maker's words. */
  readonly what?: string;
}

/** A named part of the batch with something of its own: a scent, a colour. */
export interface Split {
  readonly name: string;
  /** Its share of the finished batch, %. */
  readonly sharePercent: number;
  readonly lines: readonly SplitLine[];
  /** Left open for others to finish. */
  readonly open?: OpenPart;
}

/** What was measured on the finished product; it stands above what is computed. */
export interface MeasuredProduct {
  readonly ph?: number;
  readonly densityGramsPerMl?: number;
}

/** The rest of an aim, in words. */
export interface AimWords {
  readonly forWhom?: string;
  readonly thickness?: ThicknessWish;
  /** What must not be in it. */
  readonly without?: readonly string[];
  readonly closeTo?: string;
}

/** A step as the maker has it: what is left out stays as suggested. */
export interface OwnStep {
  /** Of the suggested step it stands for, or one of its own. */
  readonly id: string;
  readonly title?: string;
  readonly do?: string;
  /** What to look at or to measure. */
  readonly check?: string;
  /** What it is done with. */
  readonly tool?: string;
  /** Ids of the lines that go in here. */
  readonly lines: readonly string[];
  /** Beaker it happens in. */
  readonly vessel?: string;
  readonly waitMinutes?: number;
  /** Not hotter than this, °C. */
  readonly atMostC?: number;
  /** Why it stays although the rules object. */
  readonly because?: string;
}

/** A part of a line that goes in by itself; steps hold it by its id, as they hold lines. */
export interface LinePortion {
  readonly id: string;
  /** The line it is a part of. */
  readonly of: string;
  /** How much of the line, %. */
  readonly percentOfLine: number;
}

/** What the maker settles before the steps are suggested; what is left out is settled by the rules. */
export interface ProcessChoices {
  /** Id of the line the scent goes into (a solubiliser, a glucoside, an oil), or "batch". */
  readonly scentInto?: string;
  readonly preservativeInto?: "water" | "glycerin" | "batch";
  /** How cleansers are made even: by time, or warm. */
  readonly route?: "cold" | "warm";
  /** Acids and bases of the formula go into the water, before anything is read. */
  readonly acidInWater?: boolean;
}

/** How the maker makes it, in their order. */
export interface OwnProcess {
  readonly steps: readonly OwnStep[];
  readonly portions?: readonly LinePortion[];
  readonly choices?: ProcessChoices;
}

/** A formula as the open format tensidrum-formula/1 writes it. */
export interface Formula {
  readonly format: "tensidrum-formula/1";
  readonly name: string;
  readonly profile: ProfileSlug;
  readonly school?: SchoolSlug;
  /** Used near the eye: the profile's pH gives way to that of tears. */
  readonly eyeArea?: boolean;
  readonly wantsClear?: boolean;
  /** Stays on the skin or is rinsed off; as the profile has it when left out. */
  readonly leftOn?: boolean;
  readonly aim?: AimWords;
  readonly batchGrams: number;
  readonly scales: readonly Scale[];
  readonly measured?: MeasuredProduct;
  /** What the recipe or the maker says of making it, a sentence a line; the steps stand in `process`. */
  readonly method?: string;
  readonly phases: readonly Phase[];
  readonly lines: readonly FormulaLine[];
  readonly splits?: readonly Split[];
  /** The maker's own steps; as suggested when left out. */
  readonly process?: OwnProcess;
  /** Materials embedded in the file; they stand above the library's entry of the same slug. */
  readonly materials?: readonly Material[];
}

/** A line with its material found and its percent settled. */
export interface ResolvedLine {
  readonly line: FormulaLine;
  readonly material: Material;
  /** The typed share, or what the others leave. */
  readonly percent: number;
}

/** What every rule and reading looks at. */
export interface ResolvedSheet {
  readonly formula: Formula;
  readonly materials: MaterialsBySlug;
  /** Lines of the sheet, then those of its named parts as shares of the whole. */
  readonly lines: readonly ResolvedLine[];
}
