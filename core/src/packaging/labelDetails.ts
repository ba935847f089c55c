import { Refusal } from "../quantities/refusal.ts";
import { isoDay } from "../quantities/isoDay.ts";
import { written, writtenShort } from "../quantities/written.ts";

const GRAMS_PER_OUNCE = 28.349523125;

/** Net weight in both units: "254 g (8.96 oz)". Grams are rounded down: a label never promises more than is in. */
export function netWeightText(grams: number): string {
  const promised = grams >= 100 ? Math.floor(grams + 1e-9) : Math.floor(grams * 10 + 1e-9) / 10;
  return `${writtenShort(promised, 1)} g (${written(promised / GRAMS_PER_OUNCE, 2)} oz)`;
}

const ISO_DAY = "YYYY-MM-DD";

/**
 * Best before: so many months after it was made, but no later than the earliest expiry of a lot in it. Made on
 * 2026-11-26 for 12 months, with a lot that ends on 2027-08-31: 2027-08-31.
 * @throws Refusal for a date that is none.
 */
export function bestBefore({
  madeOn,
  months,
  lotExpiries,
}: {
  readonly madeOn: string;
  readonly months: number;
  readonly lotExpiries: readonly string[];
}): string {
  const last = isoDay(madeOn).add(months, "month").format(ISO_DAY);
  return lotExpiries
    .map((expiry) => isoDay(expiry).format(ISO_DAY))
    .reduce((earliest, expiry) => (expiry < earliest ? expiry : earliest), last);
}

/**
 * Batch code by the maker's pattern: {YYYY}, {YY}, {MM}, {DD} of the day and {N}, {NN}, {NNN} for the batch of that day.
 * "{YY}{MM}{DD}-{NN}" on 2026-11-26 for the third batch is "261126-03".
 * @throws Refusal for a date that is none, a count below 1 or a pattern that would give two batches one code.
 */
export function batchCode(pattern: string, madeOn: string, sequence: number): string {
  const made = isoDay(madeOn);
  if (!Number.isInteger(sequence) || sequence < 1)
    throw new Refusal("not-valid", "Batches are counted from 1.", "Count the batches of that day.");
  if (!/\{N+\}/.test(pattern))
    throw new Refusal("not-possible", "Two batches of one day would get the same code.", "Put {N} into the pattern.");
  return pattern
    .replace(/\{(YYYY|YY|MM|DD)\}/g, (_, token: string) => made.format(token))
    .replace(/\{(N+)\}/g, (_, places: string) => String(sequence).padStart(places.length, "0"));
}
