import dayjs from "dayjs";
import timezone from "dayjs/plugin/timezone";
import utc from "dayjs/plugin/utc";
import { rightNow, workplace } from "../../db/workplace.server";

dayjs.extend(utc);
dayjs.extend(timezone);

/** A calendar day such as 2027-03-31, or a moment. */
export type Dated = Date | string;

const ISO_DAY = /^\d{4}-\d{2}-\d{2}$/;

/** A calendar day stays what it is; a moment stands in the reader's time zone. */
export function here(dated: Dated = rightNow()): dayjs.Dayjs {
  return typeof dated === "string" && ISO_DAY.test(dated) ? dayjs(dated) : dayjs(dated).tz(workplace().zone);
}

/** 2026-11-29 where the reader is. */
export function isoToday(): string {
  return here().format("YYYY-MM-DD");
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
  return moment.isSame(here(), "day") ? moment.format("HH:mm") : moment.format("ddd D MMM, HH:mm");
}
