import { writtenPercent } from "../../quantities/written.ts";
import { isOrAre, joined } from "./names.ts";
import type { WordsFor } from "./words.ts";

const verb = ({ length }: readonly string[], one: string, many: string): string => (length === 1 ? one : many);

/** Looks, safety at the bench, allergies and law. */
export const cautionWords: WordsFor<
  "CLOUDY_LIKELY" | "COLOUR_SHIFT" | "DUST" | "CORROSIVE" | "EYE_IRRITANT" | "NUT" | "GLUTEN" | "SOY" | "COARSE_ON_FACE" | "RESTRICTED"
> = {
  CLOUDY_LIKELY: ({ materials, loosePercent }, names) => {
    const causes = [
      ...(materials.length > 0 ? [names.list(materials)] : []),
      ...(loosePercent > 0 ? [`${writtenPercent(loosePercent)} % free oil`] : []),
    ];
    return {
      what: `The aim is a clear product; ${joined(causes)} will probably cloud it.`,
      why: "Particles, swollen gum and droplets scatter light.",
      cure: "Delete them, use clear grades, solubilise the oil, or aim for a creamy product.",
    };
  },
  COLOUR_SHIFT: ({ materials }, names) => ({
    what: `The aim is a clear product; ${names.list(materials)} will tint it.`,
    why: "Plant extracts and resins are coloured and darken with light and pH.",
    cure: "Use less of it or a decolourised grade, or accept the tint.",
  }),
  DUST: ({ materials }, names) => ({
    what: `${names.list(materials)} ${verb(materials, "raises", "raise")} dust.`,
    why: "Fine powder of surfactants, clays and polymers inflames the airways.",
    cure: "Wear a well-fitting dust mask, avoid draughts while weighing, and wet the powder before you stir.",
  }),
  CORROSIVE: ({ materials }, names) => ({
    what: `${names.list(materials)} ${isOrAre(materials)} corrosive.`,
    why: "Strong acids and alkalis burn skin and eyes within seconds.",
    cure: "Wear gloves and goggles. Add it to the water, never the water to it. Have running water close by.",
  }),
  EYE_IRRITANT: ({ materials }, names) => ({
    what: `${names.list(materials)} ${verb(materials, "irritates", "irritate")} the eyes.`,
    why: "A splash while weighing is far stronger than the finished product.",
    cure: "Wear goggles at the bench. Keep the amount low in products near the eye.",
  }),
  NUT: ({ materials }, names) => ({
    what: `${names.list(materials)} ${verb(materials, "is", "are")} made from nuts.`,
    why: "Traces of protein can be enough for someone with an allergy.",
    cure: "State it on the label, and ask before you give the product away.",
  }),
  GLUTEN: ({ materials }, names) => ({
    what: `${names.list(materials)} may contain gluten.`,
    why: "People who avoid gluten need to know, above all for hands and lips.",
    cure: "State it on the label.",
  }),
  SOY: ({ materials }, names) => ({
    what: `${names.list(materials)} may contain soya.`,
    why: "Traces of protein can be enough for someone with an allergy.",
    cure: "State it on the label.",
  }),
  COARSE_ON_FACE: ({ materials }, names) => ({
    what: `${names.list(materials)} ${isOrAre(materials)} too coarse for the face.`,
    why: "Sharp grains scratch thin skin.",
    cure: "Use round beads or a fine clay, or use it for body and hands only.",
  }),
  RESTRICTED: ({ materials, note }, names) => ({
    what: `Rules may limit ${names.list(materials)}.`,
    why: note.endsWith(".") ? note : `${note}.`,
    cure: "Check the rules where you live and sell.",
  }),
};
