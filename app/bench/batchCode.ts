/** How a batch is named: the first letters of its formula's words, the day, a number. Curtain Call on 26 November 2026: CC-261126-. */
export function batchCodeStart(name: string, day: string): string {
  const letters = name
    .normalize("NFD")
    .split(/[^A-Za-z0-9]+/)
    .filter((word) => /^[A-Z0-9]/.test(word))
    .map((word) => word.charAt(0))
    .join("")
    .slice(0, 4);
  return `${letters === "" ? "B" : letters}-${day.slice(2).replaceAll("-", "")}-`;
}

/** The first number that is free behind a start. */
export function nextBatchCode(start: string, taken: readonly string[]): string {
  const codes = new Set(taken);
  for (let number = 1; ; number += 1) if (!codes.has(`${start}${number}`)) return `${start}${number}`;
}
