import { decimalPlaces } from "../quantities/decimals.ts";
import type { Scale } from "../quantities/scales.ts";
import { written } from "../quantities/written.ts";
import type { WeighedLine } from "./weighSheet.ts";

/** Decimals the sheet shows in grams: those of the finest scale a line is weighed on. */
export function finestDecimals(lines: readonly WeighedLine[], scales: readonly Scale[]): number {
  let most = 0;
  for (const line of lines) most = Math.max(most, decimalsOf(line, scales));
  return most;
}

function decimalsOf(line: WeighedLine, scales: readonly Scale[]): number {
  const scale = scales.find((candidate) => candidate.name === line.scale);
  return scale === undefined ? 2 : decimalPlaces(scale.readabilityGrams);
}

/** Grams as the line's scale will show them; the line of the rest as fine as the sheet goes. */
export function gramsText(line: WeighedLine, scales: readonly Scale[], restDecimals: number | null): string {
  const decimals = restDecimals ?? decimalsOf(line, scales);
  return written(line.gramsToWeigh, Math.max(decimals, Math.min(6, decimalPlaces(line.gramsToWeigh))));
}
