import type { Material, MaterialPart, MaterialsBySlug, NestedMaterial } from "../../library/material.ts";
import { wholeMaterial } from "../../library/briefMaterial.ts";
import { allergenThresholdPercent } from "../sums/allergens.ts";
import { forEachSource } from "../leaves.ts";
import type { Profile } from "../profiles.ts";
import { Refusal } from "../../quantities/refusal.ts";

/** One oil of a round, counted in drops, in grams, or in parts by mass. */
export interface ScentCount {
  /** Slug. */
  readonly material: string;
  readonly count: number;
}

export type CountedIn = "drops" | "grams" | "parts";

/** A trial of the scent; the next one starts from it. */
export interface ScentRound {
  readonly countedIn: CountedIn;
  readonly oils: readonly ScentCount[];
  /** The maker's own drop masses, mg by slug; they stand above the library's. */
  readonly dropMilligrams?: ReadonlyMap<string, number>;
}

export interface ScentShare {
  readonly material: string;
  /** Mass in the round: grams, or parts where parts were counted. */
  readonly mass: number;
  readonly percent: number;
}

export interface ScentBlend {
  readonly total: number;
  readonly shares: readonly ScentShare[];
}

/**
 * Shares of a scent from its drops: drops × drop mass, then each against the whole. 12 drops of 30 mg and 8 of 25 mg
 * are 0.36 and 0.20 g, 64.29 and 35.71 %.
 * @throws Refusal when there is nothing in it, an oil is unknown, or a drop's mass is.
 */
export function scentBlend(round: ScentRound, materials: MaterialsBySlug): ScentBlend {
  const masses = round.oils.map(({ material, count }) => ({ material, mass: count * massOfOne(material, round, materials) }));
  const total = masses.reduce((sum, { mass }) => sum + mass, 0);
  if (!(total > 0)) throw new Refusal("not-possible", "There is no oil in this round.", "Count at least one drop.");
  return { total, shares: masses.map(({ material, mass }) => ({ material, mass, percent: (100 * mass) / total })) };
}

function massOfOne(slug: string, { countedIn, dropMilligrams }: ScentRound, materials: MaterialsBySlug): number {
  const material = materials.get(slug);
  if (material === undefined) throw new Refusal("not-found", `"${slug}" is not in the library.`, "Choose an oil of the library.");
  if (countedIn !== "drops") return 1;
  const milligrams = dropMilligrams?.get(slug) ?? material.dropMilligrams;
  if (milligrams === null) {
    throw new Refusal("not-possible", `What a drop of ${material.name} weighs is unknown.`, "Weigh 20 drops and type their mass.");
  }
  return milligrams / 1000;
}

/** The blend as a material of its own, made of its oils. Its parts come to 100 exactly. */
export function blendMaterial(blend: ScentBlend, { slug, name }: { readonly slug: string; readonly name: string }): NestedMaterial {
  const parts: MaterialPart[] = [];
  let left = 100;
  blend.shares.forEach(({ material, percent }, index) => {
    const share = index === blend.shares.length - 1 ? left : percent;
    left -= share;
    parts.push({ material, percent: share });
  });
  return { ...wholeMaterial({ slug, name, role: "fragrance", parts }), form: "oil", solubleIn: ["oil", "alcohol"] } as NestedMaterial;
}

export interface ScentAllergen {
  readonly name: string;
  readonly percentOfBlend: number;
  readonly percentOfFormula: number;
  readonly mustBeNamed: boolean;
}

export interface OilInFormula {
  readonly material: string;
  readonly percentOfFormula: number;
  /** The most of this oil in a formula; null where it is unknown. */
  readonly limitPercent: number | null;
  readonly isOver: boolean;
}

export interface ScentInFormula {
  readonly allergens: readonly ScentAllergen[];
  readonly oils: readonly OilInFormula[];
  /** Usual most of scent in this kind of product, % w/w. */
  readonly capPercent: number;
  readonly isOverCap: boolean;
  /** The most of this blend within the cap and every oil's own limit, % w/w. */
  readonly mostPercent: number;
}

/** A scent at a dose in a product: allergens through the blend, the product's cap, and each oil's own limit. */
export function scentInFormula(
  blend: ScentBlend,
  { percent, profile }: { readonly percent: number; readonly profile: Profile },
  materials: MaterialsBySlug,
): ScentInFormula {
  const threshold = allergenThresholdPercent(profile);
  const oils = blend.shares.map((share): OilInFormula => {
    const limitPercent = materials.get(share.material)?.use?.high ?? null;
    const percentOfFormula = (percent * share.percent) / 100;
    return { material: share.material, percentOfFormula, limitPercent, isOver: limitPercent !== null && percentOfFormula > limitPercent };
  });
  const allergens = [...allergensOf(blend, materials)].map(([name, percentOfBlend]): ScentAllergen => {
    const percentOfFormula = (percent * percentOfBlend) / 100;
    return { name, percentOfBlend, percentOfFormula, mustBeNamed: percentOfFormula > threshold };
  });
  return {
    allergens: allergens.sort((a, b) => b.percentOfBlend - a.percentOfBlend),
    oils,
    capPercent: profile.scentCapPercent,
    isOverCap: percent > profile.scentCapPercent,
    mostPercent: Math.min(profile.scentCapPercent, ...blend.shares.map((share) => mostOf(share, materials.get(share.material)))),
  };
}

function mostOf(share: ScentShare, oil: Material | undefined): number {
  const limit = oil?.use?.high;
  return limit === undefined || share.percent === 0 ? 100 : (100 * limit) / share.percent;
}

function allergensOf(blend: ScentBlend, materials: MaterialsBySlug): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  for (const share of blend.shares) {
    const oil = materials.get(share.material);
    if (oil === undefined) continue;
    forEachSource(oil, "allergens", materials, (source, fraction) => {
      for (const { name, percent } of source.allergens) sums.set(name, (sums.get(name) ?? 0) + (share.percent * fraction * percent) / 100);
    });
  }
  return sums;
}

/** The round after: the last one with the count of one oil changed, added, or taken out by counting none. */
export function nextRound(last: ScentRound, change: ScentCount): ScentRound {
  const isThere = last.oils.some(({ material }) => material === change.material);
  const changed = isThere ? last.oils.map((oil) => (oil.material === change.material ? change : oil)) : [...last.oils, change];
  return { ...last, oils: changed.filter(({ count }) => count > 0) };
}

export interface ScentDifference {
  readonly material: string;
  /** % of the blend, 0 where it is not in it. */
  readonly before: number;
  readonly after: number;
}

/** What two rounds differ in, the largest shift first. The oil whose share rose most is the one that may drown the rest. */
export function scentDifference(before: ScentBlend, after: ScentBlend): readonly ScentDifference[] {
  const shareIn = (blend: ScentBlend, slug: string) => blend.shares.find(({ material }) => material === slug)?.percent ?? 0;
  const slugs = new Set([...before.shares, ...after.shares].map(({ material }) => material));
  return [...slugs]
    .map((material) => ({ material, before: shareIn(before, material), after: shareIn(after, material) }))
    .filter(({ before: was, after: is }) => Math.abs(was - is) > 1e-9)
    .sort((a, b) => Math.abs(b.after - b.before) - Math.abs(a.after - a.before));
}
