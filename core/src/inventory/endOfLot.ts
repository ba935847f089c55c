import dayjs from "dayjs";

/** The dates of a lot or of a filled container, written 2026-11-26. */
export interface KeepingDates {
  /** As printed, or as it was made; null where it does not say. */
  readonly endsOn: string | null;
  /** Null while it is closed. */
  readonly openedOn: string | null;
  /** So long it keeps once it is open, days; null where nobody says. */
  readonly afterOpeningDays: number | null;
}

/**
 * The last day something is to be used: its own end or so many days after it was opened, whichever comes first. Opened on
 * 1 March with 90 days it ends on 30 May, unless its label says April. Null where neither is known.
 */
export function endOfLot({ endsOn, openedOn, afterOpeningDays }: KeepingDates): string | null {
  if (openedOn === null || afterOpeningDays === null) return endsOn;
  const opened = dayjs(openedOn).add(afterOpeningDays, "day").format("YYYY-MM-DD");
  return endsOn !== null && endsOn < opened ? endsOn : opened;
}
