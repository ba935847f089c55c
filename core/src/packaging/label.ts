import { aimedProfile } from "../formula/aim.ts";
import type { Profile } from "../formula/profiles.ts";
import { resolveLines } from "../formula/resolveLines.ts";
import { percentByInci } from "../formula/sums/rollUp.ts";
import type { Formula, ResolvedSheet } from "../formula/types.ts";
import type { MaterialsBySlug } from "../library/material.ts";
import { allergenAmounts, allergenThresholdPercent, type Allergen } from "../formula/sums/allergens.ts";
import { ingredientNames, type Naming } from "./ingredientNames.ts";
import { usualMarket, type Market } from "../library/markets.ts";
import { formulaOfPart } from "./parts.ts";
import { labelWarnings } from "./warnings.ts";

export interface LabelIngredient {
  readonly name: string;
  /** % w/w of the formula. */
  readonly percent: number;
  readonly belowOnePercent: boolean;
}

export interface Label {
  /** In the order of the label. */
  readonly ingredients: readonly LabelIngredient[];
  /** Those that must be named, the most first. They stand in `ingredients` as well. */
  readonly allergens: readonly Allergen[];
  readonly warnings: readonly string[];
  /** Names that only some of the named parts have: "may contain". */
  readonly mayContain: readonly string[];
}

/**
 * The ingredient list of a formula: by falling amount, colours last, allergens above the threshold named. Below 1 % the
 * order is free in most places; it keeps falling here.
 * @throws Refusal when the profile or a material is unknown.
 */
export function labelOf(formula: Formula, naming: Naming, library: MaterialsBySlug, market: Market = usualMarket): Label {
  const profile = aimedProfile(formula);
  const { sheet } = resolveLines(formula, library);
  const allergens = namedAllergens(sheet, profile, market);
  const ingredients = ingredientList(sheet, naming, allergens);
  return {
    ingredients,
    allergens,
    warnings: labelWarnings(sheet, profile),
    mayContain: onlyInParts(sheet, { naming, profile, market, library }, ingredients),
  };
}

/**
 * What is listed and not in the base that all parts share, and the allergens of a part: each is judged in its part, where there
 * is more of it than in all of the batch.
 */
function onlyInParts(
  sheet: ResolvedSheet,
  {
    naming,
    profile,
    market,
    library,
  }: { readonly naming: Naming; readonly profile: Profile; readonly market: Market; readonly library: MaterialsBySlug },
  listed: readonly LabelIngredient[],
): readonly string[] {
  const { splits = [] } = sheet.formula;
  if (splits.length === 0) return [];
  const ids = new Set(sheet.formula.lines.map(({ id }) => id));
  const base: ResolvedSheet = { ...sheet, lines: sheet.lines.filter(({ line }) => ids.has(line.id)) };
  const shared = new Set([...ingredientList(base, naming, []), ...namedAllergens(base, profile, market)].map(({ name }) => name));
  const ofParts = splits.flatMap(({ name }) =>
    namedAllergens(resolveLines(formulaOfPart(sheet.formula, name, library), library).sheet, profile, market),
  );
  return [...new Set([...listed, ...ofParts].map(({ name }) => name))].filter((name) => !shared.has(name));
}

function namedAllergens(sheet: ResolvedSheet, profile: Profile, market: Market): readonly Allergen[] {
  const threshold = allergenThresholdPercent(profile, market);
  return allergenAmounts(sheet).filter(({ percent }) => percent > threshold);
}

function ingredientList(sheet: ResolvedSheet, naming: Naming, allergens: readonly Allergen[]): readonly LabelIngredient[] {
  const names = ingredientNames(sheet, naming);
  const amounts = new Map<string, { percent: number; isColour: boolean }>();
  const inci = percentByInci(sheet);
  for (const [inciName, percent] of inci) {
    if (percent <= 0) continue;
    const { name, isColour } = names.get(inciName) ?? { name: inciName, isColour: false };
    const known = amounts.get(name);
    if (known === undefined) amounts.set(name, { percent, isColour });
    else known.percent += percent;
  }
  for (const { name, percent } of allergens) {
    // One that is an ingredient in its own right stands there already.
    if (!inci.has(name)) amounts.set(name, { percent, isColour: false });
  }
  return [...amounts]
    .sort(([a, left], [b, right]) => Number(left.isColour) - Number(right.isColour) || right.percent - left.percent || (a < b ? -1 : 1))
    .map(([name, { percent }]) => ({ name, percent, belowOnePercent: percent < 1 }));
}
