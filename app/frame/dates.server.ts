import dayjs from "dayjs";
import utc from "dayjs/plugin/utc";
import { rightNow, workplace } from "../../db/workplace.server";
import { offsetMinutes } from "./offsetMinutes";

dayjs.extend(utc);

/** A calendar day such as 2027-03-31, or a moment. */
export type Dated = Date | string;

const ISO_DAY = /^\d{4}-\d{2}-\d{2}$/;

/**
 * A moment where the reader is; of a calendar day its beginning there. It keeps the offset of that moment, so days are added by
 * the calendar and hours by the clock of that day.
 */
export function here(dated: Dated = rightNow()): dayjs.Dayjs {
  const { zone } = workplace();
  if (typeof dated === "string" && ISO_DAY.test(dated)) {
    const day = dayjs.utc(dated);
    const roughly = day.subtract(offsetMinutes(zone, day.valueOf()), "minute");
    const offset = offsetMinutes(zone, roughly.valueOf());
    return day.subtract(offset, "minute").utcOffset(offset);
  }
  const moment = dayjs(dated);
  return moment.isValid() ? moment.utcOffset(offsetMinutes(zone, moment.valueOf())) : moment;
}

/** 2026-11-29, as the day is where the reader is. */
export function isoDay(dated: Dated): string {
  return here(dated).format("YYYY-MM-DD");
}

export function isoToday(): string {
  return isoDay(rightNow());
}

export function isToday(dated: Dated): boolean {
  return isoDay(dated) === isoToday();
}

/** 29 Nov 2026 */
export function writtenDay(dated: Dated): string {
  return here(dated).format("D MMM YYYY");
}

/** 29 November 2026 */
export function writtenLongDay(dated: Dated = rightNow()): string {
  return here(dated).format("D MMMM YYYY");
}

/** 29 Nov */
export function writtenShortDay(dated: Dated): string {
  return here(dated).format("D MMM");
}

/** 29 Nov 2026, 14:05 */
export function writtenMoment(dated: Dated): string {
  return here(dated).format("D MMM YYYY, HH:mm");
}

/** 14:05 today, else Mon 30 Nov, 14:05 */
export function writtenUntil(dated: Dated): string {
  const moment = here(dated);
  return isToday(dated) ? moment.format("HH:mm") : moment.format("ddd D MMM, HH:mm");
}
