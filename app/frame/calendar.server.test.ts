import { afterEach, describe, expect, it, vi } from "vitest";
import { calendarText, type Calendar } from "./calendar.server";

const look = { id: "look", when: "2027-03-31", summary: "Look at LD-7: a week, at room temperature" };
const rest = { id: "rest", when: { from: "2027-03-31T22:30:00Z", until: "2027-03-31T23:00:00Z" }, summary: "Rest is over" };
const calendar = (over: Partial<Calendar> = {}): Calendar => ({
  file: "days.ics",
  name: "Days",
  part: "test",
  entries: [look, rest],
  ...over,
});

const linesOf = (text: string): readonly string[] => text.replaceAll("\r\n ", "").split("\r\n");

describe("a calendar file", () => {
  const { TZ } = process.env;
  afterEach(() => {
    vi.useRealTimers();
    if (TZ === undefined) delete process.env["TZ"];
    else process.env["TZ"] = TZ;
  });

  it.each(["Pacific/Auckland", "Europe/Berlin", "UTC", "America/Los_Angeles"])(
    "of a server in %s has each day as that day, and each moment as that moment",
    (zone) => {
      process.env["TZ"] = zone;
      // The zone is really in force: noon of a day is told by another offset.
      expect(new Date("2027-03-31T12:00:00Z").getHours()).toBe(
        { Auckland: 1, Berlin: 14, UTC: 12, Los_Angeles: 5 }[zone.split("/").at(-1) ?? ""],
      );
      const lines = linesOf(calendarText(calendar({ name: `Days in ${zone}` })));
      expect(lines).toContain("DTSTART;VALUE=DATE:20270331");
      expect(lines).toContain("DTSTART:20270331T223000Z");
      expect(lines).toContain("DTEND:20270331T230000Z");
    },
  );

  it("rings where it is asked to, and nowhere else", () => {
    const text = calendarText(calendar({ entries: [look, { ...rest, reminder: "The bath rests" }] }));
    expect(text.match(/BEGIN:VALARM/g)).toHaveLength(1);
    expect(linesOf(text)).toContain("DESCRIPTION:The bath rests");
  });

  it("is the same text as long as nothing in it changes, and another one as soon as anything does", () => {
    vi.useFakeTimers({ now: new Date("2027-03-01T12:00:00Z") });
    const first = calendarText(calendar());
    expect(linesOf(first)).toContain("DTSTAMP:20270301T120000Z");
    vi.setSystemTime(new Date("2027-03-02T12:00:00Z"));
    expect(calendarText(calendar())).toBe(first);
    const moved = calendarText(calendar({ entries: [{ ...look, when: "2027-04-01" }, rest] }));
    expect(linesOf(moved)).toContain("DTSTART;VALUE=DATE:20270401");
    expect(linesOf(moved)).not.toContain("DTSTART;VALUE=DATE:20270331");
  });

  it("is kept for the calendars asked for last, and the others are written again", () => {
    vi.useFakeTimers({ now: new Date("2027-03-01T12:00:00Z") });
    const stampOf = (name: string): string | undefined =>
      linesOf(calendarText(calendar({ name }))).find((line) => line.startsWith("DTSTAMP"));
    stampOf("first");
    stampOf("second");
    for (let other = 0; other < 14; other += 1) stampOf(`other ${other}`);
    vi.setSystemTime(new Date("2027-03-02T12:00:00Z"));
    expect(stampOf("first")).toBe("DTSTAMP:20270301T120000Z");
    // One more than are kept: the one not asked for longest goes.
    stampOf("one more");
    expect([stampOf("first"), stampOf("second")]).toEqual(["DTSTAMP:20270301T120000Z", "DTSTAMP:20270302T120000Z"]);
  });

  it("keeps a word that would end a line as text", () => {
    const lines = linesOf(calendarText(calendar({ entries: [{ ...look, summary: "a\r\nEND:VCALENDAR" }] })));
    expect(lines.filter((line) => line === "END:VCALENDAR")).toHaveLength(1);
  });
});
