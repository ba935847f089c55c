import type { Charge, Span } from "../library/material.ts";

export const thickeningWays = ["any", "salt", "gum", "associative", "none"] as const;

/** How a wash is to be thickened. Salt needs a blend that answers to it; the other ways take any. */
export type ThickeningWay = (typeof thickeningWays)[number];

/** What is weighed against irritation: money, foam, or how much of the sheet changes. */
export const counterweights = ["cost", "foam", "change"] as const;

export type Counterweight = (typeof counterweights)[number];

/** What a blend is wished to be. Null leaves a wish out. */
export interface DesignWishes {
  readonly against: Counterweight;
  /** % w/w of the product. */
  readonly activePercent: Span;
  /** Irritation load, as on the sheet. */
  readonly mostIrritation: number | null;
  /** 0 to 10 each. */
  readonly leastFlash: number | null;
  readonly leastStability: number | null;
  readonly thickening: ThickeningWay;
  /** Of 100 g of the product, in the maker's money. */
  readonly mostCost: number | null;
  /** Sodium chloride and other dissolved salts, % w/w. */
  readonly mostSaltPercent: number | null;
  /** Share of anionics among the actives, %; above 75 the sheet itself would say that nothing softens them. */
  readonly mostAnionicPercent: number | null;
  /** How many surfactants. */
  readonly count: Span;
  /** Slugs. */
  readonly mustHave: readonly string[];
}

/** How clear a blend is by the next day. */
export type BlendClarity = "clear" | "hazy" | "cloudy";

/** A surfactant that may be taken, as it stands in its bottle. */
export interface Candidate {
  readonly slug: string;
  readonly name: string;
  readonly charge: Charge;
  /** Strength of what is in the bottle, %. */
  readonly activePercent: number;
  readonly molarMass: number;
  readonly cmcMillimolar: number;
  readonly zein: Span;
  readonly foam: { readonly flash: number; readonly density: number; readonly stability: number };
  /** Dissolved salts, % of the material as supplied. */
  readonly saltPercent: number;
  readonly phStable: Span | null;
  /** Most that is usual, % of the formula as supplied. */
  readonly mostPercent: number;
  /** What is left of it, g; null where that does not count. */
  readonly grams: number | null;
  /** Of a gram as supplied; null where nobody knows. */
  readonly price: number | null;
  /** It makes a wash cloudy, whatever else is in it. */
  readonly opacifies: boolean;
  /** What makes a blend answer to salt. */
  readonly group: "sulfate" | "sulfonate" | "taurate" | "betaine" | null;
}

/** What stands on the sheet beside its surfactants. */
export interface RestOfSheet {
  /** Whether water makes up the rest, and not an oil. */
  readonly isWatery: boolean;
  /** What surfactants may take up as supplied, % w/w. */
  readonly roomPercent: number;
  /** Dissolved salts, % w/w. */
  readonly saltPercent: number;
  /** Of 100 g with water in place of the surfactants; null where a price is missing. */
  readonly cost: number | null;
  /** Of a gram of the water that makes up the rest. */
  readonly waterPrice: number;
  /** Oil less what solubilisers carry, % w/w; what the actives carry comes off it still. */
  readonly oilPercent: number;
  /** How clear everything is that stands beside the surfactants. */
  readonly clarity: BlendClarity;
  /** Whether loose oil is allowed: it clouds. */
  readonly mayCloud: boolean;
  /** Where the finished pH lies; null where it is open. */
  readonly ph: Span | null;
  readonly batchGrams: number;
  /** Active matter of the surfactants the sheet has now, % w/w, by slug. */
  readonly present: ReadonlyMap<string, number>;
}
