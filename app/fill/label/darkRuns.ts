/** Dark squares that stand side by side, as one bar: row by row, in squares. */
export function darkRuns(
  qr: readonly (readonly boolean[])[],
): readonly { readonly x: number; readonly y: number; readonly length: number }[] {
  return qr.flatMap((cells, y) =>
    cells.flatMap((isDark, x) => {
      if (!isDark || cells[x - 1] === true) return [];
      const end = cells.indexOf(false, x);
      return [{ x, y, length: (end < 0 ? cells.length : end) - x }];
    }),
  );
}
