import type { Candidate, DesignWishes, RestOfSheet } from "./wishes.ts";

/** How many choices were left out, by the first reason that spoke. */
export interface SetCuts {
  /** Anionic beside cationic. */
  charge: number;
  /** No pH that suits all of them, the preservative and the aim. */
  ph: number;
  /** Nothing in it answers to salt. */
  thickening: number;
  /** No amounts keep every wish. */
  impossible: number;
}

/** Narrowest corridor of pH anybody can hold. Ours. */
export const LEAST_CORRIDOR = 0.2;

/** Every admissible choice of candidates, in the order of the candidates, the small ones first; counts what is cut. */
export function* setsOf(
  candidates: readonly Candidate[],
  { count, mustHave }: DesignWishes,
  rest: RestOfSheet,
  cuts: SetCuts,
): Generator<readonly Candidate[]> {
  const must = candidates.filter(({ slug }) => mustHave.includes(slug));
  const others = candidates.filter(({ slug }) => !mustHave.includes(slug));
  if (must.length < mustHave.length) return;
  for (let size = Math.max(count.low, must.length); size <= count.high; size += 1) {
    for (const chosen of choices(others, size - must.length)) {
      const members = [...must, ...chosen];
      if (clashes(members)) cuts.charge += 1;
      else if (!sharesPh(members, rest)) cuts.ph += 1;
      else yield members;
    }
  }
}

/** Every choice of so many, in order. */
function* choices<One>(of: readonly One[], size: number): Generator<readonly One[]> {
  if (size === 0) {
    yield [];
    return;
  }
  if (size > of.length) return;
  const at = Array.from({ length: size }, (_, k) => k);
  for (;;) {
    yield at.map((index) => of[index]!);
    let moving = size - 1;
    while (moving >= 0 && at[moving] === of.length - size + moving) moving -= 1;
    if (moving < 0) return;
    at[moving]! += 1;
    for (let k = moving + 1; k < size; k += 1) at[k] = at[k - 1]! + 1;
  }
}

function clashes(members: readonly Candidate[]): boolean {
  return members.some(({ charge }) => charge === "anionic") && members.some(({ charge }) => charge === "cationic");
}

function sharesPh(members: readonly Candidate[], { ph }: RestOfSheet): boolean {
  const spans = [...(ph === null ? [] : [ph]), ...members.flatMap(({ phStable }) => (phStable === null ? [] : [phStable]))];
  const low = Math.max(...spans.map((span) => span.low));
  const high = Math.min(...spans.map((span) => span.high));
  return spans.length === 0 || high - low >= LEAST_CORRIDOR;
}
