import { forEachSource } from "../formula/leaves.ts";
import type { ResolvedLine, ResolvedSheet } from "../formula/types.ts";
import type { Material, MaterialsBySlug, Span } from "../library/material.ts";
import { quantileOfSorted } from "../numerics/quantiles.ts";
import { randomFrom, type Random } from "../numerics/random.ts";
import { sigmoid, waterAlkalinity } from "./titration/alkalinity.ts";

/** A pH nobody has read yet, with the ends between which nine of ten plausible batches lie. */
export interface ExpectedPh extends Span {
  readonly ph: number;
}

export interface RawPhForecast extends ExpectedPh {
  /** Acid that brings it to the wanted pH, mmol of charge per kg; negative is base. */
  readonly demand: Span & { readonly typical: number };
}

const MEMBERS = 120;
const SEED = 20_261;
/** Of a pKa this high a site is free caustic: it counts as a strong base. */
const CAUSTIC_PKA = 13;
/** Carbon dioxide that water and stirring bring in, mmol/kg, and its pKa at 25 °C (Stumm and Morgan 1996). */
const FROM_AIR: Span = { low: 0.02, high: 4 };
const CARBONIC_PKAS = [6.35, 10.33];
/** Acid or base no fact tells of, mmol/kg, and how far the sites of one lot are from those of another, as a part. */
const STRAY_MILLIMOLES = 0.7;
const LOT_SPREAD = 0.2;
const PH_LOWEST = -1;
const PH_HIGHEST = 15;
const HALVINGS = 18;
const NEAT_GRAMS_PER_KG = 1000;

/** What a material brings into a kilogram of a wash: plain data that can be sent to a worker. */
export type Acidity = readonly Brought[];

/** What a material brings into a kilogram of the wash: its sites, and the pH it has as it is bought. */
interface Brought {
  readonly sites: readonly { readonly pKa: number; readonly millimoles: Span }[];
  /** Null where nobody told: an acid counts as wholly protonated, a base as wholly stripped. */
  readonly supplied: Span | null;
  /** Water that it was measured in, kg for what a kilogram of wash holds of it. */
  readonly waterKg: number;
  readonly isAcid: boolean;
}

/**
 * The pH a formula comes out with before it is adjusted, and what it takes to a wanted pH. Each material keeps the charge it
 * has at the pH it is supplied with: alk(pH) = 1000 (10^(pH − 14) − 10^−pH) + Σ Cⱼ ⁄ (1 + 10^(pKⱼ − pH)), mmol/kg; the wash
 * has the pH at which its own alk is the sum of theirs. pH as supplied, sites, what air brings (carbonic acid) and what no fact
 * tells of are drawn 120 times by one seed. Null where no material tells a pH.
 * @param target wanted pH
 * @param isLeftOut lines that are not in it yet
 */
export function rawPhForecast(
  { lines, materials }: ResolvedSheet,
  target: number,
  isLeftOut: (line: ResolvedLine) => boolean = isAdjuster,
): RawPhForecast | null {
  const brought = lines.filter((line) => line.percent > 0 && !isLeftOut(line)).flatMap((line) => broughtBy(line, materials));
  if (!brought.some(({ supplied, sites }) => supplied !== null || sites.length > 0)) return null;
  const random = randomFrom(SEED);
  const phs = new Float64Array(MEMBERS);
  const demands = new Float64Array(MEMBERS);
  for (let member = 0; member < MEMBERS; member += 1) {
    const wash = drawn(brought, random);
    phs[member] = phOf(wash);
    demands[member] = wash.alkalinity - alkalinityAt(wash.sites, target);
  }
  phs.sort();
  demands.sort();
  return {
    ph: quantileOfSorted(phs, 0.5),
    low: quantileOfSorted(phs, 0.05),
    high: quantileOfSorted(phs, 0.95),
    demand: { typical: quantileOfSorted(demands, 0.5), low: quantileOfSorted(demands, 0.05), high: quantileOfSorted(demands, 0.95) },
  };
}

/**
 * The pH it comes out with and the acid it takes to another, mmol of charge per kg, reckoned once from the middle of every
 * range: quick, and without ends. Null where no material tells a pH.
 */
export function typicalRawPh({ lines, materials }: ResolvedSheet, target: number): { readonly ph: number; readonly demand: number } | null {
  const brought = lines.filter(({ percent }) => percent > 0).flatMap((line) => broughtBy(line, materials));
  if (!brought.some(({ supplied, sites }) => supplied !== null || sites.length > 0)) return null;
  const wash = drawn(brought, { uniform: () => 0.5, normal: () => 0 });
  return { ph: phOf(wash), demand: wash.alkalinity - alkalinityAt(wash.sites, target) };
}

