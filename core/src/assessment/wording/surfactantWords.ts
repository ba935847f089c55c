import { profileOf, type ProfileSlug } from "../../formula/profiles.ts";
import { schoolOf } from "../../formula/schools.ts";
import { writtenPercent, writtenShort } from "../../quantities/written.ts";
import { capital, isOrAre } from "./names.ts";
import type { WordsFor } from "./words.ts";

/** Active matter, charges, mildness, and the formulation style. */
export const surfactantWords: WordsFor<
  "ACTIVE_LOW" | "ACTIVE_HIGH" | "CHARGE_CLASH" | "ONE_SURFACTANT" | "ANIONIC_HEAVY" | "MILDNESS_FOR_FACE" | "SCHOOL_BREACH"
> = {
  ACTIVE_LOW: ({ factor, ...facts }) => ({
    ...activeMatter(facts),
    cure:
      factor === null
        ? "Add a surfactant first."
        : `Multiply all surfactants by ${writtenShort(factor, 2)}; the water decreases by the difference.`,
  }),
  ACTIVE_HIGH: ({ factor, ...facts }) => ({
    ...activeMatter(facts),
    cure:
      factor === null
        ? "Delete the surfactants."
        : `Lower all surfactants to ${writtenShort(factor * 100, 0)} % of their amounts; the water increases by the difference.`,
  }),
  CHARGE_CLASH: ({ cationics, anionics }, names) => ({
    what: `${names.list(cationics)} ${isOrAre(cationics)} cationic, ${names.list(anionics)} ${isOrAre(anionics)} anionic.`,
    why: "Opposite charges bind each other: the product turns cloudy or curdles, and neither cleans nor conditions.",
    cure: "Delete the cationic, use a conditioner made for anionic blends, or use amphoterics and nonionics only.",
  }),
  ONE_SURFACTANT: ({ charge }) => ({
    what: `All surfactants are ${charge}.`,
    why: "Two charge types form mixed micelles: these are milder, thicken more easily and foam better.",
    cure: charge === "amphoteric" ? "Add a mild anionic or a glucoside." : "Add an amphoteric: a fifth to a half of the active matter.",
  }),
  ANIONIC_HEAVY: ({ anionicSharePercent, neededActivePercent }) => ({
    what: `${writtenShort(anionicSharePercent, 1)} % of the active matter is anionic.`,
    why: "Anionics foam well and dry the skin; amphoterics and nonionics make the blend milder.",
    cure: `Add at least ${writtenShort(neededActivePercent, 2)} % active of an amphoteric or nonionic, or exchange part of the anionic for it.`,
  }),
  MILDNESS_FOR_FACE: ({ load, band, mostLoad, factor }) => ({
    what: `The irritation load is ${writtenShort(load, 0)} (estimate), ${band}. For the face it should be below ${mostLoad}.`,
    why: "Facial skin is thin and is washed every day.",
    cure:
      factor === null
        ? "Raise the share of amphoterics, or use milder anionics."
        : `Lower the surfactants to about ${writtenShort(factor * 100, 0)} %, or raise the share of amphoterics.`,
  }),
  SCHOOL_BREACH: ({ materials, school, without }, names) => {
    const style = school === null ? undefined : schoolOf(school);
    return {
      what:
        style === undefined
          ? `The aim says "without ${without}". The formula contains ${names.list(materials)}.`
          : `${names.list(materials)} ${isOrAre(materials)} not part of the ${style.name} style.`,
      why: style === undefined ? "The aim excludes it." : `${capital(style.reason)}.`,
      cure:
        style === undefined
          ? "Delete it, exchange it, or change the aim."
          : "Exchange it at equal active matter, or choose another formulation style.",
    };
  },
};

interface ActiveMatterFacts {
  readonly profile: ProfileSlug;
  readonly activePercent: number;
  readonly lowPercent: number;
  readonly highPercent: number;
}

function activeMatter({ profile, activePercent, lowPercent, highPercent }: ActiveMatterFacts) {
  const { name = profile, activeReason = "" } = profileOf(profile) ?? {};
  const window =
    lowPercent === highPercent ? `${writtenShort(lowPercent, 2)} %` : `${writtenShort(lowPercent, 2)} to ${writtenShort(highPercent, 2)} %`;
  return {
    what: `Active matter is ${writtenPercent(activePercent)} %. Usual for ${name}: ${window}.`,
    why: `${capital(activeReason)}.`,
  };
}
