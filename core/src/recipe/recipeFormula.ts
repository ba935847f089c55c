import type { Material, MaterialsBySlug } from "../library/material.ts";
import { gramsOfMeasure, isMassUnit, type KitchenUnit, type Measurable, type MeasureSystem } from "../quantities/kitchenMeasures.ts";
import { likeWater } from "./likeWater.ts";
import type { Recipe, RecipeLine } from "./readRecipe.ts";

/** A line of the recipe as a share of the whole. No line that names something is lost. */
export interface RecipeShare {
  readonly row: number;
  readonly text: string;
  /** Slug; null until the maker chooses one. */
  readonly material: string | null;
  /** Slugs of what it could be, the likeliest first. */
  readonly offers: readonly string[];
  readonly phase: string;
  /** % w/w; null on the q.s. line, and where the amount is yet to be typed. */
  readonly percent: number | null;
  readonly takesTheRest: boolean;
  /** It went through a volume, a drop or a rough number. */
  readonly isEstimate: boolean;
  readonly assayPercent: number | null;
}

export interface RecipeShares {
  readonly shares: readonly RecipeShare[];
  /** What the amounts leave open, % of the whole. */
  readonly openPercent: number;
  /** Grams the amounts come to, where they are masses. */
  readonly batchGrams: number | null;
}

interface Weighed {
  readonly line: RecipeLine;
  /** Percent or grams or parts, as the recipe counts; null where there is no amount. */
  readonly value: number | null;
  readonly isPercent: boolean;
  readonly isEstimate: boolean;
}

/**
 * Percentages of a recipe. Percent stay; spoons, cups and drops become grams by density and drop mass, and grams and
 * parts become percent of their sum, or of what the recipe says it makes. 20 g betaine and 80 g water are 20 and 80 %.
 * What has no material yet counts in the whole like any other line.
 */
export function recipeShares(recipe: Recipe, materials: MaterialsBySlug, system: MeasureSystem): RecipeShares {
  const lines = recipe.lines.filter(({ kind }) => kind === "ingredient");
  const weighed = lines.map((line) => weigh(line, materials, system));
  const rest = restOf(recipe, weighed, materials);
  const counted = weighed.filter(({ line }) => line !== rest);
  const percents = sumOf(counted.filter(({ isPercent }) => isPercent));
  const masses = sumOf(counted.filter(({ isPercent }) => !isPercent));
  const isClosed = rest === undefined && !recipe.isOpen;
  // Grams beside percent share what the percent leave; with a rest or an open end the whole must be named.
  const stated = recipe.batchGrams ?? (isClosed && percents < 100 ? masses / (1 - percents / 100) : 100);
  const whole = Math.max(stated, percents === 0 ? masses : 0);
  const percentOf = ({ value, isPercent }: Weighed): number | null =>
    value === null ? null : isPercent ? value : whole > 0 ? (100 * value) / whole : 0;
  const total = counted.reduce((sum, each) => sum + (percentOf(each) ?? 0), 0);
  return {
    shares: weighed.flatMap((each): readonly RecipeShare[] => {
      if (each.line === rest) return [{ ...shareOf(each.line), percent: null, takesTheRest: true, isEstimate: false }];
      const share = { ...shareOf(each.line), percent: percentOf(each), takesTheRest: false, isEstimate: each.isEstimate };
      return diluted(share, each.line, materials);
    }),
    openPercent: rest === undefined ? Math.max(0, 100 - total) : 0,
    batchGrams: recipe.batchGrams ?? (masses > 0 && isClosed && !isInParts(counted) ? whole : null),
  };
}

/** Parts say how much of each there is beside the others, not how much of all. */
function isInParts(counted: readonly Weighed[]): boolean {
  return counted.some(({ line }) => line.amount?.unit === "part");
}

function sumOf(weighed: readonly Weighed[]): number {
  return weighed.reduce((sum, { value }) => sum + (value ?? 0), 0);
}

