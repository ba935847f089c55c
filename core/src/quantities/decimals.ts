/** Decimals in the shortest decimal writing of a finite number: 0.025 has 3, 1e-7 has 7, 600 has 0. */
export function decimalPlaces(value: number): number {
  const [mantissa = "", exponent = "0"] = String(value).split("e");
  const written = mantissa.split(".")[1]?.length ?? 0;
  return Math.max(0, written - Number(exponent));
}

/** toFixed allows no more. */
const MOST_DECIMALS = 100;

/** Removes binary noise: the double nearest to `value` written with so many decimals. */
export function toDecimals(value: number, places: number): number {
  return Number(value.toFixed(Math.min(places, MOST_DECIMALS)));
}

/** Quotients this near to a whole number are whole: doubles carry about 16 digits. */
const WHOLE_TOLERANCE = 1e-9;

/** The largest multiple of `step` not above `value`, as clean decimals. `step` > 0. */
export function floorToMultiple(value: number, step: number): number {
  return toDecimals(Math.floor(value / step + WHOLE_TOLERANCE) * step, decimalPlaces(step));
}

/** The multiple of `step` nearest to `value`, halves upwards, as clean decimals. `step` > 0. */
export function roundToMultiple(value: number, step: number): number {
  return toDecimals(Math.floor(value / step + 0.5 + WHOLE_TOLERANCE) * step, decimalPlaces(step));
}
