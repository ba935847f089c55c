import { forEachSource } from "../../formula/leaves.ts";
import type { ResolvedSheet } from "../../formula/types.ts";
import type { KnownBuffer } from "./bookkeeping.ts";

/**
 * Titratable sites a formula brings, mmol/kg of the product with the ranges of its materials: percent × 10 g/kg ×
 * mmol/g. 1 % of citric acid of 5.2 mmol/g is 52 mmol/kg at each of its three pKa.
 */
export function knownBuffersOf({ lines, materials }: ResolvedSheet): readonly KnownBuffer[] {
  const sites = new Map<number, { low: number; high: number }>();
  for (const { material, percent } of lines) {
    if (percent === 0) continue;
    forEachSource(material, "buffers", materials, (source, fraction) => {
      const gramsPerKg = percent * fraction * 10;
      for (const { pKa, mmolPerGram } of source.buffers) {
        const site = sites.get(pKa) ?? { low: 0, high: 0 };
        sites.set(pKa, { low: site.low + gramsPerKg * mmolPerGram.low, high: site.high + gramsPerKg * mmolPerGram.high });
      }
    });
  }
  return [...sites].map(([pKa, span]) => ({ pKa, ...span }));
}
