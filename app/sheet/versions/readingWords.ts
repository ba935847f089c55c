import type { ChangedReading } from "@tensidrum/core/assessment";

/** Name, unit and decimals of every reading two versions are compared by. */
export const readingWords: Readonly<
  Record<ChangedReading, { readonly name: string; readonly unit: string; readonly decimals: number; readonly isEstimate?: true }>
> = {
  linePercent: { name: "the line", unit: "%", decimals: 2 },
  restPercent: { name: "water, q.s.", unit: "%", decimals: 2 },
  activeMatterPercent: { name: "active matter", unit: "%", decimals: 2 },
  anionicSharePercent: { name: "anionic share", unit: "%", decimals: 1 },
  amphotericSharePercent: { name: "amphoteric share", unit: "%", decimals: 1 },
  nonionicSharePercent: { name: "nonionic share", unit: "%", decimals: 1 },
  cationicSharePercent: { name: "cationic share", unit: "%", decimals: 1 },
  saltPercent: { name: "salt in all", unit: "%", decimals: 2 },
  electrolytePercent: { name: "other salts", unit: "%", decimals: 2 },
  irritationIndex: { name: "irritation index", unit: "", decimals: 0, isEstimate: true },
  irritationLoad: { name: "irritation load", unit: "", decimals: 0, isEstimate: true },
  freeAnionicMillimolar: { name: "free anionic", unit: "mmol/L", decimals: 3, isEstimate: true },
  relief: { name: "relief by shared micelles", unit: "", decimals: 2, isEstimate: true },
  foamFlash: { name: "initial foam", unit: "of 10", decimals: 1, isEstimate: true },
  foamDensity: { name: "density of foam", unit: "of 10", decimals: 1, isEstimate: true },
  foamStability: { name: "foam stability", unit: "of 10", decimals: 1, isEstimate: true },
  saltThickenedPercent: { name: "actives that answer to salt", unit: "%", decimals: 2 },
  phLow: { name: "pH from", unit: "", decimals: 2 },
  phHigh: { name: "pH to", unit: "", decimals: 2 },
  densityGramsPerMl: { name: "density", unit: "g/mL", decimals: 3, isEstimate: true },
  waterActivity: { name: "water activity", unit: "", decimals: 3, isEstimate: true },
  costPerKg: { name: "cost of a kilogram", unit: "", decimals: 2 },
};
