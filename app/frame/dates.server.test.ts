import { describe, expect, it } from "vitest";
import type { Database } from "../../db/client.server";
import { appStateOn, atWorkplace } from "../../db/workplace.server";
import { here, isoToday, isToday, writtenMoment, writtenUntil } from "./dates.server";
import { offsetMinutes } from "./offsetMinutes";

/** What a reader in a zone sees at a moment. */
function read<Result>(zone: string, now: string, job: () => Result): Result {
  return atWorkplace({ ...appStateOn({} as Database), makerId: "", zone, clock: () => new Date(now) }, job);
}

describe("how far a clock is ahead of UTC", () => {
  it.each([
    ["Europe/Berlin", "2026-03-29T00:59:59Z", 60],
    ["Europe/Berlin", "2026-03-29T01:00:00Z", 120],
    ["America/St_Johns", "2026-01-05T12:00:00Z", -210],
    ["Asia/Kathmandu", "2026-06-01T00:00:00Z", 345],
    ["UTC", "2026-06-01T00:00:00Z", 0],
  ])("in %s at %s is %d minutes", (zone, at, minutes) => {
    expect(offsetMinutes(zone, Date.parse(at))).toBe(minutes);
  });

  it("of a zone that does not exist is told", () => {
    expect(() => offsetMinutes("Nowhere/Lake", 0)).toThrow(RangeError);
  });
});

describe("a date where the reader is", () => {
  it("stands in the reader's zone, on the other side of midnight too", () => {
    expect(read("Pacific/Auckland", "2026-11-29T12:30:00Z", () => [isoToday(), writtenMoment("2026-11-29T12:30:00Z")])).toEqual([
      "2026-11-30",
      "30 Nov 2026, 01:30",
    ]);
  });

  it("a calendar day begins at the reader's midnight, whether or not clocks change on it", () => {
    const beginnings = ["2026-03-29", "2026-03-30", "2026-10-25", "2026-10-26"].map((day) =>
      read("Europe/Berlin", "2026-11-29T12:00:00Z", () => here(day).toISOString()),
    );
    expect(beginnings).toEqual([
      "2026-03-28T23:00:00.000Z",
      "2026-03-29T22:00:00.000Z",
      "2026-10-24T22:00:00.000Z",
      "2026-10-25T23:00:00.000Z",
    ]);
  });

  it("days are counted by the calendar over a change of clocks", () => {
    const days = read("Europe/Berlin", "2026-11-01T12:00:00Z", () => [
      here("2026-10-24").add(3, "day").format("YYYY-MM-DD"),
      here("2026-10-27").startOf("day").diff(here("2026-10-24").startOf("day"), "day"),
      here("2026-03-30").startOf("day").diff(here("2026-03-28").startOf("day"), "day"),
    ]);
    expect(days).toEqual(["2026-10-27", 3, 2]);
  });

  it("of today only the time is told", () => {
    const told = (at: string) => read("Europe/Berlin", "2026-11-29T22:30:00Z", () => [isToday(at), writtenUntil(at)]);
    expect(told("2026-11-29T22:45:00Z")).toEqual([true, "23:45"]);
    expect(told("2026-11-29T23:00:00Z")).toEqual([false, "Mon 30 Nov, 00:00"]);
  });
});
