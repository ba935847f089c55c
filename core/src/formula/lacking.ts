/** What a reading or a rule can lack; its words stand in the catalogue. */
export type MissingFact =
  | "material-density"
  | "zein"
  | "micelles"
  | "several-micelle-types"
  | "surfactants"
  | "foam-figures"
  | "water"
  | "water-or-ph-claim"
  | "whole-composition"
  | "active-content"
  | "irritation"
  | "charge"
  | "allergens"
  | "scent-limit"
  | "preservative-dose"
  | "preservative-ph"
  | "ph-or-aim"
  | "measured-ph"
  | "grain-size"
  | "scale"
  | "cmc"
  | "yield-stress"
  | "wash-density"
  | "grains";

/** What could not be worked out, and the fact it lacked. */
export interface Lacking<What extends string> {
  readonly what: What;
  readonly lacks: MissingFact;
  /** Slugs of the materials that lack it, where the lines do not say which. */
  readonly materials?: readonly string[];
  /** Ids of the lines that lack it. */
  readonly lines: readonly string[];
}
