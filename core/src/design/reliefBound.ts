import { interaction } from "../surfactants/index.ts";
import type { Charge } from "../library/material.ts";
import type { Problem } from "./problem.ts";

const types: readonly Charge[] = ["anionic", "amphoteric", "nonionic"];

/** −β of two types: the square of their distance, for the interactions of −, ±, 0 are distances in a plane. */
const apart = types.map((one) => types.map((other) => -interaction(one, other)));

/** Rounds of narrowing; each uses what the last one found. */
const ROUNDS = 3;
const STEPS = 40;

/**
 * Most relief that any blend in a box of amounts can have. Interval arithmetic over the mixed-micelle model: with β = −d² the
 * activity of a type is f = exp(−|z − z̄|²), so it is at most 1 and falls as others come into the micelle; what is in micelles,
 * N, rises with every amount and falls with f. From ranges of the amounts follow ranges of N, of the micelle's composition X and
 * of f, and again, each narrower. 0 without anionics.
 * @param low Least active matter of each, % w/w.
 * @param high Most of it.
 */
export function mostRelief({ members, millimolar }: Problem, low: ArrayLike<number>, high: ArrayLike<number>): number {
  const size = members.length;
  const typeOf = members.map(({ charge }) => types.indexOf(charge));
  if (!typeOf.includes(0)) return 0;
  const cmc = members.map(({ cmcMillimolar }) => cmcMillimolar);
  const least = millimolar.map((each, i) => each * low[i]!);
  const most = millimolar.map((each, i) => each * high[i]!);
  const fLow = types.map((_, t) => Math.exp(-Math.max(...apart[t]!)));
  const fHigh = [1, 1, 1];
  const present = types.map((_, t) => typeOf.includes(t));
  let [micellarLow, micellarHigh] = [0, 0];
  for (let round = 0; round < ROUNDS; round += 1) {
    micellarLow = micellar(least, (i) => fHigh[typeOf[i]!]! * cmc[i]!);
    micellarHigh = micellar(most, (i) => fLow[typeOf[i]!]! * cmc[i]!);
    const inLow = [0, 0, 0];
    const inHigh = [0, 0, 0];
    for (let i = 0; i < size; i += 1) {
      const t = typeOf[i]!;
      const weak = fHigh[t]! * cmc[i]!;
      const strong = fLow[t]! * cmc[i]!;
      inLow[t]! += micellarLow === 0 ? 0 : (least[i]! * micellarLow) / (micellarLow + weak);
      inHigh[t]! += micellarHigh === 0 ? 0 : (most[i]! * micellarHigh) / (micellarHigh + strong);
    }
    const sumLow = inLow[0]! + inLow[1]! + inLow[2]!;
    const sumHigh = inHigh[0]! + inHigh[1]! + inHigh[2]!;
    const shareLow = types.map((_, t) => (inLow[t] === 0 ? 0 : inLow[t]! / (inLow[t]! + sumHigh - inHigh[t]!)));
    const shareHigh = types.map((_, t) =>
      !present[t] ? 0 : sumLow - inLow[t]! + inHigh[t]! === 0 ? 1 : inHigh[t]! / (inHigh[t]! + sumLow - inLow[t]!),
    );
    for (let t = 0; t < types.length; t += 1) {
      const [a, b] = [(t + 1) % 3, (t + 2) % 3];
      const [toA, toB] = [apart[t]![a]!, apart[t]![b]!];
      const cross = toA + toB - apart[a]![b]!;
      const far =
        toA * shareHigh[a]! ** 2 +
        toB * shareHigh[b]! ** 2 +
        (cross > 0 ? cross * shareHigh[a]! * shareHigh[b]! : cross * shareLow[a]! * shareLow[b]!);
      const near =
        toA * shareLow[a]! ** 2 +
        toB * shareLow[b]! ** 2 +
        (cross > 0 ? cross * shareLow[a]! * shareLow[b]! : cross * shareHigh[a]! * shareHigh[b]!);
      fLow[t] = Math.max(fLow[t]!, Math.exp(-far));
      fHigh[t] = Math.min(fHigh[t]!, Math.exp(-Math.max(0, near)));
    }
  }
  let free = 0;
  let anionicLow = 0;
  let anionicHigh = 0;
  let othersLow = 0;
  let othersHigh = 0;
  for (let i = 0; i < size; i += 1) {
    if (typeOf[i] !== 0) {
      othersLow += least[i]!;
      othersHigh += most[i]!;
      continue;
    }
    const bound = fLow[0]! * cmc[i]!;
    free += least[i] === 0 ? 0 : (least[i]! * bound) / (micellarHigh + bound);
    anionicLow += least[i]!;
    anionicHigh += most[i]!;
  }
  if (anionicHigh === 0) return 0;
  // The same anionics alone at the same total: each scaled by total ⁄ anionics, at most so much of each.
  const scale = anionicLow === 0 ? Infinity : 1 + othersHigh / anionicLow;
  const total = anionicHigh + othersHigh;
  const own = members.flatMap((_, i) => (typeOf[i] === 0 ? [i] : []));
  const onlyOne = own.length === 1 ? cmc[own[0]!]! : null;
  const alone =
    onlyOne === null
      ? mostAlone(
          own.map((i) => cmc[i]!),
          own.map((i) => Math.min(total, most[i]! * scale)),
          own.map((i) => least[i]! * (1 + othersLow / anionicHigh)),
        )
      : Math.min(onlyOne, total);
  return Math.max(0, 1 - free / alone);
}

/** N with Σ nᵢ ⁄ (N + sᵢ) = 1; 0 where there are too few for a micelle. */
function micellar(amounts: readonly number[], scaledOf: (i: number) => number): number {
  let sum = 0;
  let total = 0;
  for (let i = 0; i < amounts.length; i += 1) {
    sum += amounts[i]! / scaledOf(i);
    total += amounts[i]!;
  }
  if (sum <= 1) return 0;
  // The sum is convex and falls, so Newton's steps from the left come from one side and never pass it.
  let found = 0;
  for (let step = 0; step < STEPS; step += 1) {
    let value = -1;
    let slope = 0;
    for (let i = 0; i < amounts.length; i += 1) {
      const part = amounts[i]! / (found + scaledOf(i));
      value += part;
      slope += part / (found + scaledOf(i));
    }
    const next = found + value / slope;
    if (next - found < 1e-9 * total) return next;
    found = next;
  }
  return found;
}

/** Most that anionics alone can leave single: ideal micelles of them, with the most of each beside the fewest micelles. */
function mostAlone(cmcs: readonly number[], most: readonly number[], least: readonly number[]): number {
  const fewest = micellar(least, (i) => cmcs[i]!);
  const byParts = cmcs.reduce((sum, cmc, i) => sum + (most[i]! * cmc) / (fewest + cmc), 0);
  // Σ xᵢ Cᵢ is an average of the cmcs, and what is single is never more than that.
  return Math.min(byParts, Math.max(...cmcs));
}
