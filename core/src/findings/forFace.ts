import type { ProfileSlug } from "../formula/profiles.ts";
import type { Judged } from "./judged.ts";

const FACE: ReadonlySet<ProfileSlug> = new Set<ProfileSlug>([
  "face-gel",
  "cream-cleanser",
  "micellar-foam",
  "micellar-water",
  "shake-remover",
  "cleansing-oil",
]);

const NAMES_FACE = /\bfac(?:e|es|ial)\b/iu;

/** Whether the product is meant for the face: by its profile, because it comes near the eye, or as the aim says for whom it is. */
export function forFace({ profile, sheet }: Pick<Judged, "profile" | "sheet">): boolean {
  return FACE.has(profile.slug) || sheet.formula.eyeArea === true || NAMES_FACE.test(sheet.formula.aim?.forWhom ?? "");
}
