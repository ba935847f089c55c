import { isKind } from "../library/ingredientKinds.ts";
import { ROOM_C } from "../quantities/roomTemperature.ts";
import { forEachSource, leavesOf } from "../formula/leaves.ts";
import type { ResolvedLine, ResolvedSheet } from "../formula/types.ts";

export interface ClarityOutlook {
  /** "clears": hazy when it is made, and clear by the next day. */
  readonly outlook: "clear" | "clears" | "hazy" | "cloudy";
  readonly reason: "opacifiers" | "free-oil" | "proteins" | "settles" | "nothing";
  /** Materials that scatter the light, by slug. */
  readonly materials: readonly string[];
  /** Lines that scatter the light. */
  readonly lines: readonly string[];
}

/** How each outlook may look: a jar and an eye tell no finer. */
const LOOKS = {
  clear: ["clear", "slightly hazy"],
  clears: ["clear", "slightly hazy"],
  hazy: ["slightly hazy", "hazy"],
  cloudy: ["hazy", "opaque"],
} as const satisfies Readonly<Record<ClarityOutlook["outlook"], readonly string[]>>;

/** Whether what a maker saw, as "slightly hazy", is what was foreseen. "hazy" is not what "clear" foresaw. */
export function isAsForeseen(outlook: ClarityOutlook["outlook"], look: string): boolean {
  return LOOKS[outlook].some((one) => one === look);
}

const NOISE_PERCENT = 1e-9;
/** Glucosides that were this warm are clear at once, °C. */
const WARM_C = 40;

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
    forEachSource(resolved.material, "flags", materials, (source) => {
      // The haze of cationic guar goes overnight.
      const settles = source.parts === undefined && isKind(source, "cationic-guar");
      opacifies ||= !settles && source.flags.includes("opacifies");
    });
    if (opacifies) opaque.push(resolved);
    else if (leavesOf(resolved.material, materials).some((leaf) => leaf.material.role === "protein")) proteins.push(resolved);
  }
  return { opaque, proteins };
}

/** What hydrates or dissolves by the next day: cationic guar, and glucosides that were not warmed. */
function settlingLines({ lines, materials, formula }: ResolvedSheet): readonly ResolvedLine[] {
  const warm = new Set(formula.phases.flatMap(({ id, temperatureC }) => ((temperatureC ?? ROOM_C) >= WARM_C ? [id] : [])));
  return lines.filter(({ material, percent, line }) => {
    if (percent === 0) return false;
    return leavesOf(material, materials).some(
      ({ material: leaf }) => isKind(leaf, "cationic-guar") || (isKind(leaf, "glucoside") && !warm.has(line.phase)),
    );
  });
}

/**
 * How clear it will likely be (an estimate): cloudy with opacifiers, hazy with proteins or oil that nothing carries,
 * hazy when made and clear
 * by the next day with cationic guar or cold glucosides, whose haze and fine bubbles go overnight; clear otherwise.
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
  const settling = settlingLines(sheet);
  return settling.length > 0 ? of("clears", "settles", settling) : of("clear", "nothing", []);
}
