import { writtenPercent, writtenShort } from "../../quantities/written.ts";
import { isOrAre } from "./names.ts";
import type { WordsFor } from "./words.ts";

/** Salt, gums, polymers and particles. */
export const rheologyWords: WordsFor<
  | "GUM_DRY"
  | "GUM_RATIO"
  | "GUM_OVER"
  | "SALT_NO_GRIP"
  | "SALT_PAST_PEAK"
  | "SALT_MEETS_GUM"
  | "POLYMER_SALT"
  | "GUAR_ACID_FIRST"
  | "PARTICLES_SINK"
  | "PUMP_CLOG"
> = {
  GUM_DRY: ({ materials, phase, neededPercent }, names) => ({
    what: `${names.list(materials)} ${isOrAre(materials)} in phase ${phase} with nothing to wet it.`,
    why: "Dry gum lumps in water: the outside swells and the inside stays dry.",
    cure: `Add at least ${writtenPercent(neededPercent)} % glycerin (five parts to one) to the phase, stir a slurry, then pour it into the water.`,
  }),
  GUM_RATIO: ({ gumPercent, wettingPercent, neededPercent }) => ({
    what: `${writtenPercent(wettingPercent)} % wet ${writtenPercent(gumPercent)} % gum: ${writtenShort(wettingPercent / gumPercent, 1)} parts to one.`,
    why: "Below five parts the slurry is a paste that lumps in the water.",
    cure: `Use at least ${writtenPercent(neededPercent)} %; ten parts are comfortable.`,
  }),
  GUM_OVER: ({ materials, percent, mostPercent }, names) => ({
    what: `${writtenPercent(percent)} % gum (${names.list(materials)}); above ${writtenPercent(mostPercent)} % a product hardly pours.`,
    why: "It becomes a jelly that strings, dries in the pump and is slow to rinse.",
    cure: `Lower the gum by ${writtenPercent(percent - mostPercent)} %, or aim for a product that stands on a spoon.`,
  }),
  SALT_NO_GRIP: ({ saltPercent, isBetaineMissing }) => ({
    what: `${writtenPercent(saltPercent)} % salt in a blend that salt hardly thickens.`,
    why: isBetaineMissing
      ? "Salt hardly thickens sulfonates and taurates without a betaine."
      : "Salt hardly thickens glucosides, isethionates and amphoacetates.",
    cure: "Delete the salt and thicken with a gum or an associative thickener, or combine a betaine with a sulfate, sulfonate or taurate.",
  }),
  SALT_PAST_PEAK: ({ saltPercent, fromMaterialsPercent, mostPercent, isFitted, removablePercent }) => ({
    what: `${writtenPercent(saltPercent)} % salt in all, ${writtenPercent(fromMaterialsPercent)} % of it from materials. ${isFitted ? `The peak of this base is at ${writtenPercent(mostPercent)} %.` : `Blends usually thin above ${writtenPercent(mostPercent)} %.`}`,
    why: "Past the peak more salt makes it thinner, and salt cannot be removed from a batch.",
    cure:
      removablePercent === null
        ? "Use a betaine with less salt, or less of it."
        : `Lower the salt by ${writtenPercent(removablePercent)} %.`,
  }),
  SALT_MEETS_GUM: ({ materials }, names) => ({
    what: `The formula contains salt and ${names.list(materials)}.`,
    why: "Salt takes water from the gum: the gel clumps or thins.",
    cure: "Choose one way of thickening. If both stay, let the gum swell first and add the salt as weak brine.",
  }),
  POLYMER_SALT: ({ materials, saltPercent, mostPercent }, names) => ({
    what: `${names.list(materials)} with ${writtenPercent(saltPercent)} % dissolved salts; it tolerates about ${writtenPercent(mostPercent)} %.`,
    why: "Salt shields the charges that hold the polymer open, and the gel collapses.",
    cure: "Thicken with a gum that tolerates salt, or use materials with less salt.",
  }),
  GUAR_ACID_FIRST: ({ guar, before }, names) => ({
    what: `${names.of(guar)} comes after ${names.list(before)}.`,
    why: "Cationic guar must be dispersed in plain water at about pH 7; in acid or among surfactants it lumps at once.",
    cure: "Move it to the first place, into the water, and stir until it is dispersed before you add anything else.",
  }),
  PARTICLES_SINK: ({ material, diameterMicrometre, sinks, neededPascal, yieldPascal, xanthanPercent }, names) => ({
    what: `${names.of(material)} (${writtenShort(diameterMicrometre, 1)} µm) ${sinks ? "sinks" : "floats up"}. Holding it takes a yield stress of ${neededPascal.toPrecision(2)} Pa; this formula has ${yieldPascal === 0 ? "none" : `about ${yieldPascal.toPrecision(2)} Pa`} (estimate).`,
    why: "Viscosity only slows particles down; a gel with a yield stress holds them.",
    cure: `About ${writtenShort(xanthanPercent, 2)} % xanthan gum in all holds it, or another suspending agent after a jar test.`,
  }),
  PUMP_CLOG: ({ materials }, names) => ({
    what: `${names.list(materials)} ${isOrAre(materials)} in a product for a foaming pump.`,
    why: "The pump presses the product through a fine mesh: particles block it, and a thick product does not foam.",
    cure: "Delete it and keep the product as thin as water, or use another pump.",
  }),
};
