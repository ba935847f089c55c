import type { BenchAgent } from "@tensidrum/core/process";
import { readNumber, written } from "@tensidrum/core/quantities";

/** What to ask before more is dosed out of a lot than the stock ledger says it holds; null where it holds enough, or is of no lot. */
export function questionOfLot({ name, leftGrams }: BenchAgent, typed: string): string | null {
  const grams = readNumber(typed);
  if (leftGrams === null || !grams.ok || grams.value <= leftGrams) return null;
  return `By the stock ledger ${name} holds ${written(leftGrams, 2)} g. Was ${written(grams.value, 2)} g taken out of it?`;
}
