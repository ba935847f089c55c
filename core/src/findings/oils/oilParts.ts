import type { Content, Judged } from "../judged.ts";

/** Takes oil up into micelles; alcohol, which only thins, does not. */
export function isSolubiliser({ material }: Content): boolean {
  return material.role === "solubiliser" && material.active !== null;
}

/** Products in which oil is meant to stand by itself. */
export function keepsOilApart({ profile }: Judged): boolean {
  return profile.slug === "shake-remover" || profile.dry;
}

/** From here on a phase counts as hot enough to melt waxes, °C. */
export const MELTS_WAX_C = 60;
