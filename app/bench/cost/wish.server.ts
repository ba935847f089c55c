import type { PriceWish } from "@tensidrum/core/packaging";
import { MOST_PRICE, readNumber } from "@tensidrum/core/quantities";
import { group, text, type TypedOf } from "../../frame/fields.server";
import type { FieldProblem } from "../../frame/formAnswer";

const cell = text(40);

/** What makes a price of a cost, as typed. */
export const wishForm = group({ label: cell, margin: cell, tax: cell, shop: cell });
export type TypedWish = TypedOf<typeof wishForm>;

export const noWish: PriceWish = { labelEach: 0, marginPercent: 0, taxPercent: 0, shopPer100Grams: null };

export function typedWish({ labelEach, marginPercent, taxPercent, shopPer100Grams }: PriceWish): TypedWish {
  const said = (value: number): string => (value === 0 ? "" : String(value));
  return { label: said(labelEach), margin: said(marginPercent), tax: said(taxPercent), shop: said(shopPer100Grams ?? 0) };
}

/** Reads what is settled; an empty cell is 0, or for the shop none. */
export function readWish(typed: TypedWish): { readonly wish: PriceWish; readonly problems: readonly FieldProblem[] } {
  const problems: FieldProblem[] = [];
  const number = (field: keyof TypedWish, most: number, message: string): number => {
    if (typed[field] === "") return 0;
    const read = readNumber(typed[field].replace(/\s*%$/, ""));
    if (read.ok && read.value >= 0 && read.value <= most) return read.value;
    problems.push({ field, message });
    return 0;
  };
  const money = "Give the number alone, 12.50 or 12,50: the currency stands in Settings.";
  const shop = number("shop", MOST_PRICE, money);
  const wish = {
    labelEach: number("label", MOST_PRICE, money),
    marginPercent: number("margin", 99, "Of the price, from 0 to 99 %."),
    taxPercent: number("tax", 100, "From 0 to 100 %."),
    shopPer100Grams: shop === 0 ? null : shop,
  };
  return { wish, problems };
}
