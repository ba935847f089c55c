import { materialClass } from "../../preservation/classes.ts";
import { topUpPercent } from "../../preservation/dilution.ts";
import { writtenPercent, writtenShort } from "../../quantities/written.ts";
import type { WordsFor } from "./words.ts";

/** What a preservative needs beside it, by the codes of the library. */
const NEEDS: ReadonlyMap<string, { readonly name: string; readonly why: string; readonly cure: string }> = new Map([
  [
    "chelator",
    {
      name: "a chelator",
      why: "Metals from water and plants protect microbes and weaken the preservative.",
      cure: "Add a chelator at its usual dose, to the water first.",
    },
  ],
  [
    "yeast-mould-partner",
    {
      name: "a second preservative against yeasts and moulds",
      why: "Alone it is weak against yeasts and moulds.",
      cure: "Add a preservative that covers yeasts and moulds, or use a blend that does.",
    },
  ],
  [
    "bacteria-partner",
    {
      name: "a second preservative against bacteria",
      why: "Alone it is weak against bacteria.",
      cure: "Add a preservative that covers bacteria, or use a blend that does.",
    },
  ],
  [
    "solvent",
    {
      name: "a solvent",
      why: "It hardly dissolves in water and would float or precipitate.",
      cure: "Dissolve it in propanediol or another glycol first.",
    },
  ],
]);

/** Where the pH comes from that a preservative is judged at. */
export const phSource: Readonly<Record<"measured" | "corridor" | "profile", string>> = {
  measured: "measured",
  corridor: "high end of the corridor",
  profile: "high end of the profile",
};

/** Preservatives and what weakens them. */
export const preservationWords: WordsFor<
  | "PRESERVATIVE_MISSING"
  | "PRESERVATIVE_LOW"
  | "PRESERVATIVE_HIGH"
  | "PRESERVATIVE_DILUTED"
  | "PRESERVATIVE_PH"
  | "PRESERVATIVE_INACTIVATED"
  | "PRESERVATIVE_HEAT"
  | "PRESERVATIVE_HELPER"
  | "PRESERVATIVE_NEEDLESS"
  | "MICROBE_FOOD"
> = {
  PRESERVATIVE_MISSING: ({ waterPercent }) => ({
    what: `The formula contains ${writtenShort(waterPercent, 1)} % water and no preservative.`,
    why: "Microbes grow in water-based products within days, before you can see or smell it.",
    cure: "Add a broad-spectrum preservative that works at your pH, at its usual dose.",
  }),
  PRESERVATIVE_LOW: ({ material, percent, lowPercent }, names) => ({
    what: `${writtenPercent(percent)} % of ${names.of(material)}; the usual dose begins at ${writtenPercent(lowPercent)} %.`,
    why: "Below the usual dose microbes survive and adapt.",
    cure: `Raise it by ${writtenPercent(lowPercent - percent)} %.`,
  }),
  PRESERVATIVE_DILUTED: ({ material, percent, lowPercent }, names) => ({
    what: `${writtenPercent(percent)} % of ${names.of(material)}; the usual dose begins at ${writtenPercent(lowPercent)} %.`,
    why: "It comes with a base, and everything added to the base dilutes it.",
    cure: `Add ${writtenPercent(lowPercent - percent)} % (to a finished batch: ${writtenPercent(topUpPercent(percent, lowPercent))} %).`,
  }),
  PRESERVATIVE_HIGH: ({ material, percent, highPercent }, names) => ({
    what: `${writtenPercent(percent)} % of ${names.of(material)}; usually no more than ${writtenPercent(highPercent)} %.`,
    why: "More irritates without preserving better, and many countries set a legal limit.",
    cure: `Lower it by ${writtenPercent(percent - highPercent)} %.`,
  }),
  PRESERVATIVE_PH: ({ material, lowPh, highPh, ph, phFrom, isAcid }, names) => ({
    what: `${names.of(material)} works from pH ${writtenShort(lowPh, 1)} to ${writtenShort(highPh, 1)}. The product has pH ${writtenShort(ph, 2)} (${phSource[phFrom]}).`,
    why:
      ph > highPh && isAcid
        ? "Only the undissociated acid preserves; it falls tenfold with every pH unit."
        : "Outside this range it breaks down or stops working.",
    cure:
      ph > highPh
        ? `Lower the pH to ${writtenShort(highPh, 1)} or below, or exchange the preservative.`
        : `Raise the pH to ${writtenShort(lowPh, 1)} or above, or exchange the preservative.`,
  }),
  PRESERVATIVE_INACTIVATED: ({ material, kind, percent, abovePercent }, names) => ({
    what: `${writtenPercent(percent)} % of ${materialClass(kind)?.words ?? kind} inactivate ${names.of(material)}; doubtful above ${writtenPercent(abovePercent)} %.`,
    why:
      kind === "clay"
        ? "Clay takes it up from the water: what sits on the clay no longer reaches the microbes."
        : "What is bound in micelles, on particles or by reaction no longer reaches the microbes.",
    cure: `Stay at or below ${writtenPercent(abovePercent)} %, or choose another preservative. Only a challenge test can show that it is effective.`,
  }),
  PRESERVATIVE_HEAT: ({ material, phase, temperatureC, belowC }, names) => ({
    what: `${names.of(material)} is in phase ${phase} at ${writtenShort(temperatureC, 1)} °C. Add it below ${writtenShort(belowC, 1)} °C.`,
    why: "Heat evaporates it or breaks it down, and you cannot see that.",
    cure: `Move it to a phase below ${writtenShort(belowC, 1)} °C, usually the cool-down.`,
  }),
  PRESERVATIVE_HELPER: ({ material, needs }, names) => {
    const helper = NEEDS.get(needs) ?? { name: needs, why: "Alone it is not enough.", cure: "Add it." };
    return { what: `${names.of(material)} needs ${helper.name}.`, why: helper.why, cure: helper.cure };
  },
  PRESERVATIVE_NEEDLESS: () => ({
    what: "The formula contains no water, so microbes cannot grow.",
    why: "A preservative works in water only; here it is one more possible irritant.",
    cure: "Delete it, unless wet fingers or shower water can get in.",
  }),
  MICROBE_FOOD: ({ percent }) => ({
    what: `${writtenPercent(percent)} % of the formula are nutrients for microbes.`,
    why: "Nutrients use the preservative up sooner.",
    cure: "Dose the preservative at the upper end of its range, keep a chelator in, and shorten the shelf life.",
  }),
};
