import type { Counterweight, DesignWishes, ThickeningWay } from "@tensidrum/core/design";
import { counterweights, thickeningWays } from "@tensidrum/core/design";
import { MOST_PRICE, readNumber } from "@tensidrum/core/quantities";

/** What the maker wishes, as it stands in the address of the page: a link to it asks the same again. */
export interface DesignerWishes extends DesignWishes {
  readonly onlyShelf: boolean;
  readonly coldOnly: boolean;
  readonly mustNot: readonly string[];
  /** Whose pH the blend shares; null for what is on the sheet. */
  readonly preservative: string | null;
}

/** Numbers that may be wished, with the range of their slider and its step. */
export const wishFields = [
  { wish: "mostIrritation", words: "irritation at most", unit: "", low: 5, high: 250, step: 5 },
  { wish: "leastFlash", words: "initial foam at least", unit: "of 10", low: 0, high: 10, step: 0.5 },
  { wish: "leastStability", words: "foam stability at least", unit: "of 10", low: 0, high: 10, step: 0.5 },
  { wish: "mostCost", words: "cost of 100 g at most", unit: "", low: 0, high: MOST_PRICE, step: 0.05 },
  { wish: "mostSaltPercent", words: "hidden salt at most", unit: "%", low: 0, high: 5, step: 0.1 },
  { wish: "mostAnionicPercent", words: "anionic share at most", unit: "%", low: 0, high: 100, step: 5 },
] as const;

export type WishField = (typeof wishFields)[number];

export const [LEAST_ACTIVE, MOST_ACTIVE] = [0.5, 40];
export const [LEAST_COUNT, MOST_COUNT] = [2, 5];

const NONE = "none";

/** Reads the wishes of an address; what is not in it, or cannot be read, is as usual. */
export function wishesOf(address: URLSearchParams, usual: DesignerWishes): DesignerWishes {
  const number = (key: string, least: number, most: number): number | null | undefined => {
    const text = address.get(key);
    if (text === null) return undefined;
    if (text === NONE) return null;
    const read = readNumber(text);
    return read.ok ? Math.min(most, Math.max(least, read.value)) : undefined;
  };
  const word = <Word extends string>(key: string, words: readonly Word[], otherwise: Word): Word =>
    words.find((one) => one === address.get(key)) ?? otherwise;
  const span = (key: string, least: number, most: number, otherwise: { readonly low: number; readonly high: number }) => ({
    low: number(`${key}Low`, least, most) ?? otherwise.low,
    high: number(`${key}High`, least, most) ?? otherwise.high,
  });
  const slugs = (key: string): readonly string[] => address.getAll(key).filter((slug) => /^[a-z0-9-]{1,120}$/.test(slug));
  const read = Object.fromEntries(
    wishFields.map(({ wish, low, high }) => {
      const found = number(wish, low, high);
      return [wish, found === undefined ? usual[wish] : found];
    }),
  );
  return {
    ...usual,
    ...read,
    against: word<Counterweight>("against", counterweights, usual.against),
    thickening: word<ThickeningWay>("thickening", thickeningWays, usual.thickening),
    activePercent: span("active", LEAST_ACTIVE, MOST_ACTIVE, usual.activePercent),
    count: span("count", LEAST_COUNT, MOST_COUNT, usual.count),
    preservative: slugs("preserved")[0] ?? usual.preservative,
    mustHave: slugs("must"),
    mustNot: slugs("not"),
    onlyShelf: word("shelf", ["only", "all"], usual.onlyShelf ? "only" : "all") === "only",
    coldOnly: address.get("cold") === "only",
  };
}

/** The address with one wish changed; null leaves the wish out. */
export function withWish(address: URLSearchParams, key: string, value: string | number | null | readonly string[]): URLSearchParams {
  const changed = new URLSearchParams(address);
  changed.delete(key);
  if (typeof value === "string" || typeof value === "number") changed.set(key, String(value));
  else if (value === null) changed.set(key, NONE);
  else for (const one of value) changed.append(key, one);
  return changed;
}
