import { wholeMaterial } from "../../library/briefMaterial.ts";
import type { PlainMaterial } from "../../library/material.ts";
import { Refusal } from "../../quantities/refusal.ts";
import type { Formula, FormulaLine } from "../types.ts";
import { massBalance } from "../massBalance.ts";

/** Days in the cold whatever preserves it, unless it passed a challenge test. */
export const MOST_DAYS_UNTESTED = 14;
const USUAL_DAYS = 7;
/** More than this of the water replaced changes the body of the wash, %. */
export const USUAL_MOST_REPLACED_PERCENT = 50;
/** What simmering takes out of a dried plant, a rough guess, part of its mass. */
const DISSOLVED_FRACTION = 0.2;

/** An infusion or a gel water cooked from a plant. */
export interface WaterRecipe {
  readonly slug: string;
  readonly name: string;
  /** INCI name of what comes out of the plant, as "Betula Alba Leaf Extract". */
  readonly extractInci: string;
  readonly plantGrams: number;
  readonly waterGrams: number;
  /** What was left after straining; without it a fifth is taken as lost to steam and plant. */
  readonly yieldGrams?: number;
  readonly daysOfLife?: number;
  readonly isChallengeTested?: boolean;
}

export interface MadeUpWater {
  readonly material: PlainMaterial;
  readonly yieldGrams: number;
  readonly daysOfLife: number;
  readonly steps: readonly string[];
}

/**
 * A water made at home, as a material: food for microbes, short of life, its composition an estimate.
 * @throws Refusal when there is no plant or no water in it, or it is to live longer than an untested one may.
 */
export function madeUpWater(recipe: WaterRecipe): MadeUpWater {
  const { plantGrams, waterGrams, daysOfLife = USUAL_DAYS } = recipe;
  if (!(plantGrams > 0) || !(waterGrams > 0)) {
    throw new Refusal("not-possible", "A plant water needs some plant and some water.", "Type the grams of both.");
  }
  if (daysOfLife > MOST_DAYS_UNTESTED && recipe.isChallengeTested !== true) {
    throw new Refusal(
      "not-possible",
      `${daysOfLife} days are more than the ${MOST_DAYS_UNTESTED} an untested plant water lasts in the refrigerator.`,
      `Give it at most ${MOST_DAYS_UNTESTED} days, or have it challenge-tested.`,
    );
  }
  const yieldGrams = recipe.yieldGrams ?? waterGrams * 0.8;
  const extractPercent = Math.min(100, (100 * plantGrams * DISSOLVED_FRACTION) / yieldGrams);
  return { material: waterMaterial(recipe, extractPercent), yieldGrams, daysOfLife, steps: stepsOf(recipe) };
}

function waterMaterial({ slug, name, extractInci }: WaterRecipe, extractPercent: number): PlainMaterial {
  const facts = wholeMaterial({ slug, name, role: "water", inci: [] });
  return {
    ...facts,
    form: "liquid",
    inci: [
      { name: "Aqua", percent: 100 - extractPercent },
      { name: extractInci, percent: extractPercent },
    ],
    densityGramsPerMl: 1,
    trueDensityGramsPerMl: 1,
    solubleIn: ["water"],
    flags: ["microbe-food", "natural-derived"],
    handling: "Keep it covered in the cold and use it within its days.",
    caution: "Discard it when it clouds, smells or fizzes.",
    uncertain: ["inci", "densityGramsPerMl", "trueDensityGramsPerMl"],
  } as PlainMaterial;
}

function stepsOf({ plantGrams, waterGrams, name }: WaterRecipe): readonly string[] {
  return [
    `Rinse ${plantGrams} g of the plant.`,
    `Cover it with ${waterGrams} g of distilled water.`,
    "Simmer it under a lid for 20 minutes.",
    "Strain it while hot into a disinfected jar, and let it cool covered.",
    `Weigh it, and label it: ${name}, date, days of life.`,
  ];
}

/** Days a made-up water has left; 0 or less: throw it away. */
export function daysLeft({ daysOfLife }: Pick<MadeUpWater, "daysOfLife">, ageDays: number): number {
  return daysOfLife - ageDays;
}

export interface ReplacedWater {
  readonly formula: Formula;
  /** % w/w of the formula that is now the made-up water. */
  readonly percent: number;
  /** More of the water is replaced than usual: it will be thicker than before. */
  readonly isMuch: boolean;
}

/**
 * Replaces a part of the q.s. water by a made-up one: a line of its own, the rest stays q.s. Half of 70 % water makes a
 * line of 35 %.
 * @throws Refusal when no line is q.s. or nothing would be left of it.
 */
export function replaceWater(
  formula: Formula,
  { sharePercent, line }: { readonly sharePercent: number; readonly line: Pick<FormulaLine, "id" | "phase" | "material"> },
): ReplacedWater {
  const { qsPercent, hasQs } = massBalance(formula.lines);
  const at = formula.lines.findIndex((each) => each.qs === true);
  if (!hasQs || qsPercent <= 0 || !(sharePercent > 0 && sharePercent <= 100)) {
    throw new Refusal("not-possible", "There is no q.s. water to replace a part of.", "Make a water line q.s. to 100 % first.");
  }
  const percent = (qsPercent * sharePercent) / 100;
  const lines = formula.lines.toSpliced(at + 1, 0, { ...line, percent });
  return { formula: { ...formula, lines }, percent, isMuch: sharePercent > USUAL_MOST_REPLACED_PERCENT };
}
