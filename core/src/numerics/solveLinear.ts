/**
 * Solves A x = b for the small systems of the solvers (up to about a dozen unknowns) by Gaussian elimination with
 * partial pivoting. The Sheet's page solves such systems at every key: a library for matrices would add 14 kB to what it
 * loads first, and objects to tens of thousands of solutions for one picture.
 * @returns null where the rows do not tell the unknowns apart.
 */
export function solveLinear(matrix: readonly (readonly number[])[], right: readonly number[]): number[] | null {
  const size = right.length;
  const rows = matrix.map((row, k) => [...row, right[k]!]);
  for (let column = 0; column < size; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < size; row += 1) {
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    }
    const lead = rows[pivot]!;
    if (lead[column] === 0 || Number.isNaN(lead[column])) return null;
    rows[pivot] = rows[column]!;
    rows[column] = lead;
    for (let row = column + 1; row < size; row += 1) {
      const current = rows[row]!;
      const factor = current[column]! / lead[column]!;
      for (let k = column; k <= size; k += 1) current[k]! -= factor * lead[k]!;
    }
  }
  const unknowns = new Array<number>(size).fill(0);
  for (let row = size - 1; row >= 0; row -= 1) {
    let sum = rows[row]![size]!;
    for (let k = row + 1; k < size; k += 1) sum -= rows[row]![k]! * unknowns[k]!;
    unknowns[row] = sum / rows[row]![row]!;
  }
  return unknowns;
}
