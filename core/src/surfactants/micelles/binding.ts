import { newton, type Solved, type System } from "../../numerics/newton.ts";
import { boundMillimolar, monomersMillimolar, monomersPerCmc, splitOf, type Blend } from "./blend.ts";
import { firstMicelle } from "./firstMicelle.ts";
import { mixingAt } from "./interactions.ts";
import { startingShares } from "./startingShares.ts";

/** More than one kind of micelle side by side would hold less free energy. */
export const SEVERAL_MICELLE_TYPES = "several micelle types";

/** A second micelle must gain more than rounding to count. */
const GAIN_THAT_COUNTS = 1e-7;

/** ln u per type at the balance of lowest free energy. */
export function lowestBinding(totalMillimolar: number, blend: Blend, firstShares: readonly number[]): Solved<readonly number[]> {
  const { types } = blend;
  const starts = types.isConvex ? [firstShares] : [firstShares, ...startingShares(types)];
  let best: { lnU: readonly number[]; energy: number } | null = null;
  let reason = "";
  let iterations = 0;
  for (const shares of starts) {
    const solved = newton((lnU) => bindingSystem(lnU, totalMillimolar, blend), startOfBinding(totalMillimolar, blend, shares));
    if (!solved.found) {
      reason = solved.reason;
      continue;
    }
    if (types.isConvex) return solved;
    iterations += solved.iterations;
    const energy = freeEnergy(solved.value, totalMillimolar, blend);
    if (best === null || energy < best.energy) best = { lnU: solved.value, energy };
  }
  if (best === null) return { found: false, reason };
  if (!staysWhole(best.lnU, totalMillimolar, blend)) return { found: false, reason: SEVERAL_MICELLE_TYPES };
  return { found: true, value: best.lnU, iterations };
}

function bindingSystem(lnU: readonly number[], totalMillimolar: number, blend: Blend): System {
  const { beta } = blend.types;
  const { bound, loss, micellar } = splitOf(blend, totalMillimolar, lnU.map(Math.exp));
  const { lnActivity, pull, excess } = mixingAt(
    bound.map((amount) => amount / micellar),
    beta,
  );
  const lnMicellar = Math.log(micellar);
  return {
    residuals: lnU.map((value, t) => lnActivity[t]! - value - lnMicellar),
    jacobian: lnU.map((_, t) =>
      lnU.map((_unknown, k) => {
        const perBound = (beta[t]![k]! - pull[k]! - pull[t]! + 2 * excess - 1) / micellar;
        return -loss[k]! * perBound - (t === k ? 1 : 0);
      }),
    ),
  };
}

/** Enough for a start; Newton does the rest. */
const BISECTIONS = 12;
/** Of the logarithm of what is in micelles, below all that there is. */
const WIDEST = 40;

/** ln u for micelles of the given composition: Σ αᵢ C ⁄ (N + fᵢ Cᵢ) = 1 has one N, since the sum falls with N. */
function startOfBinding(totalMillimolar: number, { types, fractions, cmcs, typeOf }: Blend, shares: readonly number[]): readonly number[] {
  const { lnActivity } = mixingAt(shares, types.beta);
  const scaled = fractions.map((fraction, k) => (fraction === 0 ? 0 : Math.exp(lnActivity[typeOf[k]!]!) * cmcs[k]!));
  let lnHigh = Math.log(totalMillimolar);
  let lnLow = lnHigh - WIDEST;
  for (let k = 0; k < BISECTIONS; k += 1) {
    const middle = (lnLow + lnHigh) / 2;
    const micellar = Math.exp(middle);
    let sum = 0;
    for (let i = 0; i < fractions.length; i += 1) sum += (fractions[i]! * totalMillimolar) / (micellar + scaled[i]!);
    if (sum > 1) lnLow = middle;
    else lnHigh = middle;
  }
  return lnActivity.map((value) => value - lnHigh);
}

/** Free energy of monomers and micelles together, mmol/L × RT, up to what the amounts fix. */
function freeEnergy(lnU: readonly number[], totalMillimolar: number, blend: Blend): number {
  const u = lnU.map(Math.exp);
  const { bound, micellar } = splitOf(blend, totalMillimolar, u);
  const { excess } = mixingAt(
    bound.map((amount) => amount / micellar),
    blend.types.beta,
  );
  const single = monomersMillimolar(blend, totalMillimolar, u);
  return boundMillimolar(blend, totalMillimolar, u).reduce((sum, inMicelles, k) => {
    if (inMicelles === 0) return sum;
    return sum + single[k]! * (Math.log(single[k]!) - 1) + inMicelles * Math.log((blend.cmcs[k]! * inMicelles) / micellar);
  }, micellar * excess);
}

/** Whether no second kind of micelle would form out of the monomers that are left. */
function staysWhole(lnU: readonly number[], totalMillimolar: number, blend: Blend): boolean {
  const second = firstMicelle(monomersPerCmc(blend, monomersMillimolar(blend, totalMillimolar, lnU.map(Math.exp))), blend.types);
  return second.found && second.value.lnFactor > -GAIN_THAT_COUNTS;
}
