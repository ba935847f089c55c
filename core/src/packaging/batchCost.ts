import { Refusal } from "../quantities/refusal.ts";
import type { FillUse } from "../process/batch/fillPlan.ts";

/** What was taken of a lot, or without one, for a batch. */
export interface UsedMaterial {
  readonly name: string;
  /** Of its lot; empty where none was said. */
  readonly code: string;
  readonly grams: number;
  /** Of the whole pack; null where nobody said. */
  readonly price: number | null;
  readonly packGrams: number;
}

/** Containers of one kind and use that were filled. */
export interface UsedContainers {
  readonly name: string;
  readonly use: FillUse;
  readonly count: number;
  /** Net, all together, g. */
  readonly grams: number;
  /** Null where nobody said. */
  readonly priceEach: number | null;
}

export interface BatchCostFacts {
  readonly materials: readonly UsedMaterial[];
  readonly containers: readonly UsedContainers[];
  /** All that went in, g. */
  readonly inGrams: number;
  /** Null until it is weighed, g. */
  readonly yieldGrams: number | null;
}

/** What the maker settles; in their own currency. */
export interface PriceWish {
  readonly labelEach: number;
  /** Share of the price before tax that is to stay, 0 up to under 100 %. */
  readonly marginPercent: number;
  /** On top of the price, %. */
  readonly taxPercent: number;
  /** What a shop asks for 100 g of the like; null where it is not compared. */
  readonly shopPer100Grams: number | null;
}

/** What one container of a kind costs. */
export interface ContainerCost {
  readonly name: string;
  readonly count: number;
  /** Mean net content, g. */
  readonly grams: number;
  /** Its content, with its share of what was lost, sampled and kept. */
  readonly content: number;
  readonly container: number;
  readonly label: number;
  readonly each: number;
  /** Price that leaves the margin, and the same with tax. */
  readonly price: number;
  readonly priceWithTax: number;
  /** That price for 100 g as a part of what the shop asks; null where that is not known. */
  readonly ofShop: number | null;
}

export interface BatchCost {
  /** The dearest first; cost is null where the price is not known. */
  readonly materials: readonly (UsedMaterial & { readonly cost: number | null })[];
  readonly materialsTotal: number;
  readonly containersTotal: number;
  readonly labelsTotal: number;
  readonly total: number;
  /** What the materials are shared over, g: what is in containers for use, else the yield, else what went in. */
  readonly soldGrams: number;
  readonly sharedOver: "filled" | "yield" | "in";
  /** Of the materials' cost, what went into loss, samples, testers and what is kept, %. */
  readonly besidePercent: number;
  /** Materials, shared so; null where nothing is there to share over. */
  readonly per100Grams: number | null;
  readonly kinds: readonly ContainerCost[];
  /** Names of what has no price: the cost is too low by it. */
  readonly unpriced: readonly string[];
}

/**
 * What a batch cost: Σ grams × price ⁄ pack over what was taken, containers and labels by the piece. What was lost, sampled,
 * given to try and kept is borne by what is in containers for use. 600 g for 6.00, of which 5 bottles of 100 g are for use:
 * 1.20 for 100 g, not 1.00; with a bottle for 0.90 and a label for 0.10 each costs 2.20, and sells for 3.67 when 40 % of the
 * price is to stay.
 * @throws Refusal for a margin of 100 % and more, or an amount below 0
 */
