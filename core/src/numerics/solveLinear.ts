import { LuDecomposition, Matrix } from "ml-matrix";

/**
 * Solves A x = b by LU decomposition with partial pivoting.
 * @param matrix Square, row by row; as many rows as `right` has numbers.
 * @returns null where the rows do not tell the unknowns apart.
 */
export function solveLinear(matrix: readonly (readonly number[])[], right: readonly number[]): number[] | null {
  const lu = new LuDecomposition(new Matrix(matrix as number[][]));
  if (lu.isSingular()) return null;
  const unknowns = lu.solve(Matrix.columnVector([...right])).to1DArray();
  return unknowns.some(Number.isNaN) ? null : unknowns;
}
