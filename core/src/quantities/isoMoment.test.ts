import { describe, expect, it } from "vitest";
import { isCalendarDay, isIsoMoment } from "./isoMoment.ts";

describe("moments", () => {
  it.each([
    "2026-11-29T12:00:00.000Z",
    "2026-11-29T12:00Z",
    "2026-11-29T23:59:59+02:00",
    "2024-02-29T00:00:00Z",
    "2000-02-29T00:00:00Z",
    "1970-01-01T00:00:00Z",
  ])("%s is one", (text) => {
    expect(isIsoMoment(text)).toBe(true);
  });

  it.each([
    ["a day that is none", "2026-02-29T12:00:00Z"],
    ["the 31st of April", "2026-04-31T12:00:00Z"],
    ["a century without a leap day", "2100-02-29T12:00:00Z"],
    ["month 13", "2026-13-01T12:00:00Z"],
    ["day 0", "2026-01-00T12:00:00Z"],
    ["hour 24", "2026-11-29T24:00:00Z"],
    ["minute 60", "2026-11-29T12:60:00Z"],
    ["year 0000", "0000-01-01T00:00:00Z"],
    ["a year of five digits", "+12026-01-01T00:00:00Z"],
    ["no zone", "2026-11-29T12:00:00"],
    ["words", "yesterday"],
    ["a zone of 25 hours", "2026-11-29T12:00:00+25:00"],
  ])("%s is none: %s", (_, text) => {
    expect(isIsoMoment(text)).toBe(false);
  });

  it("days of the calendar", () => {
    expect(["2026-11-30", "2028-02-29", "2999-12-31"].every(isCalendarDay)).toBe(true);
    expect(["2026-11-31", "1969-12-31", "3000-01-01", "0000-00-00", "2026-1-1", ""].some(isCalendarDay)).toBe(false);
  });
});
