import fc from "fast-check";
import { afterEach, describe, expect, it } from "vitest";
import type { Database } from "../../db/client.server";
import { appStateOn, atWorkplace } from "../../db/workplace.server";
import { daysBetween, here, isoDay, isoToday, isToday, momentOf, writtenMoment, writtenUntil } from "./dates.server";
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
      read("Europe/Berlin", "2026-11-29T12:00:00Z", () => momentOf(here(day)).toISOString()),
    );
    expect(beginnings).toEqual([
      "2026-03-28T23:00:00.000Z",
      "2026-03-29T22:00:00.000Z",
      "2026-10-24T22:00:00.000Z",
      "2026-10-25T23:00:00.000Z",
    ]);
  });

  it("days are added by the calendar over a change of clocks", () => {
    const day = read("Europe/Berlin", "2026-11-01T12:00:00Z", () => here("2026-10-24").add(3, "day").format("YYYY-MM-DD"));
    expect(day).toBe("2026-10-27");
  });

  it("of today only the time is told", () => {
    const told = (at: string) => read("Europe/Berlin", "2026-11-29T22:30:00Z", () => [isToday(at), writtenUntil(at)]);
    expect(told("2026-11-29T22:45:00Z")).toEqual([true, "23:45"]);
    expect(told("2026-11-29T23:00:00Z")).toEqual([false, "Mon 30 Nov, 00:00"]);
  });
});

/** Clocks that stand at UTC for half of the year, north and south of the equator, ahead, behind, and never changed. */
const zones = ["Europe/London", "Atlantic/Azores", "Europe/Berlin", "America/New_York", "Pacific/Auckland", "Asia/Kathmandu", "UTC"];

const now = "2027-06-01T12:00:00Z";
const serversOwn = process.env["TZ"];
function restoreZone(): void {
  if (serversOwn === undefined) delete process.env["TZ"];
  else process.env["TZ"] = serversOwn;
}

/** So many days after 1 January 2026, a Thursday. */
const dayOf = (number: number): string => new Date(Date.UTC(2026, 0, 1) + number * 86_400_000).toISOString().slice(0, 10);

describe("days between", () => {
  afterEach(restoreZone);

  it.each([
    ["Europe/London", "2027-03-01", "2027-05-30", 90],
    ["Europe/London", "2027-10-01", "2027-11-01", 31],
    ["Europe/Berlin", "2026-03-28", "2026-03-30", 2],
    // Looked at in the morning after the evening it was made: the next day, though not a day later.
    ["Europe/London", "2027-03-27T21:00:00Z", "2027-03-28T06:00:00Z", 1],
    ["America/New_York", "2027-03-14T03:00:00Z", "2027-03-14T05:30:00Z", 1],
  ])("in %s from %s to %s are %d", (zone, from, to, days) => {
    expect(read(zone, now, () => daysBetween(from, to))).toBe(days);
  });

  it.each(["UTC", "Europe/London", "America/New_York", "Pacific/Auckland"])(
    "are as many as lie between them, in every zone and over every change of clocks, on a server in %s",
    (serverZone) => {
      process.env["TZ"] = serverZone;
      fc.assert(
        fc.property(fc.constantFrom(...zones), fc.nat(900), fc.integer({ min: -400, max: 400 }), (zone, from, days) => {
          expect(read(zone, now, () => daysBetween(dayOf(from), dayOf(from + days)))).toBe(days);
        }),
      );
    },
  );
});

describe("a calendar day", () => {
  afterEach(restoreZone);

  it.each(["UTC", "Europe/London", "America/New_York", "Pacific/Auckland"])(
    "is that day in every zone on a server in %s: as it is written, as it is counted on from, and as the moment it begins at",
    (serverZone) => {
      process.env["TZ"] = serverZone;
      const wrong = zones.flatMap((zone) =>
        Array.from({ length: 800 }, (_, number) => number).filter((number) => {
          const day = dayOf(number);
          return read(zone, now, () => {
            const begins = momentOf(here(day));
            const isRight = [
              isoDay(day) === day,
              isoDay(begins) === day,
              isoDay(new Date(begins.getTime() - 1)) === dayOf(number - 1),
              isoDay(momentOf(here(day).hour(12))) === day,
              here(day).add(100, "day").format("YYYY-MM-DD") === dayOf(number + 100),
              here(day).day() === (number + 4) % 7,
              momentOf(here(begins)).getTime() === begins.getTime(),
            ];
            return isRight.includes(false);
          });
        }),
      );
      expect(wrong).toEqual([]);
    },
  );
});
