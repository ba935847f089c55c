import type { ResolvedLine } from "../../formula/types.ts";
import type { Judged } from "../judged.ts";

/** Lines that are there to thicken by salt. */
export function saltLines({ lines }: Judged): readonly ResolvedLine[] {
  return lines.filter(({ material }) => material.role === "salt");
}

/** Whether salt is there for thickness: not in dry products, scrubs and the water of two layers. */
export function isGel({ profile }: Judged): boolean {
  return !profile.dry && profile.slug !== "scrub" && profile.slug !== "shake-remover";
}
