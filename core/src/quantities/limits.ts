/** The largest mass taken, g: a tonne is no kitchen bench any more. */
export const MOST_GRAMS = 1_000_000;

/** The highest price taken, in the maker's money. */
export const MOST_PRICE = 1_000_000;
