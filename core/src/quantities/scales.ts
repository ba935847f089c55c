/** A kitchen or bench scale of the maker. */
export interface Scale {
  readonly name: string;
  /** Smallest step the display shows, g. */
  readonly readabilityGrams: number;
  /** Most it may carry, g. */
  readonly capacityGrams: number;
}

/** Scales from the finest to the coarsest. */
export function finestFirst(scales: readonly Scale[]): Scale[] {
  return [...scales].sort((a, b) => a.readabilityGrams - b.readabilityGrams || a.capacityGrams - b.capacityGrams);
}

/**
 * The scale a mass is weighed on: the finest whose capacity holds it; a mass beyond all of them goes, in portions,
 * on the one that carries most. `undefined` without scales.
 */
export function scaleFor(massGrams: number, fromFinest: readonly Scale[]): Scale | undefined {
  let strongest: Scale | undefined;
  for (const scale of fromFinest) {
    if (massGrams <= scale.capacityGrams) return scale;
    if (strongest === undefined || scale.capacityGrams > strongest.capacityGrams) strongest = scale;
  }
  return strongest;
}
