import { isKind, kindPercent } from "../library/ingredientKinds.ts";
import type { PlainMaterial } from "../library/material.ts";
import { GRAVITY } from "../quantities/gravity.ts";
import type { ResolvedSheet } from "../formula/types.ts";
import { leavesOf } from "../formula/leaves.ts";

/** Something in a liquid. */
export interface Particle {
  readonly diameterMicrometre: number;
  /** g/mL */
  readonly particleDensity: number;
  readonly liquidDensity: number;
  readonly pascalSeconds: number;
  /** Yield stress of the liquid, Pa. */
  readonly yieldPascal: number;
}

export interface Sedimentation {
  /** Positive sinks, negative rises. */
  readonly speedMmPerDay: number;
  /** Null where it never does: it is held, rises or floats. */
  readonly daysToFall50mm: number | null;
  readonly held: boolean;
  readonly text: string;
}

const SECONDS_PER_DAY = 86_400;
/** A sphere stays in a liquid with at least this much yield (Beris, Tsamopoulos, Armstrong and Brown 1985). */
const HOLDING_YIELD = 0.143;
/** Rounding of the criterion. */
const EDGE = 1e-12;
/** Days to fall 5 cm below which it sinks overnight, and above which it stays up for all purposes. */
const OVERNIGHT_DAYS = 1;
const FOR_GOOD_DAYS = 180;

/**
 * Stokes speed 2 r² Δρ g ⁄ 9η, unless the yield stress holds it: 3 τ ⁄ (2 r |Δρ| g) ≥ 0.143. A jojoba bead of 400 µm and
 * 0.96 g/mL in a wash of 1.03 g/mL and 4 Pa s rises 0.0015 mm/s, 132 mm a day.
 */
export function sedimentationOf({
  diameterMicrometre,
  particleDensity,
  liquidDensity,
  pascalSeconds,
  yieldPascal,
}: Particle): Sedimentation {
  const radius = diameterMicrometre / 2e6;
  const difference = (particleDensity - liquidDensity) * 1000;
  const weight = 2 * radius * Math.abs(difference) * GRAVITY;
  const held = weight === 0 || (3 * yieldPascal) / weight >= HOLDING_YIELD - EDGE;
  const speedMmPerDay = ((2 * radius ** 2 * difference * GRAVITY) / (9 * pascalSeconds)) * 1000 * SECONDS_PER_DAY;
  const days = 50 / Math.abs(speedMmPerDay);
  const direction = difference > 0 ? "sinks" : "rises";
  return {
    speedMmPerDay: speedMmPerDay === 0 ? 0 : speedMmPerDay,
    daysToFall50mm: held || difference <= 0 ? null : days,
    held,
    text: held ? "Stays up: the liquid holds it." : `${pace(days, direction)}: 5 cm in ${shortDays(days)} (estimate).`,
  };
}

/** Boltzmann's constant, J/K, and 22 °C in K. */
const BOLTZMANN = 1.380649e-23;
const ROOM_KELVIN = 295.15;

/**
 * How high a grain's own motion carries it, m: kT ⁄ (Δm g) (Perrin 1909). A grain of 0.7 µm that is 0.75 g/mL heavier than
 * the liquid gets 3 µm up: it sinks. One of 0.05 µm gets 8 mm up.
 */
export function sedimentationHeightMetres({
  diameterMicrometre,
  particleDensity,
  liquidDensity,
}: Pick<Particle, "diameterMicrometre" | "particleDensity" | "liquidDensity">): number {
  const volume = (Math.PI / 6) * (diameterMicrometre / 1e6) ** 3;
  const mass = volume * Math.abs(particleDensity - liquidDensity) * 1000;
  return mass === 0 ? Infinity : (BOLTZMANN * ROOM_KELVIN) / (mass * GRAVITY);
}

/** Yield stress that holds a grain for good, Pa: 0.143 × 2 r |Δρ| g ⁄ 3. */
export function holdingYieldPascal({
  diameterMicrometre,
  particleDensity,
  liquidDensity,
}: Pick<Particle, "diameterMicrometre" | "particleDensity" | "liquidDensity">): number {
  return (HOLDING_YIELD * (diameterMicrometre / 1e6) * Math.abs(particleDensity - liquidDensity) * 1000 * GRAVITY) / 3;
}

/** Xanthan gum that gives a surfactant base so much yield stress, % w/w: (τ ⁄ 7)^(1 ⁄ 1.8). */
export function xanthanForYield(yieldPascal: number): number {
  return (yieldPascal / XANTHAN.pascalAtOnePercent) ** (1 / XANTHAN.exponent);
}

function pace(days: number, direction: "sinks" | "rises"): string {
  if (days >= FOR_GOOD_DAYS) return "As good as stays up";
  return days <= OVERNIGHT_DAYS ? `${direction === "sinks" ? "Sinks" : "Rises"} overnight` : `Slow: it ${direction}`;
}

function shortDays(days: number): string {
  const hours = days * 24;
  if (hours < 1) return `${Number((hours * 60).toPrecision(2))} minutes`;
  return hours < 48 ? `${Number(hours.toPrecision(2))} hours` : `${Number(days.toPrecision(2))} days`;
}

const XANTHAN = { pascalAtOnePercent: 7, exponent: 1.8 };
const xanthanYield = (percent: number): number => XANTHAN.pascalAtOnePercent * percent ** XANTHAN.exponent;

const clayXanthanYield = (percent: number): number => 3 * percent ** 1.6;

/** Less xanthan in a material without clay is no xanthan gum, % of the material. */
const LEAST_XANTHAN_PERCENT = 50;

/** Yield stress that a suspender gives a surfactant base, Pa for c in % w/w; undefined where nobody has measured it. */
function yieldOf(material: PlainMaterial): ((percent: number) => number) | undefined {
  if (isKind(material, "swelling-clay")) return isKind(material, "xanthan") ? clayXanthanYield : undefined;
  return kindPercent(material, "xanthan") >= LEAST_XANTHAN_PERCENT ? xanthanYield : undefined;
}

export interface YieldEstimate {
  /** Null where a suspender is in it whose yield nobody has told. */
  readonly yieldPascal: number | null;
  /** Slugs of those. */
  readonly unknown: readonly string[];
  readonly text: string;
}

/**
 * Yield stress of a formula from its suspenders: xanthan 7 c^1.8, clay with xanthan 3 c^1.6 (c in %), associative
 * thickeners and salt none. For others only a jar can tell.
 */
export function yieldEstimate({ lines, materials }: ResolvedSheet): YieldEstimate {
  const percents = new Map<(percent: number) => number, number>();
  const unknown = new Set<string>();
  for (const { material, percent } of lines) {
    if (percent === 0) continue;
    for (const leaf of leavesOf(material, materials)) {
      const law = yieldOf(leaf.material);
      if (law !== undefined) percents.set(law, (percents.get(law) ?? 0) + percent * leaf.fraction);
      else if (leaf.material.flags.includes("suspends") && !isKind(leaf.material, "associative-thickener")) unknown.add(leaf.material.slug);
    }
  }
  const known = [...percents].reduce((sum, [law, percent]) => sum + law(percent), 0);
  if (unknown.size > 0) return { yieldPascal: null, unknown: [...unknown], text: "Yield unknown: test a jar, left to stand for a week." };
  const text = known > 0 ? `About ${known.toPrecision(2)} Pa of yield stress (estimate).` : "Nothing in it holds particles up.";
  return { yieldPascal: known, unknown: [], text };
}
