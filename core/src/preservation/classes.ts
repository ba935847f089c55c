import { remembered } from "../library/remembered.ts";
import type { PlainMaterial } from "../library/material.ts";

const CLAY = /Kaolin|Bentonite|Montmorillonite|Hectorite|Magnesium Aluminum Silicate|Lava Clay|Fuller's Earth|\bIllite\b/;
const PROTEIN = /Protein|Hydrolyzed|\bSilk\b|Keratin|Collagen|Casein|\bLac\b|Triethanolamine|Aminomethyl Propanol|Arginine|Ethanolamine/;
const OXIDISER = /Peroxide|Percarbonate|Perborate|Hypochlorite|Persulfate/;
const REDUCER = /Ascorbic Acid|Sodium Ascorbate|Sulfite|Metabisulfite|Thiogly|Thiolactic|Cysteine|Thiosulfate/;
const IRON = /CI 7749[1-9]|Iron Oxide|Ferr(?:ic|ous)/;
const STARCH = /Starch|Xanthan Gum|Cellulose Gum|Hydroxyethylcellulose|Hydroxypropyl Methylcellulose|Maranta Arundinacea|Tapioca/;

/** A trace of it makes no clay of a pigment, % of the material. */
const LEAST_PART_PERCENT = 5;

const named = (word: RegExp) =>
  remembered(({ inci }: PlainMaterial): boolean => inci.some(({ name, percent }) => percent >= LEAST_PART_PERCENT && word.test(name)));
const isClay = named(CLAY);
const isIron = named(IRON);
const isProtein = named(PROTEIN);

/** Kinds of material that take a preservative away, by the codes of the library. */
const CLASSES: ReadonlyMap<string, { readonly words: string; is(material: PlainMaterial): boolean }> = new Map([
  [
    "ethoxylated-nonionic",
    { words: "ethoxylated nonionics", is: ({ charge, flags }: PlainMaterial) => charge === "nonionic" && flags.includes("ethoxylated") },
  ],
  ["cationic", { words: "cationics", is: ({ charge }: PlainMaterial) => charge === "cationic" }],
  ["anionic", { words: "anionics", is: ({ charge }: PlainMaterial) => charge === "anionic" }],
  ["clay", { words: "clay", is: isClay }],
  ["protein", { words: "proteins and amines", is: (material: PlainMaterial) => material.role === "protein" || isProtein(material) }],
  ["oxidiser", { words: "oxidisers", is: named(OXIDISER) }],
  ["reducer", { words: "reducing materials", is: named(REDUCER) }],
  ["iron", { words: "clay and iron pigments", is: (material: PlainMaterial) => isClay(material) || isIron(material) }],
  ["starch", { words: "starch, xanthan and cellulose gums", is: named(STARCH) }],
]);

/** The kind of material a code stands for; undefined for codes that are judged otherwise, as a high pH is. */
export function materialClass(code: string): { readonly words: string; is(material: PlainMaterial): boolean } | undefined {
  return CLASSES.get(code);
}

const CHELATOR = /EDTA|Phytate|Phytic Acid|Gluconate|Glutamate Diacetate|Ethylenediamine Disuccinate/;

const holdsMetals = named(CHELATOR);

/** Holds metals, whether it is sold for that or comes inside another material. */
export function isChelator(material: PlainMaterial): boolean {
  return material.role === "chelator" || holdsMetals(material);
}

const SOLVENT = /Propanediol|Glycol\b|Alcohol Denat|^Alcohol$/;

const isGlycol = named(SOLVENT);

/** Dissolves preservatives that hardly mix with water. */
export function isSolvent(material: PlainMaterial): boolean {
  return (material.role === "humectant" || material.role === "solubiliser") && isGlycol(material);
}
