import type { Profile } from "./profiles.ts";
import { profileOf } from "./profiles.ts";
import { Refusal } from "../quantities/refusal.ts";
import type { SchoolSlug } from "./schools.ts";
import type { ThicknessWish } from "./thicknessWish.ts";
import type { Formula } from "./types.ts";

export const looks = ["any", "clear", "creamy"] as const;

export type Look = (typeof looks)[number];

/** What a product should be, beside its profile. */
export interface Aim {
  readonly school: SchoolSlug;
  readonly eyeArea: boolean;
  readonly look: Look;
  /** Null: as the profile has it. */
  readonly leftOn: boolean | null;
  readonly forWhom: string;
  readonly thickness: ThicknessWish;
  /** Words for what must not be in it. */
  readonly without: readonly string[];
  /** The product to come close to. */
  readonly closeTo: string;
}

export const noAim: Aim = {
  school: "none",
  eyeArea: false,
  look: "any",
  leftOn: null,
  forWhom: "",
  thickness: "any",
  without: [],
  closeTo: "",
};

/** The keys of a formula that say an aim; what is not aimed at stays out. */
export function aimKeys(aim: Aim): Pick<Formula, "school" | "eyeArea" | "wantsClear" | "leftOn" | "aim"> {
  const words = {
    ...(aim.forWhom === "" ? {} : { forWhom: aim.forWhom }),
    ...(aim.thickness === "any" ? {} : { thickness: aim.thickness }),
    ...(aim.without.length === 0 ? {} : { without: aim.without }),
    ...(aim.closeTo === "" ? {} : { closeTo: aim.closeTo }),
  };
  return {
    ...(aim.school === "none" ? {} : { school: aim.school }),
    ...(aim.eyeArea ? { eyeArea: true } : {}),
    ...(aim.look === "any" ? {} : { wantsClear: aim.look === "clear" }),
    ...(aim.leftOn === null ? {} : { leftOn: aim.leftOn }),
    ...(Object.keys(words).length === 0 ? {} : { aim: words }),
  };
}

/** The aim a formula says. */
export function aimOf({ school, eyeArea, wantsClear, leftOn, aim }: Formula): Aim {
  return {
    school: school ?? "none",
    eyeArea: eyeArea ?? false,
    look: wantsClear === undefined ? "any" : wantsClear ? "clear" : "creamy",
    leftOn: leftOn ?? null,
    forWhom: aim?.forWhom ?? "",
    thickness: aim?.thickness ?? "any",
    without: aim?.without ?? [],
    closeTo: aim?.closeTo ?? "",
  };
}

/** Most of a scent where the product stays on, % w/w. */
const LEFT_ON_SCENT_PERCENT = 0.2;

/**
 * The profile a formula aims at: left on or rinsed off as the formula says, which sets the scent's cap and the threshold
 * of allergens.
 * @throws Refusal when nobody knows the profile.
 */
export function aimedProfile(formula: Formula): Profile {
  const profile = profileOf(formula.profile);
  if (profile === undefined) {
    throw new Refusal("not-found", `There is no profile "${formula.profile}".`, "Choose one of the profiles listed.");
  }
  const { leftOn } = formula;
  if (leftOn === undefined || leftOn === (profile.leftOn ?? false)) return profile;
  if (leftOn) return { ...profile, leftOn: true, scentCapPercent: Math.min(profile.scentCapPercent, LEFT_ON_SCENT_PERCENT) };
  const { leftOn: _, ...rinsed } = profile;
  return rinsed;
}
