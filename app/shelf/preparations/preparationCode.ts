type Letter = "S" | "W" | "N";

/** How the codes of what was made on a day begin. */
export const startOfCode = (letter: Letter, day: string): string => `${letter}-${day.slice(2).replaceAll("-", "")}`;

/**
 * The code of something made here on a day: its letter, the day, and the first number that is free. The second solution of
 * 26 November 2026 is S-261126-2.
 */
export function madeCode(letter: Letter, day: string, codes: ReadonlySet<string>): string {
  const start = startOfCode(letter, day);
  for (let number = 1; ; number += 1) {
    const code = `${start}-${number}`;
    if (!codes.has(code)) return code;
  }
}