/**
 * What so much of a material brings, for `drawnPh`; without sites and pH where no fact tells of any.
 * @param percent % w/w of the material
 */
export function acidityOf(material: Material, percent: number, materials: MaterialsBySlug): Acidity {
  return broughtBy({ material, percent }, materials);
}

/**
 * The pH that a mixture of such materials comes out with in one plausible drawing: pH as supplied, sites, air and strays are drawn.
 * @param parts what 1 % of each brings, and how much there is, % w/w
 */
export function drawnPh(parts: readonly { readonly acidity: Acidity; readonly percent: number }[], random: Random): number {
  const brought = parts.flatMap(({ acidity, percent }) =>
    acidity.map((one) => ({
      ...one,
      waterKg: one.waterKg * percent,
      sites: one.sites.map(({ pKa, millimoles: { low, high } }) => ({ pKa, millimoles: { low: low * percent, high: high * percent } })),
    })),
  );
  return phOf(drawn(brought, random));
}

/** Acids and bases that wait for the first reading. */
const isAdjuster = ({ material }: ResolvedLine): boolean => material.role === "ph-adjuster";

function broughtBy({ material, percent }: Pick<ResolvedLine, "material" | "percent">, materials: MaterialsBySlug): readonly Brought[] {
  const brought: Brought[] = [];
  forEachSource(material, "phSupplied", materials, (source, fraction) => {
    const gramsPerKg = percent * fraction * 10;
    const sites: { pKa: number; millimoles: Span }[] = [];
    forEachSource(source, "buffers", materials, ({ buffers }, part) => {
      for (const { pKa, mmolPerGram } of buffers) {
        const grams = gramsPerKg * part;
        sites.push({ pKa, millimoles: { low: grams * mmolPerGram.low, high: grams * mmolPerGram.high } });
      }
    });
    const isTold = sites.some(({ pKa }) => pKa >= CAUSTIC_PKA);
    brought.push({
      sites,
      supplied: source.phSupplied,
      // Where free caustic is among the facts, the pH as supplied would count it a second time.
      waterKg: isTold || source.phSupplied === null ? 0 : gramsPerKg / gramsPerKgOf(source.phSupplied.at),
      isAcid: isAcid(source),
    });
  });
  return brought;
}

function isAcid({ acidBase, preservative }: Material): boolean {
  return acidBase === null ? preservative !== null : acidBase.equivalentsModel !== "base";
}

/** How much of it the pH was measured in, g/kg, from "10 % in water"; of two ends the thinner, and neat where no share is told. */
function gramsPerKgOf(at: string): number {
  const share = /(\d+(?:\.\d+)?)(?:\s*[–-]\s*\d+(?:\.\d+)?)?\s*%/.exec(at)?.[1];
  return share === undefined ? NEAT_GRAMS_PER_KG : Number(share) * 10;
}

interface Wash {
  readonly alkalinity: number;
  readonly sites: readonly { readonly pKa: number; readonly millimoles: number }[];
}

function drawn(brought: readonly Brought[], { uniform, normal }: Pick<Random, "uniform" | "normal">): Wash {
  // The ends of a range are rarer than its middle.
  const between = ({ low, high }: Span): number => low + ((high - low) * (uniform() + uniform())) / 2;
  const air = between(FROM_AIR);
  const sites: { pKa: number; millimoles: number }[] = CARBONIC_PKAS.map((pKa) => ({ pKa, millimoles: air }));
  let alkalinity = STRAY_MILLIMOLES * normal();
  for (const one of brought) {
    // What a material is said to hold is a typical lot of it.
    const lot = Math.exp(LOT_SPREAD * normal());
    const ph = one.supplied === null ? null : between(one.supplied);
    if (ph !== null) alkalinity += one.waterKg * waterAlkalinity(ph);
    for (const { pKa, millimoles } of one.sites) {
      const held = between(millimoles) * lot;
      if (pKa >= CAUSTIC_PKA) {
        alkalinity += held;
        continue;
      }
      sites.push({ pKa, millimoles: held });
      alkalinity += held * (ph === null ? (one.isAcid ? 0 : 1) : sigmoid(ph - pKa));
    }
  }
  return { alkalinity, sites };
}

function alkalinityAt(sites: Wash["sites"], ph: number): number {
  return sites.reduce((sum, { pKa, millimoles }) => sum + millimoles * sigmoid(ph - pKa), waterAlkalinity(ph));
}

/** Alkalinity grows with pH, so the pH that has it is found by halving. */
function phOf({ alkalinity, sites }: Wash): number {
  let low = PH_LOWEST;
  let high = PH_HIGHEST;
  for (let k = 0; k < HALVINGS; k += 1) {
    const middle = (low + high) / 2;
    if (alkalinityAt(sites, middle) < alkalinity) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
