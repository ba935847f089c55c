import type { DesignWishes } from "./wishes.ts";

/** The wishes that are numbers, each with the step by which a maker gives way. Ours. */
const STEPS = {
  mostIrritation: 5,
  leastFlash: -0.5,
  leastStability: -0.5,
  mostCost: 0.05,
  mostSaltPercent: 0.2,
  mostAnionicPercent: 5,
} as const;

export type NumberWish = keyof typeof STEPS;

export const numberWishes = Object.keys(STEPS) as readonly NumberWish[];

/** Five hundredths of the next power of ten, so that it is a step in any currency: 0.05 of 0.60, 0.5 of 6. */
function costStep(value: number): number {
  return value <= 0 ? STEPS.mostCost : STEPS.mostCost * 10 ** (Math.floor(Math.log10(value)) + 1);
}

/** A wish given way by so many steps, never past nothing; `undefined` where it was never wished. */
export function loosened(
  wishes: DesignWishes,
  wish: NumberWish,
  steps: number,
): { readonly wishes: DesignWishes; readonly to: number } | undefined {
  const value = wishes[wish];
  if (value === null) return undefined;
  // Written with the digits of the step, so that the number is one a person would type.
  const step = wish === "mostCost" ? costStep(value) : STEPS[wish];
  const to = Math.max(0, Math.round((value + step * steps) * 100) / 100);
  return { wishes: { ...wishes, [wish]: to }, to };
}
