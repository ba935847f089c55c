/** Longer than any line of an instrument: what goes on so long without an end is noise. */
const LONGEST_LINE = 120;

/**
 * Whole lines out of a stream that comes in pieces of any length: "S 61.3" and "8 g\r\nS 6" make the line "S 61.38 g" and
 * leave "S 6" for the next piece. What never ends is cut off, so that a device on the wrong speed fills no memory.
 * @param rest What the pieces before left over; empty at the start.
 */
export function textLines(rest: string, piece: string): { readonly lines: readonly string[]; readonly rest: string } {
  const parts = (rest + piece).split(/\r\n|\r|\n/);
  const last = parts.pop() ?? "";
  return { lines: parts.filter((line) => line.trim() !== ""), rest: last.length > LONGEST_LINE ? "" : last };
}
