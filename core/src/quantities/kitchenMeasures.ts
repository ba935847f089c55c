import { isDryForm } from "./dryForms.ts";
/** Whose spoons and cups. */
export type MeasureSystem = "us" | "metric" | "imperial";

export type VolumeUnit = "ml" | "l" | "tsp" | "tbsp" | "fl-oz" | "cup" | "pint" | "quart" | "gallon" | "pinch" | "dash";
export type MassUnit = "mg" | "g" | "kg" | "oz" | "lb";
export type KitchenUnit = VolumeUnit | MassUnit | "drop" | "piece";

type Volumes = Readonly<Record<MeasureSystem, number>>;

const everywhere = (millilitres: number): Volumes => ({ us: millilitres, metric: millilitres, imperial: millilitres });

/**
 * mL. US customary units (NIST Handbook 44), metric kitchen units, imperial units (UK Weights and Measures Act 1985).
 * Where a system has no such unit the US one stands. Pinch and dash are 1/16 and 1/8 of a teaspoon by habit only.
 */
const MILLILITRES: Readonly<Record<VolumeUnit, Volumes>> = {
  ml: everywhere(1),
  l: everywhere(1000),
  tsp: { us: 4.929, metric: 5, imperial: 5.919 },
  tbsp: { us: 14.787, metric: 15, imperial: 17.758 },
  "fl-oz": { us: 29.574, metric: 30, imperial: 28.413 },
  cup: { us: 236.59, metric: 250, imperial: 284.13 },
  pint: { us: 473.18, metric: 500, imperial: 568.26 },
  quart: { us: 946.35, metric: 1000, imperial: 1136.52 },
  gallon: { us: 3785.4, metric: 4000, imperial: 4546.09 },
  pinch: { us: 0.308, metric: 0.3125, imperial: 0.37 },
  dash: { us: 0.616, metric: 0.625, imperial: 0.74 },
};

/** g; avoirdupois. */
export const GRAMS_PER_OUNCE = 28.349523;

const GRAMS: Readonly<Record<MassUnit, number>> = { mg: 0.001, g: 1, kg: 1000, oz: GRAMS_PER_OUNCE, lb: 453.59237 };

/** Relative uncertainties, 0 to 1. A levelled spoon of liquid, a heaped or settled spoon of powder, a drop. */
const SPOON_UNCERTAINTY = 0.05;
const POWDER_UNCERTAINTY = 0.2;
const MEASURED_UNCERTAINTY = 0.02;
const DROP_UNCERTAINTY = 0.25;
const PINCH_UNCERTAINTY = 0.5;
const PIECE_UNCERTAINTY = 0.2;

/** What a measure needs to know of a material. `null` is unknown. */
export interface Measurable {
  readonly form: string | null;
  /** As supplied; loose bulk density for solids. */
  readonly densityGramsPerMl: number | null;
  readonly dropMilligrams: number | null;
  /** Of a bar, where it is sold by the piece. */
  readonly pieceGrams?: number | null;
}

export type MeasuredMass =
  | { readonly found: true; readonly grams: number; readonly lowGrams: number; readonly highGrams: number; readonly isExact: boolean }
  | { readonly found: false; readonly reason: string };

export function isMassUnit(unit: KitchenUnit): unit is MassUnit {
  return unit in GRAMS;
}

/** Millilitres in a number of units of volume. 2 US teaspoons are 9.858 mL. */
export function millilitresOf(amount: number, unit: VolumeUnit, system: MeasureSystem): number {
  return amount * MILLILITRES[unit][system];
}

/**
 * Grams of a material measured by mass, volume or drops, with how far they can be off. 1 US tablespoon of glycerin
 * (1.26 g/mL) is 18.63 g; 20 drops of 30 mg are 0.6 g. Not found where density or drop mass is unknown.
 */
export function gramsOfMeasure(
  amount: number,
  unit: KitchenUnit,
  of: { readonly material: Measurable; readonly system: MeasureSystem },
): MeasuredMass {
  if (isMassUnit(unit)) return around(amount * GRAMS[unit], 0);
  const { material, system } = of;
  if (unit === "drop") {
    if (material.dropMilligrams === null) return { found: false, reason: "the mass of a drop is unknown; weigh 20 drops" };
    return around((amount * material.dropMilligrams) / 1000, DROP_UNCERTAINTY);
  }
  if (unit === "piece") {
    if (material.pieceGrams == null) return { found: false, reason: "the mass of one piece is unknown; weigh one" };
    return around(amount * material.pieceGrams, PIECE_UNCERTAINTY);
  }
  if (material.densityGramsPerMl === null) return { found: false, reason: "the density is unknown; weigh it once" };
  return around(millilitresOf(amount, unit, system) * material.densityGramsPerMl, uncertaintyOf(unit, material));
}

function uncertaintyOf(unit: VolumeUnit, material: Measurable): number {
  if (unit === "pinch" || unit === "dash") return PINCH_UNCERTAINTY;
  if (isDryForm(material.form)) return POWDER_UNCERTAINTY;
  return unit === "ml" || unit === "l" ? MEASURED_UNCERTAINTY : SPOON_UNCERTAINTY;
}

function around(grams: number, uncertainty: number): MeasuredMass {
  return { found: true, grams, lowGrams: grams * (1 - uncertainty), highGrams: grams * (1 + uncertainty), isExact: uncertainty === 0 };
}
