import type { Types } from "./interactions.ts";

/** Share of the leading types in a start near a corner or an edge. */
const LEADING = 0.96;

/**
 * Compositions to start the search from: an even one where there is one minimum only; where there can be several, also
 * near every corner and the middle of every edge.
 */
export function startingShares({ present, isConvex }: Types): readonly (readonly number[])[] {
  const even = present.map(() => 1 / present.length);
  if (isConvex) return [even];
  const corners = present.map((_, lead) => leadBy([lead], present.length));
  const edges = present.flatMap((_, one) => present.slice(one + 1).map((_other, k) => leadBy([one, one + 1 + k], present.length)));
  return [even, ...corners, ...edges];
}

function leadBy(leaders: readonly number[], count: number): readonly number[] {
  const rest = count - leaders.length;
  if (rest === 0) return Array.from({ length: count }, () => 1 / count);
  return Array.from({ length: count }, (_, k) => (leaders.includes(k) ? LEADING / leaders.length : (1 - LEADING) / rest));
}
