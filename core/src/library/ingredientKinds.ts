import type { PlainMaterial } from "./material.ts";
import { remembered } from "./remembered.ts";

/**
 * Ingredients by what they do in a formula, each by its whole INCI name. What a material is follows from what it consists
 * of, so a material under another name, or one of a maker's own, is handled as what it is.
 */
const KINDS = {
  /** It stiffens an emulsion and holds none together by itself. */
  "co-emulsifier": ["Cetearyl Alcohol", "Cetyl Alcohol", "Glyceryl Stearate", "Stearyl Alcohol"],
  clay: [
    "Attapulgite",
    "Bentonite",
    "Fuller's Earth",
    "Hectorite",
    "Illite",
    "Kaolin",
    "Kaolinite",
    "Magnesium Aluminum Silicate",
    "Montmorillonite",
    "Moroccan Lava Clay",
    "Quaternium-18 Bentonite",
    "Quaternium-18 Hectorite",
    "Stearalkonium Bentonite",
    "Stearalkonium Hectorite",
  ],
  "swelling-clay": ["Bentonite", "Hectorite", "Magnesium Aluminum Silicate", "Montmorillonite"],
  protein: [
    "Aminomethyl Propanol",
    "Arginine",
    "Caprae Lac",
    "Casein",
    "Collagen",
    "Collagen Amino Acids",
    "Diethanolamine",
    "Ethanolamine",
    "Hydrolyzed Casein",
    "Hydrolyzed Collagen",
    "Hydrolyzed Corn Protein",
    "Hydrolyzed Elastin",
    "Hydrolyzed Jojoba Protein",
    "Hydrolyzed Keratin",
    "Hydrolyzed Lupine Protein",
    "Hydrolyzed Milk Protein",
    "Hydrolyzed Oat Protein",
    "Hydrolyzed Oats",
    "Hydrolyzed Pea Protein",
    "Hydrolyzed Quinoa",
    "Hydrolyzed Rice Protein",
    "Hydrolyzed Silk",
    "Hydrolyzed Soy Protein",
    "Hydrolyzed Sweet Almond Protein",
    "Hydrolyzed Vegetable Protein",
    "Hydrolyzed Wheat Protein",
    "Keratin",
    "Keratin Amino Acids",
    "Lac",
    "Lac Powder",
    "Milk Protein",
    "Sericin",
    "Silk",
    "Silk Amino Acids",
    "Silk Powder",
    "Soluble Collagen",
    "Triethanolamine",
    "Whey Protein",
  ],
  oxidiser: [
    "Calcium Peroxide",
    "Carbamide Peroxide",
    "Benzoyl Peroxide",
    "Hydrogen Peroxide",
    "Magnesium Peroxide",
    "Potassium Persulfate",
    "Sodium Carbonate Peroxide",
    "Sodium Hypochlorite",
    "Sodium Perborate",
    "Sodium Percarbonate",
    "Sodium Persulfate",
  ],
  reducer: [
    "Ammonium Thioglycolate",
    "Ascorbic Acid",
    "Cysteine",
    "Cysteine HCl",
    "Potassium Metabisulfite",
    "Sodium Ascorbate",
    "Sodium Bisulfite",
    "Sodium Metabisulfite",
    "Sodium Sulfite",
    "Sodium Thiosulfate",
    "Thioglycolic Acid",
    "Thiolactic Acid",
  ],
  iron: [
    "CI 77489",
    "CI 77491",
    "CI 77492",
    "CI 77499",
    "CI 77510",
    "Iron Oxides",
    "Ferric Chloride",
    "Ferrous Gluconate",
    "Ferrous Sulfate",
  ],
  starch: [
    "Cellulose Gum",
    "Hydroxyethylcellulose",
    "Hydroxypropyl Methylcellulose",
    "Manihot Utilissima Starch",
    "Maranta Arundinacea Root Powder",
    "Oryza Sativa Starch",
    "Solanum Tuberosum Starch",
    "Tapioca Starch",
    "Triticum Vulgare Starch",
    "Xanthan Gum",
    "Zea Mays Starch",
  ],
  chelator: [
    "Calcium Gluconate",
    "Disodium EDTA",
    "EDTA",
    "Phytic Acid",
    "Sodium Gluconate",
    "Sodium Phytate",
    "Tetrasodium EDTA",
    "Tetrasodium Glutamate Diacetate",
    "Trisodium EDTA",
    "Trisodium Ethylenediamine Disuccinate",
  ],
  "zinc-salt": ["Zinc Gluconate", "Zinc Lactate", "Zinc PCA", "Zinc Pyrithione", "Zinc Ricinoleate", "Zinc Sulfate"],
  glucoside: ["Caprylyl/Capryl Glucoside", "Coco-Glucoside", "Decyl Glucoside", "Lauryl Glucoside"],
  solvent: [
    "Alcohol",
    "Alcohol Denat.",
    "Butylene Glycol",
    "Caprylyl Glycol",
    "Dipropylene Glycol",
    "Hexylene Glycol",
    "Pentylene Glycol",
    "Propanediol",
    "Propylene Glycol",
  ],
  /** Wets a gum without swelling it. */
  wetting: ["Butylene Glycol", "Caprylyl Glycol", "Dipropylene Glycol", "Glycerin", "Pentylene Glycol", "Propanediol", "Propylene Glycol"],
  sulfonate: [
    "Disodium 2-Sulfolaurate",
    "Sodium C12-14 Olefin Sulfonate",
    "Sodium C14-16 Olefin Sulfonate",
    "Sodium C14-17 Alkyl Sec Sulfonate",
    "Sodium Lauryl Sulfoacetate",
    "Sodium Methyl 2-Sulfolaurate",
    "Sodium Sulfoacetate",
  ],
  taurate: ["Sodium Methyl Cocoyl Taurate", "Sodium Methyl Lauroyl Taurate", "Sodium Methyl Oleoyl Taurate", "Sodium Cocoyl Taurate"],
  isethionate: [
    "Sodium Cocoyl Isethionate",
    "Sodium Isethionate",
    "Sodium Lauroyl Isethionate",
    "Sodium Lauroyl Methyl Isethionate",
    "Sodium Methyl Isethionate",
  ],
  "fatty-alcohol": [
    "Arachidyl Alcohol",
    "Behenyl Alcohol",
    "Cetearyl Alcohol",
    "Cetyl Alcohol",
    "Coconut Alcohol",
    "Decyl Alcohol",
    "Lauryl Alcohol",
    "Myristyl Alcohol",
    "Stearyl Alcohol",
  ],
  butter: [
    "Astrocaryum Murumuru Seed Butter",
    "Butyrospermum Parkii Butter",
    "Garcinia Indica Seed Butter",
    "Mangifera Indica Seed Butter",
    "Theobroma Cacao Seed Butter",
    "Theobroma Grandiflorum Seed Butter",
  ],
  carbomer: [
    "Acrylates/C10-30 Alkyl Acrylate Crosspolymer",
    "Acrylates Crosspolymer-4",
    "Acrylates/Vinyl Isodecanoate Crosspolymer",
    "Carbomer",
    "Sodium Carbomer",
  ],
  "cationic-guar": ["Guar Hydroxypropyltrimonium Chloride", "Hydroxypropyl Guar Hydroxypropyltrimonium Chloride"],
  gum: [
    "Acacia Senegal Gum",
    "Amorphophallus Konjac Root Powder",
    "Biosaccharide Gum-1",
    "Caesalpinia Spinosa Gum",
    "Carrageenan",
    "Cellulose",
    "Cellulose Gum",
    "Ceratonia Siliqua Gum",
    "Cyamopsis Tetragonoloba Gum",
    "Gellan Gum",
    "Hydroxyethylcellulose",
    "Hydroxypropyl Methylcellulose",
    "Hydroxypropylcellulose",
    "Microcrystalline Cellulose",
    "Sclerotium Gum",
    "Xanthan Gum",
  ],
  xanthan: ["Xanthan Gum"],
  "associative-thickener": ["PEG-120 Methyl Glucose Dioleate", "PEG-150 Distearate", "PEG-150 Pentaerythrityl Tetrastearate"],
  pearl: ["Glycol Distearate", "Glycol Stearate"],
  "sodium-chloride": ["Sodium Chloride"],
} as const satisfies Readonly<Record<string, readonly string[]>>;

export type IngredientKind = keyof typeof KINDS;

const kindsByName = new Map<string, IngredientKind[]>();
for (const [kind, names] of Object.entries(KINDS) as [IngredientKind, readonly string[]][]) {
  for (const name of names) kindsByName.set(name, [...(kindsByName.get(name) ?? []), kind]);
}

const sumsOf = remembered(({ inci }: PlainMaterial): ReadonlyMap<IngredientKind, number> => {
  const sums = new Map<IngredientKind, number>();
  for (const { name, percent } of inci) {
    for (const kind of kindsByName.get(name) ?? []) sums.set(kind, (sums.get(kind) ?? 0) + percent);
  }
  return sums;
});

/** How much of a material is of a kind, % of the material. Glycerin is 100 % "wetting"; a name that is not listed is of no kind. */
export function kindPercent(material: PlainMaterial, kind: IngredientKind): number {
  return sumsOf(material).get(kind) ?? 0;
}

/** Less of it in a material does not make it one of the kind, % of the material. */
const LEAST_PERCENT = 5;

/** Whether a material is of a kind; a trace does not count. */
export function isKind(material: PlainMaterial, kind: IngredientKind): boolean {
  return kindPercent(material, kind) >= LEAST_PERCENT;
}
