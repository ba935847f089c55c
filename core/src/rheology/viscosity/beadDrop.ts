import { GRAVITY } from "../../quantities/gravity.ts";

/** A bead sinking in a tall jar. */
export interface BeadDrop {
  readonly beadDiameterMm: number;
  /** g/mL */
  readonly beadDensity: number;
  readonly jarDiameterMm: number;
  readonly liquidDensity: number;
  readonly fallMm: number;
  readonly seconds: number;
}

export interface BeadViscosity {
  /** Null when the bead does not sink or does not fit: no thickness follows. */
  readonly pascalSeconds: number | null;
  readonly reynolds: number | null;
  /** Whether the formula holds: λ ≤ 0.3 and Re ≤ 0.1. */
  readonly valid: boolean;
  readonly text: string;
}

const MOST_LAMBDA = 0.3;
const MOST_REYNOLDS = 0.1;

/**
 * Stokes with Faxén's wall factor: η = 2 g r² Δρ (1 − 2.104 λ + 2.089 λ³ − 0.948 λ⁵) ⁄ (9 v), λ = d ⁄ D, Re = ρ v d ⁄ η
 * (Faxén 1922, in Happel and Brenner 1965). A 3 mm bead of 2.5 g/mL in a 40 mm jar of 1.03 g/mL falling 100 mm in 20 s:
 * λ 0.075, wall factor 0.8431, η = 1.216 Pa s.
 */
export function beadViscosity({ beadDiameterMm, beadDensity, jarDiameterMm, liquidDensity, fallMm, seconds }: BeadDrop): BeadViscosity {
  const lambda = beadDiameterMm / jarDiameterMm;
  if (beadDensity <= liquidDensity) return unknown("The bead is not heavier than the liquid: it does not sink. Use a heavier bead.");
  if (lambda >= 1) return unknown("The bead does not fit into the jar. Use a smaller bead or a wider jar.");
  const radius = beadDiameterMm / 2000;
  const speed = fallMm / 1000 / seconds;
  const wall = 1 - 2.104 * lambda + 2.089 * lambda ** 3 - 0.948 * lambda ** 5;
  const pascalSeconds = (2 * GRAVITY * radius ** 2 * (beadDensity - liquidDensity) * 1000 * wall) / (9 * speed);
  const reynolds = (liquidDensity * 1000 * speed * 2 * radius) / pascalSeconds;
  const faults = [
    lambda > MOST_LAMBDA ? `the bead is ${lambda.toFixed(2)} of the jar's width, above ${MOST_LAMBDA}` : "",
    reynolds > MOST_REYNOLDS ? `the Reynolds number is ${reynolds.toPrecision(2)}, above ${MOST_REYNOLDS}` : "",
  ].filter((fault) => fault !== "");
  const valid = faults.length === 0;
  const told = `${pascalSeconds.toPrecision(3)} Pa s at the slow shear of a sinking bead; a wash that thins when stirred reads thinner in a funnel.`;
  return { pascalSeconds, reynolds, valid, text: valid ? told : `Not valid: ${faults.join(", and ")}. Use a smaller bead.` };
}

function unknown(text: string): BeadViscosity {
  return { pascalSeconds: null, reynolds: null, valid: false, text };
}
