import { isoDay } from "../quantities/isoDay.ts";
import { written, writtenShort } from "../quantities/written.ts";

const GRAMS_PER_OUNCE = 28.349523125;

/** Net weight in both units: "254 g (8.96 oz)". Grams are rounded down: a label never promises more than is in. */
export function netWeightText(grams: number): string {
  const promised = grams >= 100 ? Math.floor(grams + 1e-9) : Math.floor(grams * 10 + 1e-9) / 10;
  return `${writtenShort(promised, 1)} g (${written(promised / GRAMS_PER_OUNCE, 2)} oz)`;
}

const ML_PER_FLUID_OUNCE = 29.5735;

/** Net volume in both units: "100 mL (3.38 fl oz)". Millilitres are rounded down, as grams are. */
export function netVolumeText(millilitres: number): string {
  const promised = millilitres >= 100 ? Math.floor(millilitres + 1e-9) : Math.floor(millilitres * 10 + 1e-9) / 10;
  return `${writtenShort(promised, 1)} mL (${written(promised / ML_PER_FLUID_OUNCE, 2)} fl oz)`;
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
