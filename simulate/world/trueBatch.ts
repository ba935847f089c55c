import type { Draws } from "./draws";

/** Sites a material of the formula may hold, as its data sheet states them, mmol/kg of the product. */
export interface StatedSite {
  readonly pKa: number;
  readonly low: number;
  readonly high: number;
}

/** A solution as its label states it. */
export interface Bottle {
  readonly kind: "acid" | "base";
  readonly molarMass: number;
  readonly pKas: readonly number[];
  readonly strengthPercent: number;
}

interface Site {
  readonly pKa: number;
  amount: number;
}

/** What no maker sees. All amounts are mmol per kilogram of what is there now. */
interface Truth {
  readonly sites: Site[];
  /** Charge of the strong ions. */
  strongIons: number;
  acidSites: { readonly bottle: Bottle; amount: number }[];
  kilograms: number;
  /** pH the meter does not see yet: the dose has not spread everywhere. */
  lag: number;
}

const METER_NOISE = 0.03;
const METER_OFFSET = 0.05;
const DOSE_ERROR = 0.08;

/** A batch with its secrets; it answers what an instrument would show. */
export interface SimulatedBatch {
  /** Adds a dose as the maker means it, g; more or less of it goes in. */
  dose(bottle: Bottle, grams: number): void;
  /** Two minutes later: a reading; the sample leaves. */
  read(sampleGrams: number): number;
  /** The pH as it will be once everything has spread. */
  truePh(): number;
}

export interface BatchWish {
  readonly batchGrams: number;
  readonly stated: readonly StatedSite[];
  readonly startPh: number;
}

/** Draws a batch that reads about the wished pH and hides everything else. */
export function simulatedBatch({ batchGrams, stated, startPh }: BatchWish, draws: Draws): SimulatedBatch {
  const sites: Site[] = stated.map(({ pKa, low, high }) => ({ pKa, amount: draws.uniform(low, high) * draws.uniform(0.8, 1.2) }));
  const unknown = draws.integer(0, 3);
  for (let k = 0; k < unknown; k += 1) sites.push({ pKa: draws.uniform(2.5, 10.5), amount: draws.logUniform(0.5, 100) });
  for (const pKa of [3.4, 5.1, 6.2, 7.7, 9.1]) sites.push({ pKa, amount: draws.uniform(0.1, 3) });
  const carbonate: Site[] = [6.35, 10.33].map((pKa) => ({ pKa, amount: 0.05 }));
  sites.push(...carbonate);
  const truth: Truth = { sites, strongIons: 0, acidSites: [], kilograms: batchGrams / 1000, lag: 0 };
  truth.strongIons = charge(truth, startPh);
  const offset = draws.uniform(-METER_OFFSET, METER_OFFSET);
  const lagShare = draws.uniform(0, 0.05);
  const carbonDioxide = draws.uniform(0, 0.15);
  const evaporation = draws.uniform(0.01, 0.03) / 4;

  return {
    dose(bottle, grams) {
      const before = balance(truth);
      const millimoles = ((grams * Math.max(0, 1 + draws.normal(DOSE_ERROR)) * bottle.strengthPercent) / 100 / bottle.molarMass) * 1000;
      truth.acidSites.push({ bottle, amount: millimoles / truth.kilograms });
      evaporate(truth, evaporation);
      takeUpAir(truth, carbonate, carbonDioxide);
      truth.lag = lagShare * (before - balance(truth));
    },
    read(sampleGrams) {
      const shown = balance(truth) + truth.lag + offset + draws.normal(METER_NOISE);
      truth.kilograms -= sampleGrams / 1000;
      truth.lag *= 0.2;
      return Math.round(Math.min(14, Math.max(0, shown)) * 100) / 100;
    },
    truePh: () => balance(truth),
  };
}

/** Water leaves: everything else grows denser. */
function evaporate(truth: Truth, share: number): void {
  const denser = 1 / (1 - share);
  for (const site of truth.sites) site.amount *= denser;
  for (const dosed of truth.acidSites) dosed.amount *= denser;
  truth.strongIons *= denser;
  truth.kilograms /= denser;
}

/** Alkaline batches drink carbon dioxide out of the air. */
function takeUpAir(truth: Truth, carbonate: readonly Site[], millimoles: number): void {
  const taken = millimoles / (1 + 10 ** (6.35 - balance(truth)));
  for (const site of carbonate) site.amount += taken;
}

/** Mean charge of one molecule dosed: losing protons step by step, or taking them up. */
function chargeOfOne({ kind, pKas }: Bottle, ph: number): number {
  if (pKas.length === 0) return kind === "acid" ? -1 : 1;
  if (kind === "base") return pKas.reduce((sum, pKa) => sum + 1 - 1 / (1 + 10 ** (pKa - ph)), 0);
  const h = 10 ** -ph;
  let product = 1;
  const forms = [h ** pKas.length];
  pKas.forEach((pKa, k) => {
    product *= 10 ** -pKa;
    forms.push(product * h ** (pKas.length - k - 1));
  });
  const all = forms.reduce((sum, form) => sum + form, 0);
  return -forms.reduce((sum, form, k) => sum + k * form, 0) / all;
}

/** Charge of everything weak at a pH, which the strong ions must make up for. */
function charge({ sites, acidSites }: Pick<Truth, "sites" | "acidSites">, ph: number): number {
  const weak = sites.reduce((sum, { pKa, amount }) => sum + amount / (1 + 10 ** (pKa - ph)), 0);
  const dosed = acidSites.reduce((sum, { bottle, amount }) => sum + amount * chargeOfOne(bottle, ph), 0);
  return 1000 * (10 ** (ph - 14) - 10 ** -ph) + weak - dosed;
}

/** The pH at which all charges cancel. */
function balance(truth: Truth): number {
  let [low, high] = [-1, 15];
  for (let k = 0; k < 48; k += 1) {
    const middle = (low + high) / 2;
    if (charge(truth, middle) < truth.strongIons) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
