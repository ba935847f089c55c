/** Charge type of a surfactant or polymer. `null` elsewhere: chelators and dyes raise no clash. */
export type Charge = "anionic" | "amphoteric" | "nonionic" | "cationic";

export const charges: readonly Charge[] = ["anionic", "amphoteric", "nonionic", "cationic"];

export const roles = [
  "water",
  "surfactant",
  "solubiliser",
  "superfat",
  "conditioner",
  "thickener",
  "suspender",
  "humectant",
  "emollient",
  "emulsifier",
  "fatty-solid",
  "preservative",
  "chelator",
  "ph-adjuster",
  "salt",
  "powder",
  "exfoliant",
  "active",
  "botanical",
  "colour",
  "fragrance",
  "antioxidant",
  "protein",
  "base",
] as const;

/** What a material does in a formula. */
export type Role = (typeof roles)[number];

export const forms = ["liquid", "gel", "paste", "powder", "granule", "flake", "needle", "wax", "oil", "crystal"] as const;

export type Form = (typeof forms)[number];

export interface Span {
  readonly low: number;
  readonly high: number;
}

export interface ActiveContent extends Span {
  readonly typical: number;
}

export interface InciEntry {
  readonly name: string;
  /** The everyday name, where it differs. */
  readonly common?: string;
  readonly percent: number;
}

export interface MaterialPart {
  /** Slug of the material it is made of. */
  readonly material: string;
  readonly percent: number;
}

export interface PreservativeFacts {
  readonly effectivePhLow: number;
  readonly effectivePhHigh: number;
  /** `percentOfMaterial` is the free-acid equivalent of the material as supplied. */
  readonly acids: readonly { readonly name: string; readonly pKa: number; readonly percentOfMaterial: number }[];
  readonly inactivatedBy: readonly string[];
  readonly inactivatedByCodes: readonly { readonly code: string; readonly abovePercent: number }[];
  readonly needs: readonly string[];
  readonly needsCodes: readonly string[];
  readonly addBelowC: number;
}

export interface AcidBaseFacts {
  readonly equivalentsModel: string;
  /** One per equivalent; a base carries those of its conjugate acid, a strong base 14. */
  readonly pKas: readonly number[];
  readonly molarMass: number;
  readonly percentOfMaterial: number;
}

/** The facts every material carries. `null` is unknown, never zero. */
export interface MaterialFacts {
  readonly slug: string;
  readonly name: string;
  readonly role: Role;
  readonly form: Form | null;
  readonly charge: Charge | null;
  /** Active surfactant, % of the material as supplied. */
  readonly active: ActiveContent | null;
  readonly countsAsActive: boolean | null;
  /** Sodium chloride, % of the material as supplied. */
  readonly saltPercent: number | null;
  /** All other dissolved salts, % of the material as supplied. */
  readonly electrolytePercent: number | null;
  /** g/mol */
  readonly molarMass: number | null;
  readonly cmcMillimolar: number | null;
  /** As supplied; loose bulk density for solids. */
  readonly densityGramsPerMl: number | null;
  /** What it contributes once dissolved or dispersed. */
  readonly trueDensityGramsPerMl: number | null;
  readonly dropMilligrams: number | null;
  /** Of one piece, where it is sold by the piece, as a bar of soap; g. */
  readonly pieceGrams?: number | null;
  readonly phSupplied: (Span & { readonly at: string }) | null;
  readonly phStable: Span | null;
  /** Usual dose, % of the formula. */
  readonly use: Span | null;
  readonly maxTemperatureC: number | null;
  readonly solubleIn: readonly string[];
  readonly flags: readonly string[];
  readonly zein: Span | null;
  readonly foam: { readonly flash: number; readonly density: number; readonly stability: number } | null;
  readonly preservative: PreservativeFacts | null;
  readonly acidBase: AcidBaseFacts | null;
  readonly buffers: readonly { readonly pKa: number; readonly mmolPerGram: Span }[];
  readonly waterActivity: {
    readonly molarMass: number;
    readonly percentOfMaterial: number;
    readonly ions: number;
    readonly norrishK: number | null;
  } | null;
  readonly allergens: readonly { readonly name: string; readonly percent: number }[];
  readonly dispersed: { readonly densityGramsPerMl: number; readonly medianDiameterMicrometre: number } | null;
  readonly handling: string;
  readonly caution: string | null;
  readonly restrictions: readonly string[];
  /** Names of the facts that are estimates. */
  readonly uncertain: readonly string[];
}

/** A single-ingredient or bought material, described by its INCI composition. */
export interface PlainMaterial extends MaterialFacts {
  readonly inci: readonly InciEntry[];
  readonly parts?: never;
  readonly measured?: readonly string[];
}

/** A material made of other materials; facts it leaves null follow from its leaves. */
export interface NestedMaterial extends MaterialFacts {
  readonly parts: readonly MaterialPart[];
  readonly inci?: never;
  /** Facts measured on the blend itself, which stand above its leaves. */
  readonly measured?: readonly string[];
}

export type Material = PlainMaterial | NestedMaterial;

/** Finds a material by its slug. */
export type MaterialsBySlug = ReadonlyMap<string, Material>;
