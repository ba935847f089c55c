import type { Material, MaterialsBySlug } from "../library/material.ts";
import type { Scale } from "../quantities/scales.ts";
import type { ProfileSlug } from "./profiles.ts";

export type SchoolSlug = "plant-only" | "sulfate-free" | "classic" | "true-soap" | "none";

/** Letter for things handled together. */
export interface Phase {
  readonly id: string;
  readonly title?: string;
  readonly temperatureC?: number;
}

/** One line of the sheet: a share in percent, or the line that takes the rest. */
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
}

/** A formula as the open format tensidrum-formula/1 writes it. */
export interface Formula {
  readonly format: "tensidrum-formula/1";
  readonly name: string;
  readonly profile: ProfileSlug;
  readonly school?: SchoolSlug;
  readonly batchGrams: number;
  readonly scales: readonly Scale[];
  readonly phases: readonly Phase[];
  readonly lines: readonly FormulaLine[];
  /** Materials embedded in the file; they stand above the library's entry of the same slug. */
  readonly materials?: readonly Material[];
}

/** A line with its material found and its percent settled. */
export interface SettledLine {
  readonly line: FormulaLine;
  readonly material: Material;
  /** The typed share, or what the others leave. */
  readonly percent: number;
}

/** What every rule and reading looks at. */
export interface SettledSheet {
  readonly formula: Formula;
  readonly materials: MaterialsBySlug;
  readonly lines: readonly SettledLine[];
}
