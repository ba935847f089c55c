import ical, { ICalAlarmType } from "ical-generator";
import { fileAnswer } from "./fileAnswer.server";

export interface CalendarEntry {
  readonly id: string;
  /** A calendar day such as 2027-03-31, the same day wherever it is read; or from one moment until another. */
  readonly when: string | { readonly from: string; readonly until: string };
  readonly summary: string;
  readonly description?: string | null;
  /** Rings when it begins and says this. */
  readonly reminder?: string;
}

export interface Calendar {
  readonly file: string;
  readonly name: string;
  /** The part of the application it comes from; calendars of different parts are kept apart by it. */
  readonly part: string;
  readonly entries: readonly CalendarEntry[];
}

/** A calendar application asks every few minutes; what it asked for last is seldom different and slow to write. */
const MOST_KEPT = 16;
const kept = new Map<string, string>();

/** A calendar as a file. */
export function calendarAnswer(calendar: Calendar): Response {
  return fileAnswer(calendarText(calendar), { type: "text/calendar; charset=utf-8", name: calendar.file });
}

/** The text of a calendar (RFC 5545); the same one as before where nothing in it changed. */
export function calendarText(calendar: Calendar): string {
  const key = JSON.stringify(calendar);
  const text = kept.get(key) ?? writeCalendar(calendar);
  kept.delete(key);
  kept.set(key, text);
  const [oldest] = kept.keys();
  if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
  return text;
}

function writeCalendar({ name, part, entries }: Calendar): string {
  const calendar = ical({ name, prodId: { company: "tensidrum", product: part, language: "EN" } });
  for (const { id, when, summary, description = null, reminder } of entries) {
    // Days are written by their UTC parts: midnight there is the day itself, wherever the server stands.
    const times =
      typeof when === "string"
        ? { allDay: true, start: new Date(`${when}T00:00:00Z`) }
        : { start: new Date(when.from), end: new Date(when.until) };
    const event = calendar.createEvent({ id, summary, description, ...times });
    if (reminder !== undefined) event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: reminder });
  }
  return calendar.toString();
}
