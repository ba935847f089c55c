import { isoDay } from "../quantities/isoDay.ts";

/**
 * The code of a batch by the maker's pattern: {letters} are the first letters of its formula's words, {yymmdd}, {yyyy},
 * {mm} and {dd} the day, {n} the first number nobody has. Curtain Call on 26 November 2026 by {letters}-{yymmdd}-{n}:
 * CC-261126-1.
 * @param taken codes there are already that begin as this one does
 */
export function batchCode(
  pattern: string,
  { name, day, taken }: { readonly name: string; readonly day: string; readonly taken: readonly string[] },
): string {
  const filled = filledPattern(pattern, { name, day });
  const codes = new Set(taken);
  for (let number = 1; ; number += 1) {
    const code = filled.replaceAll("{n}", String(number));
    if (!codes.has(code)) return code;
  }
}

/** What every code by this pattern begins with on that day: all before its number. */
export function batchCodeStart(pattern: string, of: { readonly name: string; readonly day: string }): string {
  return filledPattern(pattern, of).split("{n}")[0] ?? "";
}

function filledPattern(pattern: string, { name, day }: { readonly name: string; readonly day: string }): string {
  const date = isoDay(day);
  return pattern
    .replaceAll("{letters}", firstLetters(name))
    .replaceAll("{yymmdd}", date.format("YYMMDD"))
    .replaceAll("{yyyy}", date.format("YYYY"))
    .replaceAll("{mm}", date.format("MM"))
    .replaceAll("{dd}", date.format("DD"));
}

function firstLetters(name: string): string {
  const letters = name
    .normalize("NFD")
    .split(/[^A-Za-z0-9]+/)
    .filter((word) => /^[A-Z0-9]/.test(word))
    .map((word) => word.charAt(0))
    .join("")
    .slice(0, 4);
  return letters === "" ? "B" : letters;
}
