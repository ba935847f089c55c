import dayjs from "dayjs";

/** A lot as the shelf sees it. Dates are written 2026-11-26. */
export interface StandingLot {
  readonly leftGrams: number;
  readonly packGrams: number;
  readonly endsOn: string | null;
  /** A solution, a plant water or another thing made here: past its day it is discarded. */
  readonly isMadeHere: boolean;
}

export type Concern = "discard" | "overdrawn" | "ended" | "ends" | "low";

export interface AttentionItem<Lot> {
  readonly lot: Lot;
  readonly concern: Concern;
  /** Days until it ends, negative when it has; null for one that is low. */
  readonly days: number | null;
}

/** An ending is worth a thought so many days ahead. Ours: two months, time to use up or to buy. */
const AHEAD_DAYS = 60;
/** Below this part of its pack a lot is low, %. Ours. */
const LOW_PERCENT = 10;

const URGENCY: readonly Concern[] = ["discard", "overdrawn", "ended", "ends", "low"];

/**
 * What on the shelf needs attention, the most urgent first: what was made here and is past its day, lots of which more was
 * used than they held, other lots past their end, lots that end within 60 days, lots down to a tenth of their pack. One that is used up wants none. `today` is written 2026-11-26.
 */
export function needsAttention<Lot extends StandingLot>(lots: readonly Lot[], today: string): readonly AttentionItem<Lot>[] {
  return lots
    .filter(({ leftGrams }) => leftGrams !== 0)
    .flatMap((lot): AttentionItem<Lot>[] => {
      if (lot.leftGrams < 0) return [{ lot, concern: "overdrawn", days: null }];
      const days = lot.endsOn === null ? null : dayjs(lot.endsOn).diff(dayjs(today), "day");
      const past = lot.isMadeHere ? "discard" : "ended";
      if (days !== null && days <= AHEAD_DAYS) return [{ lot, concern: days < 0 ? past : "ends", days }];
      return lot.leftGrams <= (lot.packGrams * LOW_PERCENT) / 100 ? [{ lot, concern: "low", days: null }] : [];
    })
    .sort((a, b) => URGENCY.indexOf(a.concern) - URGENCY.indexOf(b.concern) || (a.days ?? 0) - (b.days ?? 0));
}
