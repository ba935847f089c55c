import { Matrix, SingularValueDecomposition } from "ml-matrix";

/** Singular values below this part of the greatest are none. */
const NONE = 1e-9;
/** A share of a direction below this is rounding. */
const NOISE = 1e-6;

/** Which changes can be told apart by what was measured after them. */
export interface ToldApart {
  /** Columns whose effect follows by itself. */
  readonly apart: readonly number[];
  /** Columns whose effects cannot be told from each other, those that are mixed up together. */
  readonly together: readonly (readonly number[])[];
}

/**
 * Which columns of changes can be told apart: a column's effect follows when no combination of columns that changes nothing
 * (the null space, by singular values; Golub and Van Loan 2013) holds it. Two rounds of which the second changes two lines at
 * once leave those two together; a third that changes one of them alone tells them apart.
 * @param changes a row for each round, a column for each line, by how much it changed
 */
export function toldApart(changes: readonly (readonly number[])[]): ToldApart {
  const size = changes[0]?.length ?? 0;
  const nothing = unseen(changes, size);
  const isHeld = (at: number): boolean => (nothing[at]?.[at] ?? 0) > NOISE;
  const apart = Array.from({ length: size }, (_, at) => at).filter((at) => !isHeld(at));
  const together: number[][] = [];
  const placed = new Set(apart);
  for (let at = 0; at < size; at += 1) {
    if (placed.has(at)) continue;
    const group = [at];
    placed.add(at);
    // Whoever is mixed up with one of a group belongs to it.
    for (const member of group) {
      for (let other = 0; other < size; other += 1) {
        if (placed.has(other) || Math.abs(nothing[member]?.[other] ?? 0) <= NOISE) continue;
        group.push(other);
        placed.add(other);
      }
    }
    together.push(group.sort((a, b) => a - b));
  }
  return { apart, together };
}

/** The projection on what no round has seen. */
function unseen(changes: readonly (readonly number[])[], size: number): readonly (readonly number[])[] {
  if (changes.length === 0 || size === 0) return [];
  const { rightSingularVectors, diagonal } = decomposed(changes);
  const most = Math.max(0, ...diagonal);
  const seen = diagonal.map((value) => most > 0 && value > NONE * most);
  return Array.from({ length: size }, (_, row) =>
    Array.from({ length: size }, (__, column) => {
      const known = seen.reduce(
        (sum, isSeen, at) => (isSeen ? sum + rightSingularVectors.get(row, at) * rightSingularVectors.get(column, at) : sum),
        0,
      );
      return (row === column ? 1 : 0) - known;
    }),
  );
}

function decomposed(changes: readonly (readonly number[])[]) {
  return new SingularValueDecomposition(new Matrix(changes.map((row) => [...row])), { autoTranspose: true });
}

/** What one unit of each column does, and how sure that is. */
export interface Effect {
  readonly column: number;
  readonly perUnit: number;
  /** Standard deviation. */
  readonly spread: number;
}

/**
 * The effects of the columns that can be told apart, by least squares on the changes of a reading (pseudo-inverse; Golub and Van
 * Loan 2013). One round in which salt rose by 0.1 and thickness by 0.4: 4 for one percent.
 * @param scatter how far two readings of the same lie apart
 */
export function effectsOf(changes: readonly (readonly number[])[], moved: readonly number[], scatter: number): readonly Effect[] {
  if (changes.length === 0) return [];
  const { apart } = toldApart(changes);
  const { leftSingularVectors: left, rightSingularVectors: right, diagonal } = decomposed(changes);
  const most = Math.max(0, ...diagonal);
  return apart.flatMap((column): readonly Effect[] => {
    let perUnit = 0;
    let variance = 0;
    diagonal.forEach((value, at) => {
      if (!(value > NONE * most) || most === 0) return;
      const weight = right.get(column, at) / value;
      perUnit += weight * moved.reduce((sum, step, row) => sum + left.get(row, at) * step, 0);
      variance += weight ** 2;
    });
    // Each change is the difference of two readings.
    return variance === 0 ? [] : [{ column, perUnit, spread: Math.sqrt(2 * variance) * scatter }];
  });
}
