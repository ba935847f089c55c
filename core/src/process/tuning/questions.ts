import dayjs from "dayjs";
import type { Span } from "../../library/material.ts";
import { writtenClock } from "../../quantities/written.ts";
import type { BatchState } from "../batch/batchState.ts";
import type { BatchEntry } from "../batch/entries.ts";
import { isRunning } from "../batch/waits.ts";

const FAR_FROM_LAST_PH = 2;
const TIMES_THE_ADVICE = 10;
const LEAST_WRONG_PH = 0.1;
const READ_AT_C: Span = { low: 20, high: 25 };

/** The mean error of a reading beside what was predicted, pH. */
const READING_NEAR_PH = 0.1;

/**
 * What to ask before an entry that is likely a slip: a reading 2 pH or more from the last that was not predicted, one
 * against the direction of the dose, one of a sample too cold or too warm, a dose of more than ten times the advice. Null when there is nothing to ask.
 */
export function questionOf(
  entry:
    | Pick<BatchEntry & { readonly kind: "ph-read" }, "kind" | "ph" | "temperatureC">
    | Pick<BatchEntry & { readonly kind: "dosed" }, "kind" | "grams">,
  {
    last,
    dosedKind,
    advisedGrams,
    predicted = null,
  }: {
    readonly last: number | null;
    readonly dosedKind: "acid" | "base" | null;
    readonly advisedGrams: number | null;
    /** Where the dose was said to bring it; null where nothing was said of it. */
    readonly predicted?: Span | null;
  },
): string | null {
  if (entry.kind === "dosed") {
    return advisedGrams !== null && advisedGrams > 0 && entry.grams > TIMES_THE_ADVICE * advisedGrams
      ? `${entry.grams} g is more than ten times what is advised, ${Number(advisedGrams.toPrecision(2))} g. Did it really go in?`
      : null;
  }
  const { temperatureC } = entry;
  if (temperatureC !== undefined && (temperatureC < READ_AT_C.low || temperatureC > READ_AT_C.high)) {
    return `The sample is at ${temperatureC} °C. A pH is read at ${READ_AT_C.low} to ${READ_AT_C.high} °C; let it come there. Does this one stand?`;
  }
  if (last === null) return null;
  const change = entry.ph - last;
  const isPredicted = predicted !== null && entry.ph >= predicted.low - READING_NEAR_PH && entry.ph <= predicted.high + READING_NEAR_PH;
  if (Math.abs(change) >= FAR_FROM_LAST_PH && !isPredicted) {
    return `${entry.ph} is ${Math.abs(change).toFixed(1)} away from the last reading, ${last}. Rinse the probe and look again. Does it stand?`;
  }
  const isWrongWay = (dosedKind === "acid" && change > LEAST_WRONG_PH) || (dosedKind === "base" && change < -LEAST_WRONG_PH);
  return isWrongWay
    ? `After ${dosedKind === "acid" ? "an acid" : "a base"} the pH went from ${last} to ${entry.ph}, the wrong way. Stir, rinse, read again. Does it stand?`
    : null;
}

/** What must have rested before a reading says what it comes to. */
const RESTS_BEFORE = {
  "ph-read": ["dosed"],
  "sample-read": ["sample-dosed"],
  "thickness-read": ["salted", "thickened"],
  thickened: ["thickened"],
} as const satisfies Partial<Record<BatchEntry["kind"], readonly BatchEntry["kind"][]>>;

/**
 * What to ask before a reading, or another part of a late thickener, while what was added last still rests: no reading
 * would show what the addition comes to, and the advice would be computed from it. Null when all of it has rested, or its clock was ended.
 * @param now ISO in UTC
 */
export function questionOfHaste(
  kind: keyof typeof RESTS_BEFORE,
  { standing, waits }: Pick<BatchState, "standing" | "waits">,
  now: string,
): string | null {
  const rests: readonly BatchEntry["kind"][] = RESTS_BEFORE[kind];
  const last = standing.findLast((entry) => rests.includes(entry.kind));
  const wait = waits.find((one) => one.id === last?.id && isRunning(one, now));
  if (wait === undefined) return null;
  const left = writtenClock(dayjs(wait.until).diff(now));
  return `${wait.text}: it rests for another ${left}, and until then no reading shows what it comes to. ${kind === "thickened" ? "Add the next part" : "Take it"} all the same?`;
}
