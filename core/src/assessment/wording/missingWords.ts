import { nameOfSlug } from "../../library/shownMaterial.ts";
import type { NotJudged } from "../../findings/finding.ts";
import type { MissingFact } from "../../formula/lacking.ts";
import type { MaterialsBySlug } from "../../library/material.ts";

/** What could not be judged, with the fact it lacked in words. */
export interface WordedNotJudged extends NotJudged {
  readonly missing: string;
}

const words: Readonly<Record<MissingFact, string>> = {
  "material-density": "density of these materials",
  zein: "zein number of these materials",
  micelles: "mixed micelles of the blend",
  surfactants: "cleansing actives in the formula",
  "foam-figures": "foam figures of these materials",
  water: "water in the formula",
  "water-or-ph-claim": "water in the formula, or anyone who claims a pH",
  "whole-composition": "the whole composition of these materials",
  "active-content": "active content of these surfactants or bases",
  irritation: "an irritation estimate of the blend",
  charge: "charge type of these surfactants",
  allergens: "the allergens of these scents (from their certificates)",
  "scent-limit": "the safe-use limit of these scents",
  "preservative-dose": "usual dose of these preservatives",
  "preservative-ph": "the pH these preservatives work at",
  "ph-or-aim": "a measured pH, or an aim that has one",
  "grain-size": "grain size of these exfoliants",
  "measured-ph": "a measured pH",
  scale: "a scale with its readability",
  cmc: "molar mass or cmc of these materials",
  "several-micelle-types": "one kind of micelle: an anionic beside a cationic forms several",
  "yield-stress": "yield stress",
  "wash-density": "density of the wash",
  grains: "size and density of the grains",
};

/** What could not be judged, in words. */
export function wordedNotJudged(lacking: readonly NotJudged[], materials: MaterialsBySlug): readonly WordedNotJudged[] {
  return lacking.map((one) => ({ ...one, missing: wordsOf(one, materials) }));
}

function wordsOf({ lacks, materials = [] }: NotJudged, library: MaterialsBySlug): string {
  if (lacks !== "yield-stress") return words[lacks];
  return `${words[lacks]} of ${materials.map((slug) => nameOfSlug(slug, library)).join(" and ")} (test a sample)`;
}
