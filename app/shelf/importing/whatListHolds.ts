/** What a list holds, by its first look: "3 rows, heads: material, code, grams". Null for what is no table. */
export function whatListHolds(text: string): string | null {
  if (/^\s*[[{]/.test(text)) return null;
  const rows = text.split(/\r?\n/).filter((row) => row.trim() !== "");
  const [head, ...others] = rows;
  if (head === undefined) return null;
  const heads = head.split(/[;,\t]/).map((cell) => cell.trim().replaceAll('"', ""));
  if (heads.length < 2) return null;
  const count = others.length === 1 ? "1 row" : `${others.length.toLocaleString("en-GB")} rows`;
  return `${count}, heads: ${heads.slice(0, 8).join(", ")}${heads.length > 8 ? " …" : ""}`;
}