/**
 * The line that takes the rest: water that is said to, else another line that is, else water without an amount where the
 * recipe's own total leaves room. Other lines that are "q.s." wait for their amount.
 */
function restOf(recipe: Recipe, weighed: readonly Weighed[], materials: MaterialsBySlug): RecipeLine | undefined {
  const isWater = ({ material }: RecipeLine): boolean => material !== null && materials.get(material)?.role === "water";
  const said = weighed.map(({ line }) => line).filter(({ takesTheRest }) => takesTheRest);
  const toTheWhole = said.find(isWater) ?? said.find(({ text }) => /100|\b(?:rest|remainder|remaining|balance)\b/iu.test(text));
  if (toTheWhole !== undefined) return toTheWhole;
  const counted = weighed.filter(({ value }) => value !== null);
  const isPercentRecipe = counted.length > 0 && counted.every(({ isPercent }) => isPercent);
  const room = recipe.batchGrams === null ? (isPercentRecipe ? 100 - sumOf(counted) : 0) : recipe.batchGrams - sumOf(counted);
  return room > 0 ? weighed.find(({ line, value }) => value === null && isWater(line))?.line : undefined;
}

function weigh(line: RecipeLine, materials: MaterialsBySlug, system: MeasureSystem): Weighed {
  const { amount } = line;
  if (amount === null || line.takesTheRest) return { line, value: null, isPercent: false, isEstimate: false };
  const { unit, value, isRough } = amount;
  if (unit === "percent") return { line, value, isPercent: true, isEstimate: isRough };
  if (unit === "part" || unit === "bare") return { line, value, isPercent: false, isEstimate: isRough };
  const material = line.material === null ? undefined : materials.get(line.material);
  const measures = [{ value, unit }, ...(amount.plus ?? [])];
  let grams = 0;
  for (const measure of measures) {
    const of = (measurable: Measurable) => gramsOfMeasure(measure.value, measure.unit as KitchenUnit, { material: measurable, system });
    const known = of(material ?? likeWater);
    const mass = known.found ? known : of(likeWater);
    // The mass of a piece nobody knows is for the maker to weigh.
    if (!mass.found) return { line, value: null, isPercent: false, isEstimate: true };
    grams += mass.grams;
  }
  const isMeasured = measures.every((measure) => isMassUnit(measure.unit as KitchenUnit));
  return { line, value: grams, isPercent: false, isEstimate: isRough || !isMeasured };
}

/** A little more or less than a bottle holds is the bottle itself. */
const SAME_STRENGTH = 0.95;

/** "5 g of a 20 % solution" is 1 g of the material and 4 g of water, as two lines. */
function diluted(share: RecipeShare, { strengthPercent, isSolution }: RecipeLine, materials: MaterialsBySlug): readonly RecipeShare[] {
  const material = share.material === null ? undefined : materials.get(share.material);
  if (strengthPercent === null || material === undefined || material.active !== null) return [share];
  const plain = { ...share, assayPercent: null };
  const water = [...materials.values()].find(({ inci }) => inci?.length === 1 && inci[0]?.name === "Aqua");
  const held = heldPercent(material);
  if (!isSolution || water === undefined || share.percent === null || strengthPercent >= SAME_STRENGTH * held) return [plain];
  const part = strengthPercent / held;
  return [
    { ...plain, percent: share.percent * part },
    { ...plain, material: water.slug, offers: [], percent: share.percent * (1 - part) },
  ];
}

/** How much of it is the substance itself, %; what the water leaves. */
function heldPercent({ inci }: Material): number {
  return inci === undefined ? 100 : 100 - inci.reduce((sum, { name, percent }) => sum + (name === "Aqua" ? percent : 0), 0);
}

/** Runs of spaces, and signs that do not show or turn the direction of a text. */
const HIDDEN = /[\s\p{Cc}\p{Cf}]+/gu;

function shareOf({ row, text, material, offers, phase, strengthPercent }: RecipeLine) {
  return { row, text: text.replace(HIDDEN, " ").trim(), material, offers, phase, assayPercent: strengthPercent };
}
