import { newton, type Solved, type System } from "../../numerics/newton.ts";
import { mixingAt, type Types } from "./interactions.ts";
import { startingShares } from "./startingShares.ts";

/** The composition of lowest free energy in contact with given monomers. */
export interface FirstMicelle {
  /** Share of each type in it, mol/mol; they sum to 1. */
  readonly shares: readonly number[];
  /** ln of the factor by which the monomers would have to grow for it to form. */
  readonly lnFactor: number;
}

/**
 * The micelle that forms first. Monomers aₜ = Σ mᵢ ⁄ Cᵢ of each type bear it where Φ(X) = Σ Xₜ ln(Xₜ ⁄ aₜ) + Σ β X X is
 * smallest; that smallest value is ln C* when the aₜ are made of mole fractions (1 ⁄ C* = Σ aₜ ⁄ fₜ), and negative when
 * the monomers are already too many. Solved as z = ln aₜ − ln fₜ(softmax z).
 */
export function firstMicelle(monomers: readonly number[], types: Types): Solved<FirstMicelle> {
  // Within a type mixing is ideal: 1 ⁄ C* = Σ α ⁄ C.
  if (monomers.length === 1) return { found: true, value: { shares: [1], lnFactor: -Math.log(monomers[0]!) }, iterations: 0 };
  let best: FirstMicelle | null = null;
  let reason = "";
  let iterations = 0;
  for (const start of startingShares(types)) {
    const solved = newton((z) => firstMicelleSystem(z, monomers, types), start.map(Math.log));
    if (!solved.found) {
      reason = solved.reason;
      continue;
    }
    iterations += solved.iterations;
    const { shares, lnSum } = softmax(solved.value);
    if (best === null || -lnSum < best.lnFactor) best = { shares, lnFactor: -lnSum };
  }
  return best === null ? { found: false, reason } : { found: true, value: best, iterations };
}

function firstMicelleSystem(z: readonly number[], monomers: readonly number[], { beta }: Types): System {
  const { shares } = softmax(z);
  const { lnActivity, pull } = mixingAt(shares, beta);
  return {
    residuals: z.map((value, t) => value - Math.log(monomers[t]!) + lnActivity[t]!),
    // ∂ln fₜ ⁄ ∂zₖ = Xₖ (βₜₖ − Sₖ − Σⱼ (βₜⱼ − Sⱼ) Xⱼ), with S the pull
    jacobian: z.map((_, t) => {
      const mean = shares.reduce((sum, share, j) => sum + (beta[t]![j]! - pull[j]!) * share, 0);
      return z.map((_unknown, k) => (t === k ? 1 : 0) + shares[k]! * (beta[t]![k]! - pull[k]! - mean));
    }),
  };
}

function softmax(z: readonly number[]): { readonly shares: readonly number[]; readonly lnSum: number } {
  const most = z.reduce((high, value) => Math.max(high, value));
  const powers = z.map((value) => Math.exp(value - most));
  const sum = powers.reduce((total, power) => total + power, 0);
  return { shares: powers.map((power) => power / sum), lnSum: most + Math.log(sum) };
}
