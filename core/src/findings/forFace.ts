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

/** Whether the product is meant for the face: by its profile, or because it comes near the eye. */
export function forFace({ profile, sheet }: Judged): boolean {
  return FACE.has(profile.slug) || sheet.formula.eyeArea === true;
}
