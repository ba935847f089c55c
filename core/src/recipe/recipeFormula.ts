import type { MaterialsBySlug } from "../library/material.ts";
import { gramsOfMeasure, isMassUnit, type KitchenUnit, type MeasureSystem } from "../quantities/kitchenMeasures.ts";
import type { Recipe, RecipeLine } from "./readRecipe.ts";

/** A line of the recipe as a share of the whole. */
export interface RecipeShare {
  readonly row: number;
  readonly material: string;
  readonly phase: string;
  /** % w/w; null on the q.s. line. */
  readonly percent: number | null;
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
  /** Materials whose amount is found while they are used, as "to pH 5.5": lines whose percent is yet to be typed. */
  readonly asked: readonly AskedLine[];
  /** Rows that could not be taken along, each with the reason. */
  readonly left: readonly { readonly row: number; readonly reason: string }[];
}

export interface AskedLine {
  readonly row: number;
  readonly material: string;
  readonly phase: string;
}

interface Weighed {
  readonly line: RecipeLine & { readonly material: string };
  /** Percent or grams or parts, as the recipe counts. */
  readonly value: number;
  readonly isPercent: boolean;
  readonly isEstimate: boolean;
}

/**
 * Percentages of a recipe. Percent stay; spoons, cups and drops become grams by density and drop mass, and grams and
 * parts become percent of their sum, or of what the recipe says it makes. 20 g betaine and 80 g water are 20 and 80 %.
 */
export function recipeShares(recipe: Recipe, materials: MaterialsBySlug, system: MeasureSystem): RecipeShares {
  const left: { row: number; reason: string }[] = [];
  const weighed: Weighed[] = [];
  const asked: AskedLine[] = [];
  const rests: (RecipeLine & { readonly material: string })[] = [];
  for (const line of recipe.lines) {
    if (line.kind !== "ingredient") continue;
    if (!isKnown(line)) left.push({ row: line.row, reason: "the material is not recognised" });
    else if (line.takesTheRest) rests.push(line);
    else if (line.amount === null) asked.push({ row: line.row, material: line.material, phase: line.phase });
    else {
      const outcome = weigh(line, materials, system);
      if ("reason" in outcome) left.push({ row: line.row, reason: outcome.reason });
      else weighed.push(outcome);
    }
  }
  for (const extra of rests.slice(1)) left.push({ row: extra.row, reason: "another line is q.s. already" });
  return { ...sharesOf({ recipe, weighed, rest: rests[0] }), asked, left };
}

function isKnown(line: RecipeLine): line is RecipeLine & { readonly material: string } {
  return line.material !== null;
}

function weigh(
  line: RecipeLine & { readonly material: string },
  materials: MaterialsBySlug,
  system: MeasureSystem,
): Weighed | { readonly reason: string } {
  const material = materials.get(line.material);
  if (line.amount === null || material === undefined) return { reason: "there is no amount" };
  const { unit, value, isRough } = line.amount;
  if (unit === "percent") return { line, value, isPercent: true, isEstimate: isRough };
  if (unit === "part" || unit === "bare") return { line, value, isPercent: false, isEstimate: isRough };
  let grams = 0;
  for (const measure of [{ value, unit }, ...(line.amount.plus ?? [])]) {
    const mass = gramsOfMeasure(measure.value, measure.unit as KitchenUnit, { material, system });
    if (!mass.found) return { reason: mass.reason };
    grams += mass.grams;
  }
  const isMeasured = [unit, ...(line.amount.plus ?? []).map((measure) => measure.unit)].every((each) => isMassUnit(each as KitchenUnit));
  return { line, value: grams, isPercent: false, isEstimate: isRough || !isMeasured };
}

interface Shared {
  readonly recipe: Recipe;
  readonly weighed: readonly Weighed[];
  readonly rest: (RecipeLine & { readonly material: string }) | undefined;
}

function sharesOf({ recipe, weighed, rest }: Shared): Pick<RecipeShares, "shares" | "openPercent" | "batchGrams"> {
  const percents = weighed.filter(({ isPercent }) => isPercent).reduce((sum, { value }) => sum + value, 0);
  const masses = weighed.filter(({ isPercent }) => !isPercent).reduce((sum, { value }) => sum + value, 0);
  const isClosed = rest === undefined && !recipe.isOpen;
  // Grams beside percent share what the percent leave; with a rest or an open end the whole must be named.
  const whole = recipe.batchGrams ?? (isClosed && percents < 100 ? masses / (1 - percents / 100) : 100);
  const percentOf = ({ value, isPercent }: Weighed): number => (isPercent ? value : whole > 0 ? (100 * value) / whole : 0);
  const total = weighed.reduce((sum, each) => sum + percentOf(each), 0);
  const shares = weighed.map((each): RecipeShare => ({ ...shareOf(each.line), percent: percentOf(each), isEstimate: each.isEstimate }));
  const withRest = rest === undefined ? shares : [...shares, { ...shareOf(rest), percent: null, isEstimate: false }];
  return {
    shares: withRest.sort((a, b) => a.row - b.row),
    openPercent: rest === undefined ? Math.max(0, 100 - total) : 0,
    batchGrams: recipe.batchGrams ?? (masses > 0 && isClosed ? whole : null),
  };
}

function shareOf({ row, material, phase, strengthPercent }: RecipeLine & { readonly material: string }) {
  return { row, material, phase, assayPercent: strengthPercent };
}
