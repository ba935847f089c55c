import type { ResolvedLine } from "../../formula/types.ts";
import { isKind, kindPercent } from "../../library/ingredientKinds.ts";
import type { PlainMaterial } from "../../library/material.ts";
import type { Content, Judged } from "../judged.ts";

/** A gum that must be wetted before it meets water. One inside a base has swollen already; one that opens only under shear is sheared in dry. */
export function dryGums({ lines, profile }: Judged): readonly ResolvedLine[] {
  if (profile.dry) return [];
  return lines.filter(
    ({ material: { parts, role, flags } }) =>
      parts === undefined && role === "thickener" && flags.includes("needs-slurry") && !flags.includes("high-shear"),
  );
}

/** Less of it in a material wets nothing, % of the material. */
const LEAST_WETTING_PERCENT = 50;

/** Wets a gum without swelling it: glycerin, a glycol, an oil. */
export function isWetting(material: PlainMaterial): boolean {
  return material.role === "emollient" || kindPercent(material, "wetting") >= LEAST_WETTING_PERCENT;
}

/** Gums of any kind that have a line or come in a base. */
export function isGum({ material }: Content): boolean {
  return material.role === "thickener" && (material.flags.includes("needs-slurry") || isKind(material, "gum"));
}

/** What wets gums in a phase. */
export function wettingIn({ contents }: Judged, phase: string): readonly Content[] {
  return contents.filter(({ resolved, material }) => resolved.line.phase === phase && isWetting(material));
}
