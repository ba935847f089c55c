import type { PlainMaterial } from "../library/material.ts";
import { remembered } from "../library/remembered.ts";

/** A limit of law for what is in a product, as numbers. For orientation: what holds is for the maker to check. */
export interface LegalLimit {
  /** What is limited, in words. */
  readonly name: string;
  /** What it is reckoned as, where that is not the substance itself. */
  readonly calculatedAs: string | null;
  /** INCI names it sums over, each with how much of the reckoned substance one part of it is, by mass. */
  readonly names: Readonly<Record<string, number>>;
  /** Most in what is rinsed off, % w/w; 0 is not allowed. */
  readonly rinsedPercent: number;
  /** Most in what stays on the skin. */
  readonly leftOnPercent: number;
}

/** Where and when the limits hold. */
export const limitsOf = { place: "European list", asOf: "2024" } as const;

const same = (...names: readonly string[]): Readonly<Record<string, number>> => Object.fromEntries(names.map((name) => [name, 1]));

/** Molar mass of the acid over that of its salt or ester, g/mol each. */
const BENZOIC_IN_BENZOATE = 122.12 / 144.1;
const SORBIC_IN_POTASSIUM = 112.13 / 150.22;
const SORBIC_IN_SODIUM = 112.13 / 134.11;
const DEHYDROACETIC_IN_SODIUM = 168.15 / 190.13;
const SALICYLIC_IN_SODIUM = 138.12 / 160.1;
const HYDROXYBENZOIC = 138.12;
const parabens = {
  Methylparaben: HYDROXYBENZOIC / 152.15,
  Ethylparaben: HYDROXYBENZOIC / 166.17,
  Propylparaben: HYDROXYBENZOIC / 180.2,
  Butylparaben: HYDROXYBENZOIC / 194.23,
};

const alike = (percent: number): Pick<LegalLimit, "rinsedPercent" | "leftOnPercent"> => ({
  rinsedPercent: percent,
  leftOnPercent: percent,
});

/**
 * Regulation (EC) No 1223/2009 of the European Parliament and of the Council, annexes II and V, as they stood in 2024.
 * Salts and esters are reckoned as their acid by molar mass.
 */
export const legalLimits: readonly LegalLimit[] = [
  {
    name: "benzoic acid and benzoates",
    calculatedAs: "benzoic acid",
    names: { "Benzoic Acid": 1, "Sodium Benzoate": BENZOIC_IN_BENZOATE, "Potassium Benzoate": 122.12 / 160.21 },
    rinsedPercent: 2.5,
    leftOnPercent: 0.5,
  },
  {
    name: "sorbic acid and sorbates",
    calculatedAs: "sorbic acid",
    names: { "Sorbic Acid": 1, "Potassium Sorbate": SORBIC_IN_POTASSIUM, "Sodium Sorbate": SORBIC_IN_SODIUM },
    ...alike(0.6),
  },
  {
    name: "salicylic acid as a preservative",
    calculatedAs: "salicylic acid",
    names: { "Salicylic Acid": 1, "Sodium Salicylate": SALICYLIC_IN_SODIUM },
    ...alike(0.5),
  },
  { name: "phenoxyethanol", calculatedAs: null, names: same("Phenoxyethanol"), ...alike(1) },
  { name: "benzyl alcohol", calculatedAs: null, names: same("Benzyl Alcohol"), ...alike(1) },
  {
    name: "dehydroacetic acid and its salts",
    calculatedAs: "dehydroacetic acid",
    names: { "Dehydroacetic Acid": 1, "Sodium Dehydroacetate": DEHYDROACETIC_IN_SODIUM },
    ...alike(0.6),
  },
  { name: "diazolidinyl urea", calculatedAs: null, names: same("Diazolidinyl Urea"), ...alike(0.5) },
  { name: "DMDM hydantoin", calculatedAs: null, names: same("DMDM Hydantoin"), ...alike(0.6) },
  {
    name: "iodopropynyl butylcarbamate (not for children under 3, bath products and shampoos apart)",
    calculatedAs: null,
    names: same("Iodopropynyl Butylcarbamate"),
    rinsedPercent: 0.02,
    leftOnPercent: 0.01,
  },
  {
    name: "methylchloroisothiazolinone with methylisothiazolinone, 3 to 1",
    calculatedAs: null,
    names: same("Methylchloroisothiazolinone", "Methylisothiazolinone"),
    rinsedPercent: 0.0015,
    leftOnPercent: 0,
  },
  ...Object.entries(parabens)
    .slice(0, 2)
    .map(([name, part]): LegalLimit => ({ name: name.toLowerCase(), calculatedAs: "its acid", names: { [name]: part }, ...alike(0.4) })),
  {
    name: "propylparaben and butylparaben",
    calculatedAs: "their acid",
    names: { Propylparaben: parabens.Propylparaben, Butylparaben: parabens.Butylparaben },
    ...alike(0.14),
  },
  { name: "all parabens", calculatedAs: "their acid", names: parabens, ...alike(0.8) },
  { name: "zinc pyrithione", calculatedAs: null, names: same("Zinc Pyrithione"), ...alike(0) },
];

const limitsByName = new Map<string, readonly LegalLimit[]>();
for (const limit of legalLimits) {
  for (const name of Object.keys(limit.names)) limitsByName.set(name, [...(limitsByName.get(name) ?? []), limit]);
}

/** Limits a material falls under, by its composition. */
export const limitsFor: (material: PlainMaterial) => readonly LegalLimit[] = remembered((material: PlainMaterial) => [
  ...new Set(material.inci.flatMap(({ name }) => limitsByName.get(name) ?? [])),
]);

/** How much of what each limit is about a formula has, reckoned as the limit reckons, % w/w; limits nothing falls under are left out. */
export function limitedAmounts(
  contents: readonly { readonly material: PlainMaterial; readonly percent: number }[],
): ReadonlyMap<LegalLimit, number> {
  const sums = new Map<LegalLimit, number>();
  for (const { material, percent } of contents) {
    if (limitsFor(material).length === 0) continue;
    for (const entry of material.inci) {
      for (const limit of limitsByName.get(entry.name) ?? []) {
        sums.set(limit, (sums.get(limit) ?? 0) + ((percent * entry.percent) / 100) * (limit.names[entry.name] ?? 0));
      }
    }
  }
  return sums;
}
