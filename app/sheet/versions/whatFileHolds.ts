/** What a formula file holds, read without trusting it; null where it is none. "Curtain Call shampoo, 16 lines, 600 g" */
export function whatFormulaFileHolds(text: string): string | null {
  const file = parsed(text);
  if (file === null || !Array.isArray(file.lines)) return null;
  const name = typeof file.name === "string" && file.name.trim() !== "" ? file.name.trim() : "Untitled formula";
  const lines = file.lines.length === 1 ? "1 line" : `${file.lines.length} lines`;
  const batch = typeof file.batchGrams === "number" ? `, ${file.batchGrams} g` : "";
  const materials =
    Array.isArray(file.materials) && file.materials.length > 0
      ? `, with ${file.materials.length === 1 ? "1 material" : `${file.materials.length} materials`}`
      : "";
  return `${name.slice(0, 80)}, ${lines}${batch}${materials}`;
}

function parsed(text: string): Readonly<Record<string, unknown>> | null {
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === "object" && value !== null && !Array.isArray(value) ? (value as Readonly<Record<string, unknown>>) : null;
  } catch {
    return null;
  }
}
