import { written, writtenMassIn } from "@tensidrum/core/quantities";
import { useRouteLoaderData } from "react-router";

export interface Units {
  /** As the maker writes it; empty where they never said. */
  readonly currency: string;
  readonly massUnit: "g" | "kg" | "oz";
}

export const usualUnits: Units = { currency: "", massUnit: "g" };

/** Writes amounts of the shelf and money in the maker's own units. */
export function useUnits() {
  const { units } = useRouteLoaderData<{ readonly units: Units }>("root") ?? { units: usualUnits };
  return {
    ...units,
    mass: (grams: number): string => writtenMassIn(grams, units.massUnit),
    money: (value: number): string => moneyWords(value, units),
  };
}

/** An amount of money: "12.40 €", or the number alone where no currency was said. */
export function moneyWords(value: number, { currency }: Pick<Units, "currency">): string {
  return currency === "" ? written(value, 2) : `${written(value, 2)} ${currency}`;
}
