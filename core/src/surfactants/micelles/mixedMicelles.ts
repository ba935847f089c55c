import type { Solved } from "../../numerics/newton.ts";
import { lowestBinding } from "./binding.ts";
import { blendOf, boundMillimolar, monomersMillimolar, monomersPerCmc, splitOf, type Blend, type Surfactant } from "./blend.ts";
import { firstMicelle } from "./firstMicelle.ts";
import { mixingAt } from "./interactions.ts";

/** Micelles in balance with what stays single. Arrays are in the order the surfactants were given. */
export interface MixedMicelles {
  readonly mixedCmcMillimolar: number;
  /** Mole fractions inside a micelle, summing to 1; below the mixed cmc those of the first one that would form. */
  readonly micelleFractions: readonly number[];
  /** What stays single, mmol/L. */
  readonly monomerMillimolar: readonly number[];
  /** All surfactant bound in micelles, mmol/L. */
  readonly micellarMillimolar: number;
}

/**
 * Mixed micelles of any number of surfactants by the pseudo-phase and regular-solution model (Holland and Rubingh,
 * J. Phys. Chem. 1983, 87, 1984). Monomer i = xᵢ fᵢ Cᵢ, xᵢ = αᵢ C ⁄ (N + fᵢ Cᵢ) with N = C − M in micelles, Σ xᵢ = 1.
 * Interactions depend on charge types alone, so the unknowns are one ln uₜ per type, u = f ⁄ N: a surfactant then has
 * nᵢ = αᵢ C ⁄ (1 + u Cᵢ) in micelles and the rest single, so that mass balance and Σ xᵢ = 1 hold by construction.
 *
 * @param totalMillimolar All surfactant, mmol/L, above 0.
 * @param surfactants At least one with a share above 0; shares are brought to a sum of 1.
 * @returns The balance of lowest free energy, or a reason: with anionic beside cationic several kinds of micelle can
 * coexist, which one micelle cannot describe.
 */
export function mixedMicelles(totalMillimolar: number, surfactants: readonly Surfactant[]): Solved<MixedMicelles> {
  const blend = blendOf(surfactants);
  if (blend.types.present.length === 0) return { found: false, reason: "there is no surfactant" };
  const first = firstMicelle(monomersPerCmc(blend, blend.fractions), blend.types);
  if (!first.found) return first;
  const mixedCmcMillimolar = Math.exp(first.value.lnFactor);
  if (totalMillimolar <= mixedCmcMillimolar) {
    return { found: true, value: belowCmc(totalMillimolar, mixedCmcMillimolar, blend, first.value.shares), iterations: first.iterations };
  }
  const bound = lowestBinding(totalMillimolar, blend, first.value.shares);
  if (!bound.found) return bound;
  const u = bound.value.map(Math.exp);
  const { micellar } = splitOf(blend, totalMillimolar, u);
  const inMicelles = boundMillimolar(blend, totalMillimolar, u);
  const value = {
    mixedCmcMillimolar,
    micelleFractions: inMicelles.map((amount) => amount / micellar),
    monomerMillimolar: monomersMillimolar(blend, totalMillimolar, u),
    micellarMillimolar: micellar,
  };
  return { found: true, value, iterations: first.iterations + bound.iterations };
}

/** Too thin for micelles: all single. The first micelle that would form has xᵢ ∝ αᵢ ⁄ (fᵢ Cᵢ). */
function belowCmc(totalMillimolar: number, mixedCmcMillimolar: number, blend: Blend, shares: readonly number[]): MixedMicelles {
  const { lnActivity } = mixingAt(shares, blend.types.beta);
  const raw = blend.fractions.map((fraction, k) =>
    fraction === 0 ? 0 : fraction / (Math.exp(lnActivity[blend.typeOf[k]!]!) * blend.cmcs[k]!),
  );
  const sum = raw.reduce((total, value) => total + value, 0);
  return {
    mixedCmcMillimolar,
    micelleFractions: raw.map((value) => value / sum),
    monomerMillimolar: blend.fractions.map((fraction) => fraction * totalMillimolar),
    micellarMillimolar: 0,
  };
}
