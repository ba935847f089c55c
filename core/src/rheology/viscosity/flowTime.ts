import { Refusal } from "../../quantities/refusal.ts";

/** A liquid of known thickness timed through the funnel. */
export interface KnownLiquid {
  readonly pascalSeconds: number;
  /** g/mL */
  readonly density: number;
  readonly seconds: number;
}

/** Constants of a funnel or syringe: η = ρ (k t − c ⁄ t), with η in Pa s, ρ in g/mL, t in s. */
export interface FunnelConstants {
  readonly k: number;
  /** Inertia: what the moving liquid takes for itself. */
  readonly c: number;
}

/**
 * Both constants from two liquids: η ⁄ ρ = k t − c ⁄ t is linear in k and c. Glycerin of 1.27 Pa s and 1.26 g/mL in 60 s
 * and an oil of 0.064 Pa s and 0.92 g/mL in 5 s give k = 0.01682 and c = 0.0727 (in g, mL and s).
 * @throws Refusal when the two do not tell the constants apart or k would not be positive.
 */
export function calibrateFunnel(first: KnownLiquid, second: KnownLiquid): FunnelConstants {
  const [a, b] = [first.pascalSeconds / first.density, second.pascalSeconds / second.density];
  const [t, u] = [first.seconds, second.seconds];
  const determinant = t / u - u / t;
  const c = (a * u - b * t) / determinant;
  const k = (a + c / t) / t;
  if (determinant === 0 || !(k > 0) || !Number.isFinite(c)) {
    throw new Refusal(
      "not-possible",
      "These two liquids do not calibrate a funnel.",
      "Take two liquids of clearly different thickness, the thicker one slower.",
    );
  }
  // Noise can make inertia slightly negative; it cannot be.
  return c >= 0 ? { k, c } : { k: (a * t + b * u) / (t * t + u * u), c: 0 };
}

export type FlowViscosity =
  | { readonly found: true; readonly pascalSeconds: number; readonly inertiaPercent: number }
  | { readonly found: false; readonly reason: string };

/** Share of the flow that inertia may have before the time tells little of thickness, %. */
const MOST_INERTIA_PERCENT = 50;

/** Thickness from a flow time, Pa s. */
export function flowViscosity({ k, c }: FunnelConstants, seconds: number, density: number): FlowViscosity {
  const viscous = k * seconds;
  const inertia = c / seconds;
  const inertiaPercent = (100 * inertia) / viscous;
  if (inertiaPercent > MOST_INERTIA_PERCENT) return { found: false, reason: "It runs too fast: use a narrower opening." };
  return { found: true, pascalSeconds: density * (viscous - inertia), inertiaPercent };
}

/** Glycerin of 99.5 % by the kitchen's temperature, Pa s ± 5 % (Segur and Oberstar 1951). */
export const GLYCERIN_PASCAL_SECONDS = [
  { temperatureC: 20, pascalSeconds: 1.27 },
  { temperatureC: 25, pascalSeconds: 0.82 },
] as const;

/** Glycerin between the two temperatures, by the straight line of its logarithm. */
export function glycerinPascalSeconds(temperatureC: number): number {
  const [cool, warm] = GLYCERIN_PASCAL_SECONDS;
  const part = (temperatureC - cool.temperatureC) / (warm.temperatureC - cool.temperatureC);
  return cool.pascalSeconds * (warm.pascalSeconds / cool.pascalSeconds) ** part;
}
