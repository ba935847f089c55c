import type { Charge } from "../library/material.ts";
import type { ProfileSlug } from "../formula/profiles.ts";
import type { SchoolSlug } from "../formula/schools.ts";
import type { IrritationBand } from "../surfactants/irritation.ts";

/** Materials a finding is about, by slug. */
type Slugs = readonly string[];

interface ActiveFacts {
  readonly profile: ProfileSlug;
  readonly activePercent: number;
  readonly lowPercent: number;
  readonly highPercent: number;
  /** What all surfactants together are to be multiplied by; null where nothing can be scaled. */
  readonly factor: number | null;
}

interface DoseFacts {
  readonly material: string;
  readonly percent: number;
  readonly lowPercent: number;
}

interface OfMaterials {
  readonly materials: Slugs;
}

interface HeatFacts {
  readonly material: string;
  readonly phase: string;
  readonly temperatureC: number;
}

interface LimitFacts {
  readonly name: string;
  /** What it is calculated as; null for the substance itself. */
  readonly calculatedAs: string | null;
  /** 0: not allowed. */
  readonly mostPercent: number;
}

type NoFacts = Readonly<Record<never, never>>;

/** What each finding rests on. Percents are % w/w of the formula unless their name says otherwise. */
export interface FindingFacts {
  MASS_OVER: {
    readonly totalPercent: number;
    readonly excessPercent: number;
    /** Material of the q.s. line; null where there is none. */
    readonly qsMaterial: string | null;
    readonly hasWaterToSpare: boolean;
  };
  MASS_OPEN: { readonly totalPercent: number; readonly openPercent: number };
  MASS_NO_QS: NoFacts;
  LINE_OPEN: {
    /** What the lines go by. */
    readonly texts: readonly string[];
    readonly percent: number;
  };
  ACTIVE_LOW: ActiveFacts;
  ACTIVE_HIGH: ActiveFacts;
  CHARGE_CLASH: { readonly cationics: Slugs; readonly anionics: Slugs };
  ONE_SURFACTANT: { readonly charge: Charge };
  ANIONIC_HEAVY: { readonly anionicSharePercent: number; readonly neededActivePercent: number };
  MILDNESS_FOR_FACE: {
    readonly load: number;
    readonly band: IrritationBand;
    readonly mostLoad: number;
    /** What the surfactants may be lowered to, as a factor; null where the profile's window ends before. */
    readonly factor: number | null;
  };
  SCHOOL_BREACH: {
    readonly materials: Slugs;
    /** The style that excludes them; null where the aim says so in a word of its own. */
    readonly school: SchoolSlug | null;
    readonly without: string | null;
  };
  PRESERVATIVE_MISSING: { readonly waterPercent: number };
  PRESERVATIVE_LOW: DoseFacts;
  PRESERVATIVE_HIGH: { readonly material: string; readonly percent: number; readonly highPercent: number };
  PRESERVATIVE_DILUTED: DoseFacts;
  PRESERVATIVE_PH: {
    readonly material: string;
    readonly lowPh: number;
    readonly highPh: number;
    readonly ph: number;
    readonly phFrom: "measured" | "corridor" | "profile";
    readonly isAcid: boolean;
  };
  PRESERVATIVE_INACTIVATED: {
    readonly material: string;
    /** Code of the kind of material that inactivates it. */
    readonly kind: string;
    readonly percent: number;
    readonly abovePercent: number;
  };
  PRESERVATIVE_HEAT: HeatFacts & { readonly belowC: number };
  /** `needs` is a code of the library. */
  PRESERVATIVE_HELPER: { readonly material: string; readonly needs: string };
  PRESERVATIVE_NEEDLESS: NoFacts;
  MICROBE_FOOD: { readonly percent: number };
  OIL_LOOSE: {
    readonly oilPercent: number;
    readonly loosePercent: number;
    readonly neededSolubiliserPercent: number;
    readonly hasSolubiliser: boolean;
  };
  EMULSIFIER_MISSING: { readonly oilPercent: number };
  WAX_COLD: HeatFacts & { readonly heatToC: number };
  SPLIT_TEMPERATURE: { readonly coolPhase: string; readonly coolC: number; readonly hotPhase: string; readonly hotC: number };
  FRAGRANCE_HIGH: {
    readonly percent: number;
    readonly limitPercent: number;
    readonly profile: ProfileSlug;
    /** The named part it is too much in; null for the whole batch. */
    readonly part: string | null;
    /** The scent whose own limit is passed; null where all scents together pass the profile's. */
    readonly material: string | null;
  };
  ALLERGEN_DECLARE: {
    readonly thresholdPercent: number;
    readonly allergens: readonly { readonly name: string; readonly percent: number }[];
  };
  GUM_DRY: { readonly materials: Slugs; readonly phase: string; readonly neededPercent: number };
  GUM_RATIO: { readonly gumPercent: number; readonly wettingPercent: number; readonly neededPercent: number };
  SALT_NO_GRIP: { readonly saltPercent: number; readonly isBetaineMissing: boolean };
  SALT_PAST_PEAK: {
    readonly saltPercent: number;
    readonly fromMaterialsPercent: number;
    readonly mostPercent: number;
    /** Fitted through samples of this base, not the usual limit. */
    readonly isFitted: boolean;
    /** What can be taken out of the salt lines; null where there is no such line. */
    readonly removablePercent: number | null;
  };
  SALT_MEETS_GUM: OfMaterials;
  POLYMER_SALT: { readonly materials: Slugs; readonly saltPercent: number; readonly mostPercent: number };
  GUAR_ACID_FIRST: { readonly guar: string; readonly before: Slugs };
  PARTICLES_SINK: {
    readonly material: string;
    readonly diameterMicrometre: number;
    readonly sinks: boolean;
    readonly neededPascal: number;
    readonly yieldPascal: number;
    /** Xanthan gum that holds them, in all. */
    readonly xanthanPercent: number;
  };
  PUMP_CLOG: OfMaterials;
  SOAP_ACIDIFIED: { readonly soaps: Slugs; readonly acids: Slugs; readonly lowPh: number | null; readonly leastPh: number };
  /** `who` is "profile", "school", "eye area" or a slug. */
  PH_NO_CORRIDOR: { readonly claims: readonly { readonly who: string; readonly low: number | null; readonly high: number | null }[] };
  PH_OUTSIDE: { readonly ph: number; readonly low: number; readonly high: number; readonly who: readonly string[] };
  EYE_PH: { readonly ph: number; readonly low: number; readonly high: number };
  CLOUDY_LIKELY: { readonly materials: Slugs; readonly loosePercent: number };
  COLOUR_SHIFT: OfMaterials;
  DUST: OfMaterials;
  CORROSIVE: OfMaterials;
  EYE_IRRITANT: OfMaterials;
  NUT: OfMaterials;
  GLUTEN: OfMaterials;
  SOY: OfMaterials;
  COARSE_ON_FACE: OfMaterials;
  RESTRICTED: {
    readonly rows: readonly { readonly material: string; readonly notes: readonly string[]; readonly limits: readonly LimitFacts[] }[];
    readonly leftOn: boolean;
  };
  LIMIT_OVER: { readonly leftOn: boolean; readonly limits: readonly (LimitFacts & { readonly percent: number })[] };
  ACTIVE_DOSE: {
    /** INCI name of the substance itself. */
    readonly substance: string;
    readonly percent: number;
    readonly lowPercent: number;
    readonly highPercent: number;
  };
  GUM_OVER: { readonly materials: Slugs; readonly percent: number; readonly mostPercent: number };
  RAW_PH_HIGH: { readonly ph: number; readonly highPh: number };
  KEEP_DARK: OfMaterials;
  TOO_SMALL_TO_WEIGH: {
    readonly material: string;
    readonly grams: number;
    readonly scale: string;
    readonly stepGrams: number;
    readonly leastGrams: number;
    readonly smallestBatchGrams: number;
    /** A dilution that can be weighed; null where its water has no room. */
    readonly dilution: { readonly strengthPercent: number; readonly massGrams: number } | null;
  };
}

export type FindingCode = keyof FindingFacts;
