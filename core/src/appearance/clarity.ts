import { forEachSource, leavesOf } from "../formula/leaves.ts";
import type { ResolvedLine, ResolvedSheet } from "../formula/types.ts";

export interface ClarityOutlook {
  readonly outlook: "clear" | "hazy" | "cloudy";
  readonly reason: "opacifiers" | "free-oil" | "proteins" | "nothing";
  /** Materials that scatter the light, by slug. */
  readonly materials: readonly string[];
  /** Lines that scatter the light. */
  readonly lines: readonly string[];
}

const NOISE_PERCENT = 1e-9;

/** Lines that cloud a product: opacifiers, and proteins. */
export function cloudingLines({ lines, materials }: ResolvedSheet): {
  readonly opaque: readonly ResolvedLine[];
  readonly proteins: readonly ResolvedLine[];
} {
  const opaque: ResolvedLine[] = [];
  const proteins: ResolvedLine[] = [];
  for (const resolved of lines) {
    if (resolved.percent === 0) continue;
    let opacifies = false;
    forEachSource(resolved.material, "flags", materials, ({ flags }) => {
      opacifies ||= flags.includes("opacifies");
    });
    if (opacifies) opaque.push(resolved);
    else if (leavesOf(resolved.material, materials).some((leaf) => leaf.material.role === "protein")) proteins.push(resolved);
  }
  return { opaque, proteins };
}

/**
 * How clear it will likely be (an estimate): cloudy with opacifiers, hazy with proteins or oil that nothing carries,
 * clear otherwise.
 */
export function clarityOutlook(sheet: ResolvedSheet, looseOilPercent: number): ClarityOutlook {
  const { opaque, proteins } = cloudingLines(sheet);
  const of = (outlook: ClarityOutlook["outlook"], reason: ClarityOutlook["reason"], lines: readonly ResolvedLine[]): ClarityOutlook => ({
    outlook,
    reason,
    materials: [...new Set(lines.map(({ material }) => material.slug))],
    lines: lines.map(({ line }) => line.id),
  });
  if (opaque.length > 0) return of("cloudy", "opacifiers", opaque);
  if (looseOilPercent > NOISE_PERCENT) return of("hazy", "free-oil", proteins);
  if (proteins.length > 0) return of("hazy", "proteins", proteins);
  return of("clear", "nothing", []);
}
