import type { Material } from "@tensidrum/core/library";
import { writtenShort } from "@tensidrum/core/quantities";

export interface FactRow {
  readonly name: string;
  readonly value: string;
  /** From where to where it varies, in words. */
  readonly range: string;
  /** How sure it is. */
  readonly source: "mine" | "typical" | "estimate" | "not known";
}

interface FactKind {
  readonly fact: keyof Material;
  readonly name: string;
  readonly unit: string;
  readonly decimals: number;
  readonly of: (material: Material) => { readonly value: number; readonly low?: number; readonly high?: number } | null;
}

const number =
  (
    fact: "saltPercent" | "electrolytePercent" | "densityGramsPerMl" | "dropMilligrams" | "molarMass" | "cmcMillimolar" | "maxTemperatureC",
  ) =>
  (material: Material) => {
    const value = material[fact];
    return value === null ? null : { value };
  };

const kinds: readonly FactKind[] = [
  {
    fact: "active",
    name: "active matter",
    unit: "%",
    decimals: 2,
    of: ({ active }) => (active === null ? null : { value: active.typical, low: active.low, high: active.high }),
  },
  { fact: "saltPercent", name: "salt brought in", unit: "%", decimals: 2, of: number("saltPercent") },
  { fact: "electrolytePercent", name: "other salts", unit: "%", decimals: 2, of: number("electrolytePercent") },
  { fact: "densityGramsPerMl", name: "density", unit: "g/mL", decimals: 3, of: number("densityGramsPerMl") },
  { fact: "dropMilligrams", name: "one drop", unit: "mg", decimals: 0, of: number("dropMilligrams") },
  { fact: "molarMass", name: "molar mass", unit: "g/mol", decimals: 1, of: number("molarMass") },
  { fact: "cmcMillimolar", name: "critical micelle concentration", unit: "mmol/L", decimals: 3, of: number("cmcMillimolar") },
  {
    fact: "zein",
    name: "irritation index, alone",
    unit: "",
    decimals: 0,
    of: ({ zein }) => (zein === null ? null : { value: (zein.low + zein.high) / 2, low: zein.low, high: zein.high }),
  },
  { fact: "maxTemperatureC", name: "heat stability", unit: "°C", decimals: 0, of: number("maxTemperatureC") },
];

/** What only a cleanser has. */
const OF_CLEANSERS: ReadonlySet<keyof Material> = new Set(["active", "cmcMillimolar", "zein", "molarMass"]);

/**
 * The facts of a material, one row each, and how sure each is; `own` names those its maker holds against the library. A
 * cleanser lacks what it does not tell; others leave it out.
 */
export function factRows(material: Material, own: ReadonlySet<string> = new Set()): readonly FactRow[] {
  return kinds.flatMap(({ fact, name, unit, decimals, of }): FactRow[] => {
    const found = of(material);
    if (found === null) {
      const isWanted = material.countsAsActive === true && OF_CLEANSERS.has(fact);
      return isWanted ? [{ name, value: "", range: "", source: "not known" }] : [];
    }
    const { value, low, high } = found;
    return [
      {
        name,
        value: `${writtenShort(value, decimals)} ${unit}`.trim(),
        range:
          low === undefined || high === undefined || low === high
            ? ""
            : `${writtenShort(low, decimals)} to ${writtenShort(high, decimals)}`,
        source: own.has(fact) ? "mine" : material.uncertain.includes(fact) ? "estimate" : "typical",
      },
    ];
  });
}
