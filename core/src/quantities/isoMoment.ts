const MOMENT = /^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):[0-5]\d(?::[0-5]\d(?:\.\d{1,9})?)?(?:Z|[+-](?:0\d|1[0-4]):[0-5]\d)$/;
const FIRST_YEAR = 1970;
const LAST_YEAR = 2999;
const LEAP_EVERY = { year: 4, century: 100, fourCenturies: 400 };
const DAYS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Whether a text is a moment as ISO 8601 writes it, on a day there is, from 1970 on: 2026-11-29T12:00:00.000Z. */
export function isIsoMoment(text: string): boolean {
  const day = MOMENT.exec(text)?.[1];
  return day !== undefined && isCalendarDay(day);
}

/** Whether there is such a day, written 2026-11-29; the 31st of April and the 29th of February 2026 are none. */
export function isCalendarDay(text: string): boolean {
  const [, years = "", months = "", days = ""] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(text) ?? [];
  const [year, month, day] = [Number(years), Number(months), Number(days)];
  if (!(year >= FIRST_YEAR && year <= LAST_YEAR)) return false;
  const isLeap = year % LEAP_EVERY.year === 0 && (year % LEAP_EVERY.century !== 0 || year % LEAP_EVERY.fourCenturies === 0);
  const last = month === 2 && isLeap ? 29 : (DAYS[month - 1] ?? 0);
  return day >= 1 && day <= last;
}
