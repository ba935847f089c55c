/** An amount of an incomplete recipe, in parts, grams or percent: all in the same unit. */
export interface OpenAmount {
  readonly id: string;
  readonly amount: number;
}

export interface OpenRecipe {
  readonly lines: readonly { readonly id: string; readonly percent: number }[];
  /** What nobody has decided yet, % of the whole. */
  readonly openPercent: number;
  /** The amounts exceed the whole by so much, % of it. */
  readonly overPercent: number;
}

/**
 * Percentages of a recipe that leaves something open: each amount against the whole. "85 base, 6 oil, the rest is up to
 * you" out of 100 leaves 9 % open. Without a whole the amounts are all there is: 85 and 6 are 93.41 and 6.59 %.
 */
export function openRecipe(amounts: readonly OpenAmount[], whole?: number): OpenRecipe {
  const sum = amounts.reduce((total, { amount }) => total + amount, 0);
  const all = whole ?? sum;
  const percentOf = (amount: number): number => (all > 0 ? (100 * amount) / all : 0);
  const rest = 100 - percentOf(sum);
  const isNoise = Math.abs(rest) < 1e-9;
  return {
    lines: amounts.map(({ id, amount }) => ({ id, percent: percentOf(amount) })),
    openPercent: all > 0 && !isNoise ? Math.max(0, rest) : 0,
    overPercent: all > 0 && !isNoise ? Math.max(0, -rest) : 0,
  };
}
