import type { Material } from "../library/material.ts";
import { forEachSource } from "../formula/leaves.ts";
import { saltOf } from "../formula/sums/hiddenSalt.ts";
import { percentByInci, waterPercent } from "../formula/sums/rollUp.ts";
import { isDryProduct } from "../formula/sums/wetness.ts";
import type { ResolvedSheet } from "../formula/types.ts";

/** g/mol */
const WATER_MOLAR_MASS = 18.015;
const SALT_MOLAR_MASS = 58.44;
/** kg/mol, in ln a_w = −0.01802 × ions × φ × m. */
const KG_PER_MOL = 0.01802;
/** Osmotic coefficients; salt's holds to about 1 mol/kg within 2 % (Robinson & Stokes 1959). */
const OSMOTIC_SALT = 0.93;
const OSMOTIC_OTHER = 0.9;
/** mol/kg; saturated brine, beyond which the rest stays solid. */
const MOST_MOLAL = 6.1;
/** Water activities of saturated solutions, 25 °C (Greenspan 1977). */
const SALT_FLOOR = 0.75;
const SUGAR_FLOOR = 0.85;
const SUGAR_NORRISH = 6.47;

interface Solute {
  readonly molarMass: number;
  readonly ions: number;
  readonly norrishK: number | null;
  percent: number;
}

/** What one solute does to the water, alone in all of the formula's water. */
export interface SoluteShare {
  readonly molarMass: number;
  readonly ions: number;
  /** % w/w of the formula. */
  readonly percent: number;
  /** Its own water activity, 0 to 1. */
  readonly activity: number;
  /** No constant is trusted for it: taken as ideal. */
  readonly isTakenAsIdeal: boolean;
}

export interface WaterActivityReading {
  /** 0 to 1; null in a formula without water. */
  readonly activity: number | null;
  /** Water of the formula, % w/w. */
  readonly waterPercent: number;
  readonly solutes: readonly SoluteShare[];
}

/**
 * Water activity of a non-electrolyte alone in water by Norrish (1966), x_w·exp(−K(1 − x_w)²). Amounts in grams of the
 * same whole. 20 g glycerin (K 1.16) in 80 g water: x_w 0.9534, a_w 0.9510.
 */
export function norrishActivity(waterGrams: number, soluteGrams: number, { molarMass, norrishK }: { molarMass: number; norrishK: number }) {
  const water = waterGrams / WATER_MOLAR_MASS;
  const fraction = water / (water + soluteGrams / molarMass);
  const activity = fraction * Math.exp(-norrishK * (1 - fraction) ** 2);
  return norrishK === SUGAR_NORRISH ? Math.max(SUGAR_FLOOR, activity) : activity;
}

/**
 * Water activity of an electrolyte alone in water, exp(−0.01802 × ions × φ × m), m in mol per kg water and at most
 * 6.1. 1 mol/kg of common salt gives 0.9670.
 */
export function electrolyteActivity(waterGrams: number, soluteGrams: number, { molarMass, ions }: { molarMass: number; ions: number }) {
  const isSalt = isCommonSalt(molarMass, ions);
  const molal = Math.min(MOST_MOLAL, (1000 * soluteGrams) / molarMass / waterGrams);
  const activity = Math.exp(-KG_PER_MOL * ions * (isSalt ? OSMOTIC_SALT : OSMOTIC_OTHER) * molal);
  return isSalt ? Math.max(SALT_FLOOR, activity) : activity;
}

function isCommonSalt(molarMass: number, ions: number): boolean {
  return ions === 2 && Math.abs(molarMass - SALT_MOLAR_MASS) < 0.05;
}

/**
 * Water activity of the finished wash, an estimate: the product of what each solute does alone in the formula's water
 * (Ross 1975). Salt counts whole, the hidden salt of the cleansers with it.
 */
export function waterActivityReading(sheet: ResolvedSheet, composition = percentByInci(sheet)): WaterActivityReading {
  const water = waterPercent(composition);
  // What moisture the powders of a dry product hold dissolves nothing.
  if (water <= 0 || isDryProduct(sheet)) return { activity: null, waterPercent: 0, solutes: [] };
  const solutes = solutesOf(sheet).map((solute): SoluteShare => {
    const { molarMass, ions, norrishK, percent } = solute;
    const activity =
      ions > 1
        ? electrolyteActivity(water, percent, { molarMass, ions })
        : norrishActivity(water, percent, { molarMass, norrishK: norrishK ?? 0 });
    return { molarMass, ions, percent, activity, isTakenAsIdeal: ions === 1 && norrishK === null };
  });
  return { activity: solutes.reduce((product, solute) => product * solute.activity, 1), waterPercent: water, solutes };
}

/** Solutes of the formula, one entry for the same substance from several bottles. */
function solutesOf({ lines, materials }: ResolvedSheet): readonly Solute[] {
  const solutes = new Map<string, Solute>();
  const add = (solute: Omit<Solute, "percent">, percent: number): void => {
    if (percent <= 0) return;
    const key = `${solute.molarMass}/${solute.ions}/${solute.norrishK}`;
    const known = solutes.get(key);
    if (known === undefined) solutes.set(key, { ...solute, percent });
    else known.percent += percent;
  };
  const commonSalt = { molarMass: SALT_MOLAR_MASS, ions: 2, norrishK: null };
  for (const { material, percent } of lines) {
    forEachSource(material, "waterActivity", materials, (source, fraction) => {
      const facts = source.waterActivity;
      if (facts === null || (isCommonSalt(facts.molarMass, facts.ions) && saltOf(source) > 0)) return;
      const { molarMass, ions, norrishK } = facts;
      add({ molarMass, ions, norrishK }, (percent * fraction * facts.percentOfMaterial) / 100);
    });
    forEachSource(material, "saltPercent", materials, (source: Material, fraction) => {
      add(commonSalt, (percent * fraction * saltOf(source)) / 100);
    });
  }
  return [...solutes.values()];
}
