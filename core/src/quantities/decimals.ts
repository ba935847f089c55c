/** Decimals in the shortest decimal writing of a finite number: 0.025 has 3, 1e-7 has 7, 600 has 0. */
export function decimalPlaces(value: number): number {
  const [mantissa = "", exponent = "0"] = String(value).split("e");
  const written = mantissa.split(".")[1]?.length ?? 0;
  return Math.max(0, written - Number(exponent));
}

/** toFixed allows no more. */
const MOST_DECIMALS = 100;

/** Powers of ten up to here are exact doubles, so that dividing by them rounds only once. */
const MOST_EXACT_POWER = 22;

const powersOfTen: readonly number[] = Array.from({ length: MOST_EXACT_POWER + 1 }, (_, power) => 10 ** power);

/** Removes binary noise: the double nearest to `value` written with so many decimals. */
export function toDecimals(value: number, places: number): number {
  const power = powersOfTen[places];
  if (power !== undefined && Math.abs(value * power) < Number.MAX_SAFE_INTEGER) return Math.round(value * power) / power;
  return Number(value.toFixed(Math.min(places, MOST_DECIMALS)));
}

/** Quotients this near to a whole number are whole: doubles carry about 16 digits. */
const WHOLE_TOLERANCE = 1e-9;

/** The largest multiple of `step` not above `value`, as clean decimals. `step` > 0; `places` are its decimals. */
export function floorToMultiple(value: number, step: number, places = decimalPlaces(step)): number {
  return toDecimals(Math.floor(value / step + WHOLE_TOLERANCE) * step, places);
}

/** The multiple of `step` nearest to `value`, halves upwards, as clean decimals. `step` > 0; `places` are its decimals. */
export function roundToMultiple(value: number, step: number, places = decimalPlaces(step)): number {
  return toDecimals(Math.floor(value / step + 0.5 + WHOLE_TOLERANCE) * step, places);
}
