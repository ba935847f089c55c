import { readNumber } from "@tensidrum/core/quantities";
import type { KnownPh, PrintedIngredient, PrintedList } from "@tensidrum/core/stability";
import type { OpenList } from "./list.server";

/** What the maker knows of a list beside the names. */
export interface KnownList {
  /** As typed, by the place of the name; empty where nothing is. */
  readonly pins: Readonly<Record<number, string>>;
  /** Place of the last name at or above 1 %; null where nobody said. */
  readonly after: number | null;
  /** As typed, %. */
  readonly dryMatter: string;
  /** As typed. */
  readonly ph: string;
  /** What cleans in it, % w/w, by what it is; null where anything may be. */
  readonly active: { readonly low: number; readonly high: number } | null;
}

/** Drying at home is so sure, % of the whole. */
const DRY_SPREAD = 1;
/** A pin is what somebody said, to its last digit. */
const PIN_SPREAD = 0.005;

/** A pin as a number; null where it is none. */
export function pinOf(typed: string | undefined): number | null {
  if (typed === undefined || typed.trim() === "") return null;
  const read = readNumber(typed.replace(/%\s*$/, ""));
  return read.ok && read.value >= 0 && read.value <= 100 ? read.value : null;
}

/** The pH that was read, with what the names bring; undefined where none was. */
export function phOf(names: OpenList["names"], typed: string): KnownPh | undefined {
  const measured = pinOf(typed);
  if (measured === null || measured > 14) return undefined;
  return { measured, acidity: names.flatMap(({ mayContain, acidity }) => (mayContain ? [] : [acidity])) };
}

/** A list to be read: the names in their order, those that may be in it left out. */
export function listOf(names: OpenList["names"], { pins, after, dryMatter, active }: KnownList): PrintedList {
  const certain = names.map((one, at) => ({ ...one, at })).filter(({ mayContain }) => !mayContain);
  const ingredients = certain.map(({ name, printedPercent, at }): PrintedIngredient => {
    const pin = pinOf(pins[at]) ?? printedPercent;
    if (pin === null) return { name };
    return { name, min: Math.max(0, pin * (1 - PIN_SPREAD)), max: Math.min(100, pin * (1 + PIN_SPREAD)) };
  });
  const dry = pinOf(dryMatter);
  const last = after === null || after >= ingredients.length - 1 ? null : after;
  const places = certain.flatMap(({ isCleanser }, place) => (isCleanser ? [place] : []));
  const together = active === null || places.length === 0 ? {} : { together: { ...active, places, what: "active matter" } };
  const broughtWater = certain.map((one) => one.broughtWater);
  return {
    ingredients,
    onePercentLineAfter: last,
    broughtWater,
    ...together,
    ...(dry === null ? {} : { dryMatter: { percent: dry, spread: DRY_SPREAD } }),
  };
}