export function batchCost({ materials, containers, inGrams, yieldGrams }: BatchCostFacts, wish: PriceWish): BatchCost {
  const { labelEach, marginPercent, taxPercent, shopPer100Grams } = wish;
  if (!(marginPercent >= 0 && marginPercent < 100)) {
    throw new Refusal("not-possible", `A margin of ${marginPercent} % has no price.`, "Give a margin from 0 to under 100 %.");
  }
  if (!(labelEach >= 0 && taxPercent >= 0)) {
    throw new Refusal("not-valid", "A price or a tax is not below 0.", "Give 0 or more.");
  }
  const costed = materials
    .map((used) => ({ ...used, cost: used.price === null || used.packGrams <= 0 ? null : (used.grams * used.price) / used.packGrams }))
    .sort((a, b) => (b.cost ?? -1) - (a.cost ?? -1));
  const materialsTotal = costed.reduce((sum, { cost }) => sum + (cost ?? 0), 0);
  const forUse = containers.filter(({ use }) => use === "use");
  const filledGrams = forUse.reduce((sum, { grams }) => sum + grams, 0);
  const [soldGrams, sharedOver] =
    filledGrams > 0
      ? [filledGrams, "filled" as const]
      : (yieldGrams ?? 0) > 0
        ? [yieldGrams ?? 0, "yield" as const]
        : [inGrams, "in" as const];
  const perGram = soldGrams > 0 ? materialsTotal / soldGrams : null;
  const containersTotal = containers.reduce((sum, { count, priceEach }) => sum + count * (priceEach ?? 0), 0);
  const labelsTotal = labelEach * containers.reduce((sum, { count }) => sum + count, 0);
  return {
    materials: costed,
    ...{ materialsTotal, containersTotal, labelsTotal, total: materialsTotal + containersTotal + labelsTotal },
    ...{ soldGrams, sharedOver, per100Grams: perGram === null ? null : 100 * perGram },
    besidePercent: inGrams > soldGrams ? (100 * (inGrams - soldGrams)) / inGrams : 0,
    kinds: forUse.map(({ name, count, grams, priceEach }): ContainerCost => {
      const mean = grams / count;
      const content = mean * (perGram ?? 0);
      const each = content + (priceEach ?? 0) + labelEach;
      const price = each / (1 - marginPercent / 100);
      const priceWithTax = price * (1 + taxPercent / 100);
      const ofShop = shopPer100Grams === null || shopPer100Grams <= 0 ? null : (100 * priceWithTax) / mean / shopPer100Grams;
      return { name, count, grams: mean, content, container: priceEach ?? 0, label: labelEach, each, price, priceWithTax, ofShop };
    }),
    unpriced: [
      ...costed.filter(({ cost, grams }) => cost === null && grams > 0).map(({ name }) => name),
      ...containers.filter(({ priceEach }) => priceEach === null).map(({ name }) => name),
    ].filter((name, at, all) => all.indexOf(name) === at),
  };
}

/** A layer of what one container costs. */
export interface CostLayer {
  readonly name: string;
  readonly cost: number;
  readonly kind: "material" | "others" | "container" | "label";
  /** What a price that rises by a tenth makes of the whole, %. */
  readonly tenthPercent: number;
}

/** Materials that are told by themselves. */
const MOST_TOLD = 6;

/**
 * Where the money of one container goes: its dearest materials, the others together, the container and the label, the dearest
 * material first. A layer of 0.60 in 2.00 that rises by a tenth makes the whole 3 % dearer.
 */
export function costLayers(
  { materials, materialsTotal }: Pick<BatchCost, "materials" | "materialsTotal">,
  one: ContainerCost,
): readonly CostLayer[] {
  const share = materialsTotal > 0 ? one.content / materialsTotal : 0;
  const byName = new Map<string, number>();
  for (const { name, cost } of materials) byName.set(name, (byName.get(name) ?? 0) + (cost ?? 0) * share);
  const told = [...byName].filter(([, cost]) => cost > 0).sort((a, b) => b[1] - a[1]);
  const others = told.slice(MOST_TOLD).reduce((sum, [, cost]) => sum + cost, 0);
  const layers: readonly Omit<CostLayer, "tenthPercent">[] = [
    ...told.slice(0, MOST_TOLD).map(([name, cost]) => ({ name, cost, kind: "material" as const })),
    { name: "other materials", cost: others, kind: "others" },
    { name: one.name, cost: one.container, kind: "container" },
    { name: "label", cost: one.label, kind: "label" },
  ];
  return layers
    .filter(({ cost }) => cost > 0)
    .map((layer) => ({ ...layer, tenthPercent: one.each > 0 ? (10 * layer.cost) / one.each : 0 }));
}
