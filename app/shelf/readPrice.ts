import { readNumber } from "@tensidrum/core/quantities";

const AS_NUMBER = "Give the price as a number: 12.50.";
const LONGEST = 40;
const SIGNS = /^[\p{Sc}\p{L}.]{1,8}\s*|\s*[\p{Sc}\p{L}.]{1,8}$/gu;

/**
 * Reads a price as typed, with a point or a comma: 12.50, 12,50 €. The maker's own currency may stand beside it; another one
 * is refused, because nothing here changes money.
 */
export function readPrice(typed: string, currency: string): { readonly value: number } | { readonly problem: string } {
  const text = typed.trim();
  if (text.length > LONGEST) return { problem: AS_NUMBER };
  const signs = [...text.matchAll(SIGNS)].map(([sign]) => sign.trim());
  const foreign = signs.find((sign) => sign !== currency);
  if (foreign !== undefined) {
    const own = currency === "" ? "Settings say no currency yet" : `Prices here are in ${currency}`;
    return { problem: `“${foreign}” is not counted. ${own}: type the number alone.` };
  }
  const read = readNumber(text.replaceAll(SIGNS, ""));
  return read.ok && read.value >= 0 ? { value: read.value } : { problem: AS_NUMBER };
}
