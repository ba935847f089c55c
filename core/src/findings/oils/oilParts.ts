import { kindPercent } from "../../library/ingredientKinds.ts";
import { sumPercent, type Content, type Judged } from "../judged.ts";

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

/** A powdered isethionate from which, hot and beside a fatty alcohol, it emulsifies, % w/w. */
const LEAST_ISETHIONATE_PERCENT = 0.3;
/** From here on a material mostly is what it holds, % of it; weaker ones are blends of it. */
const MOSTLY_PERCENT = 50;
const NOISE_PERCENT = 1e-9;

/** Whether something holds oil and water together: an emulsifier, or an isethionate hot beside a fatty alcohol. */
export function emulsifies(judged: Judged): boolean {
  return judged.contents.some(({ material }) => material.role === "emulsifier" && !onlyHelps(material)) || isethionateCream(judged);
}

/** Plain glyceryl stearate holds oil and water together only beside a soap or another emulsifier, which makes it self-emulsifying. */
function onlyHelps(material: Content["material"]): boolean {
  return kindPercent(material, "co-emulsifier") > MOSTLY_PERCENT;
}

function isethionateCream({ contents, temperatures }: Judged): boolean {
  const isHot = (phase: string): boolean => (temperatures.get(phase) ?? 0) >= MELTS_WAX_C;
  const hot = contents.filter(({ resolved }) => isHot(resolved.line.phase));
  const isethionate = hot.filter(({ material }) => kindPercent(material, "isethionate") > MOSTLY_PERCENT);
  const alcohol = hot.some(({ material }) => material.role === "fatty-solid" && kindPercent(material, "fatty-alcohol") > 0);
  return alcohol && sumPercent(isethionate) >= LEAST_ISETHIONATE_PERCENT - NOISE_PERCENT;
}
