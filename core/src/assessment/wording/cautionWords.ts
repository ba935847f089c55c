import { writtenPercent } from "../../quantities/written.ts";
import { limitsOf } from "../../preservation/limits.ts";
import { orientation } from "./limitWords.ts";
import { capital, isOrAre, joined } from "./names.ts";
import type { WordsFor } from "./words.ts";

function limitWords(name: string, percent: number, mostPercent: number): string {
  return mostPercent === 0
    ? `${name}: ${writtenPercent(percent)} %, not allowed`
    : `${name}: ${writtenPercent(percent)} %, at most ${writtenPercent(mostPercent)} %`;
}

function basis(limits: readonly { readonly calculatedAs: string | null }[]): string {
  const as = [...new Set(limits.flatMap(({ calculatedAs }) => calculatedAs ?? []))];
  return as.length === 0 ? "" : `, calculated as ${joined(as)}`;
}

const verb = ({ length }: readonly string[], one: string, many: string): string => (length === 1 ? one : many);

/** Looks, safety at the bench, allergies and law. */
export const cautionWords: WordsFor<
  | "CLOUDY_LIKELY"
  | "COLOUR_SHIFT"
  | "DUST"
  | "CORROSIVE"
  | "EYE_IRRITANT"
  | "NUT"
  | "GLUTEN"
  | "SOY"
  | "COARSE_ON_FACE"
  | "RESTRICTED"
  | "LIMIT_OVER"
  | "ACTIVE_DOSE"
  | "KEEP_DARK"
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
  RESTRICTED: ({ rows, leftOn }, names) => ({
    what: `Rules to check where you live: ${rows.length === 1 ? "1 material" : `${rows.length} materials`}.`,
    why: `Rules may limit ${names.list(rows.map(({ material }) => material))}.`,
    cure: "Check what holds where you make it and where you sell it.",
    rows: rows.map(({ material, notes, limits }) => ({
      name: names.of(material),
      says: [...notes, ...limits.map((limit) => orientation(limit, leftOn))].join(" "),
    })),
  }),
  LIMIT_OVER: ({ limits, leftOn }) => ({
    what: `${capital(joined(limits.map(({ name, percent, mostPercent }) => limitWords(name, percent, mostPercent))))}.`,
    why: `The ${limitsOf.place} of ${limitsOf.asOf}, ${leftOn ? "left on" : "rinsed off"}${basis(limits)}. For orientation: check where you live.`,
    cure: "Lower it below the limit, or exchange it.",
  }),
  ACTIVE_DOSE: ({ substance, percent, lowPercent, highPercent }) => ({
    what: `${writtenPercent(percent)} % of ${substance} itself; usual are ${writtenPercent(lowPercent)} to ${writtenPercent(highPercent)} %.`,
    why: percent > highPercent ? "More irritates sooner than it does more." : "So little of it hardly does anything.",
    cure:
      percent > highPercent
        ? `Lower it by ${writtenPercent(percent - highPercent)} % of the substance.`
        : `Raise it by ${writtenPercent(lowPercent - percent)} % of the substance, or leave it out.`,
  }),
  KEEP_DARK: ({ materials }, names) => ({
    what: `${names.list(materials)} ${verb(materials, "fades", "fade")} or ${verb(materials, "breaks", "break")} down in light.`,
    why: "In a clear bottle on a shelf colour and effect are gone within weeks.",
    cure: "Fill it into dark or opaque containers and keep it out of the sun.",
  }),
};
