/**
 * The code of something made here on a day: its letter, the day, and the first number that is free. The second solution of
 * 26 November 2026 is S-261126-2.
 */
export function madeCode(letter: "S" | "W" | "N", day: string, codes: ReadonlySet<string>): string {
  const start = `${letter}-${day.slice(2).replaceAll("-", "")}`;
  for (let number = 1; ; number += 1) {
    const code = `${start}-${number}`;
    if (!codes.has(code)) return code;
  }
}
