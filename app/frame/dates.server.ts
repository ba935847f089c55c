import dayjs from "dayjs";
import utc from "dayjs/plugin/utc";
import { rightNow, workplace } from "../../db/workplace.server";
import { offsetMinutes } from "./offsetMinutes";

dayjs.extend(utc);

/** A calendar day such as 2027-03-31, or a moment. */
export type Dated = Date | string;

const ISO_DAY = /^\d{4}-\d{2}-\d{2}$/;

/**
 * What the reader's clock and calendar show at a moment, or at the beginning of a calendar day. It is written down as if it
 * were UTC: days are added and counted by the calendar, and neither a change of the clocks nor the server's own zone moves
 * them. Which moment it is, `momentOf` tells.
 */
export function here(dated: Dated = rightNow()): dayjs.Dayjs {
  if (typeof dated === "string" && ISO_DAY.test(dated)) return dayjs.utc(dated);
  const moment = dayjs.utc(dated);
  return moment.isValid() ? moment.add(offsetMinutes(workplace().zone, moment.valueOf()), "minute") : moment;
}

/** The moment at which the reader's clock shows this; a time the clocks leave out is taken an hour on. */
export function momentOf(shown: dayjs.Dayjs): Date {
  const { zone } = workplace();
  const less = (at: dayjs.Dayjs): dayjs.Dayjs => shown.subtract(offsetMinutes(zone, at.valueOf()), "minute");
  const roughly = less(shown);
  const moment = less(roughly);
  const isShown = here(moment.toDate()).valueOf() === shown.valueOf();
  return new Date(isShown ? moment.valueOf() : Math.max(roughly.valueOf(), moment.valueOf()));
}

/** 2026-11-29, as the day is where the reader is. */
export function isoDay(dated: Dated): string {
  return here(dated).format("YYYY-MM-DD");
}

/** The day it is where the reader is. */
export function isoToday(): string {
  return isoDay(rightNow());
}

/** Calendar days from one day to another where the reader is; a change of the clocks between them takes none away. */
export function daysBetween(from: Dated, to: Dated): number {
  return here(to).startOf("day").diff(here(from).startOf("day"), "day");
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
