import { createHash, randomBytes } from "node:crypto";
import { Refusal } from "@tensidrum/core/quantities";
import { dropFeed, feedSince, keepFeed, makerOfFeed } from "../../db/makers/queries.server";
import { atWorkplace, currentMakerId, database, workplace } from "../../db/workplace.server";
import { here, isoToday, writtenShortDay } from "../frame/dates.server";
import { calendarAnswer } from "../frame/calendar.server";
import { openAgenda } from "./agenda.server";

const DAYS_OF_WEEK = 7;
/** Letters of an address that nobody guesses. */
const TOKEN_BYTES = 24;

export interface DaysAsked {
  readonly span: "week" | "month";
  /** A day of it; empty for today. */
  readonly of: string;
}

/** A week or a month with what falls on each of its days; what is late stands today. */
export async function openDays({ span, of }: DaysAsked) {
  const today = isoToday();
  const chosen = here(of === "" ? today : of);
  // Weeks begin on Monday.
  const monday = (day: typeof chosen) => day.subtract((day.day() + DAYS_OF_WEEK - 1) % DAYS_OF_WEEK, "day");
  const first = span === "week" ? monday(chosen) : monday(chosen.startOf("month"));
  const last = span === "week" ? first.add(DAYS_OF_WEEK - 1, "day") : chosen.endOf("month");
  const count = Math.ceil((last.diff(first, "day") + 1) / DAYS_OF_WEEK) * DAYS_OF_WEEK;
  const { items } = await openAgenda();
  const shown = items.map(({ key, on, words, detail, to, isLate, name }) => ({
    key,
    on: on < today ? today : on,
    words,
    detail,
    to,
    isLate,
    name,
  }));
  const days = Array.from({ length: count }, (_, at) => {
    const day = first.add(at, "day");
    const iso = day.format("YYYY-MM-DD");
    return {
      ...{ iso, name: day.format("ddd D"), long: day.format("dddd D MMMM"), isToday: iso === today },
      isOutside: span === "month" && day.month() !== chosen.month(),
      items: shown.filter(({ on }) => on === iso),
    };
  });
  const step = (by: 1 | -1): string => chosen.add(by, span).format("YYYY-MM-DD");
  const feed = await feedSince(database(), currentMakerId());
  return {
    span,
    title: span === "week" ? `${first.format("D MMM")} to ${last.format("D MMM YYYY")}` : chosen.format("MMMM YYYY"),
    ...{ before: step(-1), after: step(1), days, hasItems: days.some((day) => day.items.length > 0) },
    feedSince: feed === null ? null : writtenShortDay(feed),
  };
}

export type OpenDays = Awaited<ReturnType<typeof openDays>>;

const hashOf = (token: string): string => createHash("sha256").update(token).digest("hex");

/** A new address for a calendar, which takes the place of an earlier one; told once, kept only as its hash. */
export async function newFeed(): Promise<string> {
  const token = randomBytes(TOKEN_BYTES).toString("base64url");
  await keepFeed(database(), currentMakerId(), hashOf(token));
  return `/days/feed/${token}.ics`;
}

/** The address of the calendar answers no more. */
export async function revokeFeed(): Promise<void> {
  await dropFeed(database(), currentMakerId());
}

/** The coming days as a calendar. */
export async function daysCalendar(): Promise<Response> {
  const entries = (await openAgenda()).items.map(({ key, kind, on, at, name, words, detail }) => {
    const moment = new Date(at).toISOString();
    return {
      id: key,
      when: kind === "rest" ? { from: moment, until: moment } : on,
      summary: `${name}: ${words}`,
      description: detail,
    };
  });
  return calendarAnswer({ file: "days.ics", name: "Coming days of the bench", part: "days", entries });
}

/** The same for whoever has the address. @throws Refusal where it was revoked or never was */
export async function feedCalendar(token: string): Promise<Response> {
  const makerId = await makerOfFeed(database(), hashOf(token));
  if (makerId === undefined)
    throw new Refusal("not-found", "This calendar address answers no more.", "Make a new one on the page of the coming days.");
  return atWorkplace({ ...workplace(), makerId }, daysCalendar);
}
