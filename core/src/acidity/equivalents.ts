/** An acid or a base in water, as it is dosed. */
export interface Agent {
  readonly kind: "acid" | "base";
  /** g/mol */
  readonly molarMass: number;
  /** One per equivalent; none is a strong one. A base carries those of its conjugate acid. */
  readonly pKas: readonly number[];
  /** % w/w */
  readonly strengthPercent: number;
}

/**
 * Equivalents a mole of it has given off (acid) or taken up (base) at a pH.
 * An acid with Kᵢ and h = 10^−pH: z = Σ k K₁…Kₖ hⁿ⁻ᵏ ⁄ Σ K₁…Kₖ hⁿ⁻ᵏ, for any n; a base takes up h ⁄ (h + K) per site.
 * Strong ones (no pKa) give 1. Citric acid at pH 4.76, its second pKa, has given off 1.500.
 */
export function equivalentsPerMole({ kind, pKas }: Pick<Agent, "kind" | "pKas">, ph: number): number {
  if (pKas.length === 0) return 1;
  if (kind === "base") return pKas.reduce((sum, pKa) => sum + 1 / (1 + 10 ** (ph - pKa)), 0);
  // Each term over the one before is K ⁄ h; scaled as it goes so that twenty sites do not overflow.
  let term = 1;
  let sum = 1;
  let weighted = 0;
  [...pKas]
    .sort((a, b) => a - b)
    .forEach((pKa, k) => {
      term *= 10 ** (ph - pKa);
      sum += term;
      weighted += (k + 1) * term;
      if (sum > 1e200) [term, sum, weighted] = [term * 1e-200, sum * 1e-200, weighted * 1e-200];
    });
  return weighted / sum;
}

/** Millimoles in a mass of the solution. */
export function millimolesIn({ molarMass, strengthPercent }: Agent, grams: number): number {
  return ((grams * strengthPercent) / 100 / molarMass) * 1000;
}

/** Mass of the solution that holds so many millimoles, g. */
export function gramsOf({ molarMass, strengthPercent }: Agent, millimoles: number): number {
  return (millimoles * molarMass) / 1000 / (strengthPercent / 100);
}

/** Charge a mole adds to the batch: negative for an acid. */
export function chargeSign({ kind }: Pick<Agent, "kind">): 1 | -1 {
  return kind === "acid" ? -1 : 1;
}
