import { decimalPlaces, toDecimals } from "./decimals.ts";
import { GRAMS_PER_OUNCE } from "./kitchenMeasures.ts";

const MINUS = "\u2212";

function signed(text: string): string {
  return text.startsWith("-") ? MINUS + text.slice(1) : text;
}

/** Writes a number with a fixed count of decimals and a true minus: 3.05 → "3.05", −3 → "−3.00". */
export function written(value: number, decimals: number): string {
  return signed(value.toFixed(decimals));
}

/** Writes a number with at most so many decimals: 4000 → "4000", 0.2000 → "0.2". */
export function writtenShort(value: number, mostDecimals: number): string {
  return signed(String(toDecimals(value, mostDecimals)));
}

/** Writes a share with two decimals, or with as many as show three digits where it is smaller than 0.1 %. */
export function writtenPercent(percent: number): string {
  const size = Math.abs(percent);
  if (size === 0 || size >= 0.1) return written(percent, 2);
  return writtenShort(percent, Math.min(12, 2 - Math.floor(Math.log10(size))));
}

/** Writes a batch mass: "600 g", from 10 kg on "12.5 kg". */
export function writtenMass(grams: number): string {
  return grams >= 10_000 ? `${writtenShort(grams / 1000, 3)} kg` : `${writtenShort(grams, 3)} g`;
}

/** Writes a mass in the unit someone computes in: 914 g are "914 g", "0.914 kg" or "32.24 oz". */
export function writtenMassIn(grams: number, unit: "g" | "kg" | "oz"): string {
  if (unit === "kg") return `${writtenShort(grams / 1000, 4)} kg`;
  if (unit === "oz") return `${writtenShort(grams / GRAMS_PER_OUNCE, 2)} oz`;
  return writtenMass(grams);
}

/** Writes a percent for a cell so that it reads back as the same number: at least two decimals, never an exponent. */
export function percentText(percent: number): string {
  return percent.toFixed(Math.min(100, Math.max(2, decimalPlaces(percent))));
}

/** Writes what a clock shows: 185 s are "3:05", 8 h less half a minute "7:59:30"; what is over is "0:00". */
export function writtenClock(milliseconds: number): string {
  const seconds = Math.max(0, Math.ceil(milliseconds / 1000));
  const two = (value: number): string => String(value).padStart(2, "0");
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), seconds % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
