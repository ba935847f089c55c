import type { Agent } from "../acidity/equivalents.ts";
import type { Charge, Span } from "../library/material.ts";

/** A pH reading and all that was added before it, g. */
export interface TitrationReading {
  readonly doseGramsTotal: number;
  readonly counterGramsTotal?: number;
  readonly otherGramsTotal?: number;
  readonly ph: number;
  /** Uncertainty of the instrument, pH. */
  readonly phSigma?: number;
  readonly sampleGrams?: number;
}

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

export interface SaltPoint {
  /** Whole salt in the jar, % w/w. */
  readonly saltPercent: number;
  /** In the maker's own unit. */
  readonly viscosity: number;
}

export interface ThickenFile {
  readonly format: "tensidrum-thicken/1";
  readonly batchGrams: number;
  readonly hiddenSaltPercent: number;
  /** Of the brine, % w/w; 100 is dry salt. */
  readonly strengthPercent: number;
  readonly target: number;
  readonly jars?: readonly SaltPoint[];
  readonly additions?: readonly { readonly gramsTotal: number; readonly viscosity: number }[];
}

export interface SaltCurveFile {
  readonly format: "tensidrum-salt-curve/1";
  readonly points: readonly SaltPoint[];
  readonly target?: number | null;
}

export interface BeadDropFile {
  readonly format: "tensidrum-bead-drop/1";
  readonly beadDiameterMm: number;
  /** g/mL */
  readonly beadDensity: number;
  readonly jarDiameterMm: number;
  readonly liquidDensity: number;
  readonly fallMm: number;
  readonly seconds: number;
}

export interface SettleFile {
  readonly format: "tensidrum-settle/1";
  readonly diameterMicrometre: number;
  /** g/mL */
  readonly particleDensity: number;
  readonly liquidDensity: number;
  readonly pascalSeconds: number;
  readonly yieldPascal: number;
}

export interface MicellesFile {
  readonly format: "tensidrum-micelles/1";
  /** All surfactant, mmol/L. */
  readonly totalMillimolar: number;
  readonly surfactants: readonly { readonly charge: Charge; readonly cmcMillimolar: number; readonly moleFraction: number }[];
}

export interface UnmixFile {
  readonly format: "tensidrum-unmix/1";
  /** In the order of the label. */
  readonly ingredients: readonly { readonly name: string; readonly min?: number; readonly max?: number }[];
  /** Index of the last ingredient at or above 1 %, from 0; null where the label does not tell. */
  readonly onePercentLineAfter?: number | null;
}
