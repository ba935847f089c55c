import type { PlainMaterial } from "../library/material.ts";

/** What an ingredient does against each kind of microbe at its usual dose and pH. */
export type Action = "good" | "some" | "little";

export interface Spectrum {
  readonly gramPositive: Action;
  readonly gramNegative: Action;
  readonly yeasts: Action;
  readonly moulds: Action;
}

const of = (gramPositive: Action, gramNegative: Action, yeasts: Action, moulds: Action): Spectrum => ({
  ...{ gramPositive, gramNegative, yeasts, moulds },
});

/**
 * Spectrum by INCI name, from the tables of Steinberg, Preservatives for Cosmetics (2012), and Geis (ed.), Cosmetic
 * Microbiology (3rd ed. 2020). A blend has the best of its ingredients for each kind.
 */
const SPECTRA: Readonly<Record<string, Spectrum>> = {
  Phenoxyethanol: of("some", "good", "some", "little"),
  Ethylhexylglycerin: of("some", "little", "little", "little"),
  "Caprylyl Glycol": of("good", "some", "some", "little"),
  "Benzyl Alcohol": of("good", "some", "some", "some"),
  "Dehydroacetic Acid": of("some", "some", "good", "good"),
  "Sodium Dehydroacetate": of("some", "some", "good", "good"),
  "Benzoic Acid": of("some", "some", "good", "some"),
  "Sodium Benzoate": of("some", "some", "good", "some"),
  "Sorbic Acid": of("little", "little", "good", "good"),
  "Potassium Sorbate": of("little", "little", "good", "good"),
  "Salicylic Acid": of("some", "some", "good", "some"),
  "Diazolidinyl Urea": of("good", "good", "little", "little"),
  "DMDM Hydantoin": of("good", "good", "little", "little"),
  "Iodopropynyl Butylcarbamate": of("little", "little", "good", "good"),
  Methylchloroisothiazolinone: of("good", "good", "good", "good"),
  Methylisothiazolinone: of("good", "good", "some", "some"),
  Methylparaben: of("good", "some", "good", "good"),
  Ethylparaben: of("good", "some", "good", "good"),
  Propylparaben: of("good", "some", "good", "good"),
  Butylparaben: of("good", "some", "good", "good"),
  "Sodium Levulinate": of("some", "some", "little", "little"),
  "Sodium Anisate": of("little", "little", "good", "some"),
  "Caprylhydroxamic Acid": of("some", "some", "good", "good"),
};

/** Less of it in a material does nothing by itself, % of the material. */
const LEAST_PERCENT = 0.1;

/** Whether one of the materials is good, or at least of some use, against each of these kinds. */
export function covers(materials: readonly PlainMaterial[], kinds: readonly (keyof Spectrum)[], least: "good" | "some"): boolean {
  const spectra = materials.flatMap(({ inci }) =>
    inci.flatMap(({ name, percent }) => (percent >= LEAST_PERCENT ? (SPECTRA[name] ?? []) : [])),
  );
  return kinds.every((kind) => spectra.some((spectrum) => spectrum[kind] === "good" || (least === "some" && spectrum[kind] === "some")));
}
