/** A cell as it was meant: tables of ours put a mark before what a spreadsheet would take for a formula. */
export function plainCell(cell: string): string {
  return cell.trim().replace(/^'(?=[=+\-@])/, "");
}
