import type { ResolvedLine } from "../../formula/types.ts";
import { remembered } from "../../library/remembered.ts";
import type { PlainMaterial } from "../../library/material.ts";
import type { Content, Judged } from "../judged.ts";

/** A gum that must be wetted before it meets water. One inside a base has swollen already. */
export function dryGums({ lines, profile }: Judged): readonly ResolvedLine[] {
  if (profile.dry) return [];
  return lines.filter(
    ({ material }) => material.parts === undefined && material.role === "thickener" && material.flags.includes("needs-slurry"),
  );
}

const WETTING = /^(?:Glycerin|Propanediol|Propylene Glycol|Butylene Glycol|Pentylene Glycol|Caprylyl Glycol)$/;
/** Less of it in a material wets nothing, % of the material. */
const LEAST_WETTING_PERCENT = 50;

/** Wets a gum without swelling it: glycerin, a glycol, an oil. */
export const isWetting: (material: PlainMaterial) => boolean = remembered(
  ({ role, inci }: PlainMaterial): boolean =>
    role === "emollient" || inci.some(({ name, percent }) => percent >= LEAST_WETTING_PERCENT && WETTING.test(name)),
);

/** Gums of any kind that have a line or come in a base. */
export function isGum({ material }: Content): boolean {
  return material.role === "thickener" && (material.flags.includes("needs-slurry") || isCalledGum(material));
}

const isCalledGum = remembered(({ name }: PlainMaterial): boolean => /gum|cellulose/i.test(name));

/** What wets gums in a phase. */
export function wettingIn({ contents }: Judged, phase: string): readonly Content[] {
  return contents.filter(({ resolved, material }) => resolved.line.phase === phase && isWetting(material));
}
