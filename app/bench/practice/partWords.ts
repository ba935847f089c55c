import type { ScorePart } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";

interface Wanted {
  readonly corridor: { readonly low: number; readonly high: number };
  readonly target: number;
  /** As thick as the base can safely be brought, where that is less than the target; else the target. */
  readonly reachable: number;
}

/** What a part of the score measured, in words. */
export function partWords(
  { what, isTried, measured }: Pick<ScorePart, "what" | "isTried" | "measured">,
  { corridor, target, reachable }: Wanted,
): string {
  switch (what) {
    case "ph":
      return `True pH ${written(measured, 2)}, wanted ${corridor.low} to ${corridor.high}`;
    case "overshoot":
      if (!isTried) return "The pH was not adjusted";
      return measured <= 0 ? "The pH never went past its far edge" : `The pH went ${written(measured, 2)} past its far edge`;
    case "doses":
      return `${measured} ${measured === 1 ? "dose" : "doses"} of acid or base`;
    case "thickness":
      return `${written(measured, 2)} Pa·s, wanted ${written(target, 2)}${reachable < target ? `; salt brings this base to ${written(reachable, 2)}` : ""}`;
    case "pastPeak":
      if (!isTried) return "No salt was added";
      return measured <= 0 ? "The salt stayed in the safe part" : `The salt went ${written(measured, 2)} % past the safe part`;
    case "time":
      return `${written(measured, 0)} min of tuning${isTried ? "" : ", not to its end"}`;
  }
}
