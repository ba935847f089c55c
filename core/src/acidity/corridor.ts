import type { Material, MaterialsBySlug, PreservativeFacts, Span } from "../library/material.ts";
import { leavesOf } from "../formula/leaves.ts";
import type { Profile } from "../formula/profiles.ts";
import { schoolOf } from "../formula/schools.ts";
import type { ResolvedSheet } from "../formula/types.ts";

/** Where tears are; beside it the eye stings. */
export const EYE_PH: Span = { low: 6.5, high: 7.2 };

/** Someone who wants the pH between two values: "profile", "school", "eye area" or a material's slug. */
export interface PhClaim extends Span {
  readonly who: string;
}

/** A preservative of the formula and where it works. */
export interface EffectiveRange {
  /** Slug. */
  readonly material: string;
  readonly facts: Pick<PreservativeFacts, "effectivePhLow" | "effectivePhHigh">;
}

export interface PhCorridor extends Span {
  /** No pH suits everyone: the low end lies above the high end. */
  readonly empty: boolean;
  readonly claims: readonly PhClaim[];
  /** Two who exclude each other; empty while the corridor is open. */
  readonly conflict: readonly string[];
}

/**
 * The pH that suits everyone: the profile's window (or that of the eye area), the school, the stable range of every
 * material and the effective range of every preservative. Null when nobody claims anything.
 */
export function phCorridor(sheet: ResolvedSheet, profile: Profile, doses: readonly EffectiveRange[]): PhCorridor | null {
  const claims = [...aimClaims(sheet, profile), ...materialClaims(sheet, doses)];
  return claims.length === 0 ? null : intersect(claims);
}

/**
 * Intersection of claims: the highest low end to the lowest high end; where they cross, the two who hold them exclude
 * each other. 4.5 to 6 with 5 to 7 leaves 5 to 6.
 */
export function intersect(claims: readonly PhClaim[]): PhCorridor {
  let lowest = claims[0];
  let highest = claims[0];
  for (const claim of claims) {
    if (lowest === undefined || claim.low > lowest.low) lowest = claim;
    if (highest === undefined || claim.high < highest.high) highest = claim;
  }
  const low = lowest?.low ?? 0;
  const high = highest?.high ?? 14;
  const empty = low > high;
  return { low, high, empty, claims, conflict: empty && lowest && highest ? conflictOf(lowest, highest) : [] };
}

/** One claim may be impossible in itself; then it stands alone. */
function conflictOf(lowest: PhClaim, highest: PhClaim): readonly string[] {
  return lowest === highest ? [lowest.who] : [lowest.who, highest.who];
}

function aimClaims({ formula }: ResolvedSheet, profile: Profile): readonly PhClaim[] {
  const claims: PhClaim[] = [];
  if (formula.eyeArea === true) claims.push({ who: "eye area", ...EYE_PH });
  else if (profile.ph !== null) claims.push({ who: "profile", ...profile.ph });
  const school = schoolOf(formula.school ?? "none");
  if (school !== undefined && school.ph !== null) claims.push({ who: "school", ...school.ph });
  return claims;
}

function materialClaims({ lines, materials }: ResolvedSheet, doses: readonly EffectiveRange[]): readonly PhClaim[] {
  const spans = new Map<string, Span>();
  const narrow = (who: string, span: Span): void => {
    const known = spans.get(who);
    spans.set(who, known === undefined ? span : { low: Math.max(known.low, span.low), high: Math.min(known.high, span.high) });
  };
  for (const { material, percent } of lines) {
    if (percent === 0) continue;
    for (const span of stableSpans(material, materials)) narrow(material.slug, span);
  }
  for (const { material, facts } of doses) narrow(material, { low: facts.effectivePhLow, high: facts.effectivePhHigh });
  return [...spans].map(([who, { low, high }]) => ({ who, low, high }));
}

/** Where a material keeps; a blend that does not say so keeps where all its leaves do. */
function stableSpans(material: Material, materials: MaterialsBySlug): readonly Span[] {
  if (material.phStable !== null) return [material.phStable];
  if (material.parts === undefined) return [];
  return leavesOf(material, materials).flatMap((leaf) => (leaf.material.phStable === null ? [] : [leaf.material.phStable]));
}
