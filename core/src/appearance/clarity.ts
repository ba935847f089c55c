import { writtenPercent } from "../quantities/written.ts";
import { shownMaterial } from "../library/shownMaterial.ts";
import { forEachSource, leavesOf } from "../formula/leaves.ts";
import type { ResolvedLine, ResolvedSheet } from "../formula/types.ts";

export interface ClarityOutlook {
  readonly outlook: "clear" | "hazy" | "cloudy";
  readonly why: string;
  /** Lines that take the light. */
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
  const ids = (lines: readonly ResolvedLine[]): readonly string[] => lines.map(({ line }) => line.id);
  const names = (lines: readonly ResolvedLine[]): string => lines.map(({ material }) => shownMaterial(material).name).join(", ");
  if (opaque.length > 0) return { outlook: "cloudy", why: `light is scattered by ${names(opaque)}`, lines: ids(opaque) };
  if (looseOilPercent > NOISE_PERCENT) {
    return { outlook: "hazy", why: `${writtenPercent(looseOilPercent)} % oil that nothing carries`, lines: ids(proteins) };
  }
  if (proteins.length > 0) return { outlook: "hazy", why: `${names(proteins)} can haze`, lines: ids(proteins) };
  return { outlook: "clear", why: "nothing in it scatters the light", lines: [] };
}
