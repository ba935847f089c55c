/** The salt curve of a blend: log₁₀ η = b + A e^(−(s − s₀)² ⁄ 2w²), s the whole salt in % w/w, η in the maker's unit. */
export interface SaltCurve {
  readonly peakSaltPercent: number;
  readonly width: number;
  /** b: log₁₀ of the thickness far from the peak. */
  readonly baseline: number;
  /** A: decades of thickness from there to the peak. */
  readonly height: number;
}

/** Part of the width that is kept from the peak: beyond, one addition may go over. */
const KEPT_FROM_PEAK = 1 / 3;

export function log10Viscosity({ peakSaltPercent, width, baseline, height }: SaltCurve, saltPercent: number): number {
  return baseline + height * Math.exp(-((saltPercent - peakSaltPercent) ** 2) / (2 * width * width));
}

/**
 * Salt or brine that brings a mass from one whole salt to another, g: m (s − s₁) ⁄ (S − s); negative where it is past it,
 * infinite where the brine is no saltier. 400 g from 1 % to 2 % take 4.08 g of dry salt.
 */
export function gramsToSalt(
  massGrams: number,
  { from, to, strengthPercent }: { readonly from: number; readonly to: number; readonly strengthPercent: number },
): number {
  return to >= strengthPercent ? Infinity : (massGrams * (to - from)) / (strengthPercent - to);
}

export function viscosityAt(saltCurve: SaltCurve, saltPercent: number): number {
  return 10 ** log10Viscosity(saltCurve, saltPercent);
}

/** The most salt to go to: s₀ − w ⁄ 3. With a peak at 2.4 % and a width of 0.6 it is 2.2 %. */
export function safeMaxPercent({ peakSaltPercent, width }: SaltCurve): number {
  return peakSaltPercent - width * KEPT_FROM_PEAK;
}

/**
 * Salt at which the rising side reaches a thickness: s₀ − w √(2 ln(A ⁄ (log₁₀ η − b))). Null when the salt curve never has it.
 */
export function saltFor({ peakSaltPercent, width, baseline, height }: SaltCurve, viscosity: number): number | null {
  const above = Math.log10(viscosity) - baseline;
  if (above <= 0 || above > height) return null;
  return peakSaltPercent - width * Math.sqrt(2 * Math.log(height / above));
}
