import type { WrittenQuestion } from "../design/answerDesign.ts";
import type { Agent } from "../acidity/equivalents.ts";
import type { TitrationReading } from "../acidity/titration/bookkeeping.ts";
import type { Surfactant } from "../surfactants/micelles/blend.ts";
import type { SaltPoint } from "../rheology/salt/fitSaltCurve.ts";
import type { Thickening } from "../rheology/salt/plausibleCurves.ts";
import type { Particle } from "../rheology/sedimentation.ts";
import type { BeadDrop } from "../rheology/viscosity/beadDrop.ts";
import type { Span } from "../library/material.ts";

export interface TitrationFile {
  readonly format: "tensidrum-titration/1";
  readonly batchGrams: number;
  readonly agent: Agent;
  readonly target: Span;
  readonly dropGrams?: number | null;
  readonly counterAgent?: Agent | null;
  readonly knownBuffers?: readonly { readonly mmolPerKg: number; readonly pKa: number }[];
  readonly readings: readonly TitrationReading[];
}

export interface ThickenFile extends Omit<Thickening, "jars" | "additions">, Partial<Pick<Thickening, "jars" | "additions">> {
  readonly format: "tensidrum-thicken/1";
}

export interface SaltCurveFile {
  readonly format: "tensidrum-salt-curve/1";
  readonly points: readonly SaltPoint[];
  readonly target?: number | null;
}

export interface BeadDropFile extends BeadDrop {
  readonly format: "tensidrum-bead-drop/1";
}

export interface SedimentationFile extends Particle {
  readonly format: "tensidrum-settle/1";
}

export interface MicellesFile {
  readonly format: "tensidrum-micelles/1";
  /** All surfactant, mmol/L. */
  readonly totalMillimolar: number;
  readonly surfactants: readonly Surfactant[];
}

export interface DesignFile extends WrittenQuestion {
  readonly format: "tensidrum-design/1";
}

export interface RecipeFile {
  readonly format: "tensidrum-recipe/1";
  readonly text: string;
}

export interface FindFile {
  readonly format: "tensidrum-find/1";
  readonly query: string;
}

export interface UnmixFile {
  readonly format: "tensidrum-unmix/1";
  /** In the order of the label. */
  readonly ingredients: readonly { readonly name: string; readonly min?: number; readonly max?: number }[];
  /** Index of the last ingredient at or above 1 %, from 0; null where the label does not tell. */
  readonly onePercentLineAfter?: number | null;
} /** The first line of a backup: what the lines below it hold. */
export interface BackupHead {
  readonly format: "tensidrum-backup/1";
  /** ISO moment everything in it is of. */
  readonly madeAt: string;
  /** State of the tables it was made from: how many changes they had seen. */
  readonly tables: number;
  /** Lines of each kind, in the order they follow. */
  readonly rows: Readonly<Record<string, number>>;
}
