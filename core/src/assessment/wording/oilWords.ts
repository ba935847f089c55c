import { profileOf } from "../../formula/profiles.ts";
import { writtenPercent, writtenShort } from "../../quantities/written.ts";
import type { WordsFor } from "./words.ts";

/** So many allergens are named; the label lists all. */
const MOST_NAMED = 4;

/** Oils, waxes and scent. */
export const oilWords: WordsFor<
  "OIL_LOOSE" | "EMULSIFIER_MISSING" | "WAX_COLD" | "SPLIT_TEMPERATURE" | "FRAGRANCE_HIGH" | "ALLERGEN_DECLARE"
> = {
  OIL_LOOSE: ({ oilPercent, loosePercent, neededSolubiliserPercent, hasSolubiliser }) => ({
    what: `${writtenPercent(oilPercent)} % oil, scent and superfats; ${writtenPercent(loosePercent)} % of it is not solubilised.`,
    why: "Micelles take up about a tenth of their own mass. Free oil floats, clouds the product and reduces foam.",
    cure: hasSolubiliser
      ? `Raise the solubiliser by ${writtenPercent(neededSolubiliserPercent)} % (four parts to one part of oil), or lower the oil.`
      : `Mix it with ${writtenPercent(neededSolubiliserPercent)} % of a solubiliser first (four parts to one), or lower the oil.`,
  }),
  EMULSIFIER_MISSING: ({ oilPercent }) => ({
    what: `${writtenPercent(oilPercent)} % oil in water without an emulsifier.`,
    why: "Above about 2 % the micelles cannot hold the oil: it separates into a greasy layer.",
    cure: "Add an emulsifier and heat both phases to 70 to 75 °C, or lower the oil below 2 %.",
  }),
  WAX_COLD: ({ material, phase, temperatureC, heatToC }, names) => ({
    what: `${names.of(material)} is solid, and phase ${phase} is at ${writtenShort(temperatureC, 1)} °C.`,
    why: "Fat that is not melted stays as grains that stirring cannot remove.",
    cure: `Heat the phase to ${writtenShort(heatToC, 1)} °C, or move it to a hot phase. Heat-sensitive materials come later.`,
  }),
  SPLIT_TEMPERATURE: ({ coolPhase, coolC, hotPhase, hotC }) => ({
    what: `Phase ${coolPhase} is at ${writtenShort(coolC, 1)} °C and phase ${hotPhase} at ${writtenShort(hotC, 1)} °C when they are combined.`,
    why: "The hot fat solidifies where it meets the cooler phase, and the cream turns grainy.",
    cure: `Heat all hot phases to ${writtenShort(hotC, 1)} °C.`,
  }),
  FRAGRANCE_HIGH: ({ percent, limitPercent, profile, part, material }, names) =>
    material === null
      ? {
          what: `${writtenPercent(percent)} % scent${part === null ? "" : ` in the part "${part}"`}. Usual for ${profileOf(profile)?.name ?? profile}: up to ${writtenPercent(limitPercent)} %.`,
          why: "More scent irritates, thins the product and clouds it.",
          cure: `Lower it by ${writtenPercent(percent - limitPercent)} %.`,
        }
      : {
          what: `${writtenPercent(percent)} % of ${names.of(material)}; its usual limit is ${writtenPercent(limitPercent)} %.`,
          why: "Every scent has a limit of its own in its safe-use certificate.",
          cure: `Lower it by ${writtenPercent(percent - limitPercent)} %, or use the limit of your certificate.`,
        },
  ALLERGEN_DECLARE: ({ thresholdPercent, allergens }) => {
    const named = allergens.slice(0, MOST_NAMED).map(({ name, percent }) => `${name} ${writtenPercent(percent)} %`);
    const more = allergens.length - named.length;
    return {
      what: `Scent allergens above ${writtenShort(thresholdPercent, 4)} %: ${named.join(", ")}${more > 0 ? ` and ${more} more` : ""}.`,
      why: "People who react to one of them rely on the label.",
      cure: "Name them in the ingredient list; the rules where you sell decide.",
    };
  },
};
