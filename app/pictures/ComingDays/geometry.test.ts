import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { comingGeometry, type ComingEvent } from "./geometry";

const [HOUR, DAY] = [3_600_000, 86_400_000];
const now = Date.UTC(2027, 4, 12, 8, 40);
const midnight = Date.UTC(2027, 4, 13);
const days = [0, 1, 2, 3, 4].map((ahead) => ({ at: midnight + ahead * DAY, name: `day ${ahead}` }));
const months = [{ at: Date.UTC(2027, 5, 1), name: "June" }];
const event = (at: number, changes: Partial<ComingEvent> = {}): ComingEvent => ({
  ...{ key: String(at), at, words: "look: 1 week", detail: "GR-1, room", to: "/watch", isLate: false },
  ...changes,
});
const drawn = (events: readonly ComingEvent[], restsUntil: number | null = null) =>
  comingGeometry({ width: 860, now, offset: 0, days, months, rows: [{ key: "a", name: "Green Room", events, restsUntil }] });

describe("the coming days", () => {
  it("today is wide, each of the next four days alike, and everything lies within", () => {
    const { ticks } = drawn([]);
    expect(ticks.map(({ name }) => name)).toEqual(["day 0", "day 1", "day 2", "day 3", "after that", "June"]);
    expect(ticks[0]!.x).toBeCloseTo(0.26 * 860, 6);
    for (let at = 1; at < 5; at += 1) expect(ticks[at]!.x - ticks[at - 1]!.x).toBeCloseTo(0.085 * 860, 6);
  });

  it("hours are those of the reader's clock, every four of them", () => {
    expect(drawn([]).hours.map(({ name }) => name)).toEqual(["16", "20"]);
    const earlier = days.map(({ at, name }) => ({ at: at - 2 * HOUR, name }));
    const ahead = comingGeometry({ width: 860, now, offset: 2 * HOUR, days: earlier, months, rows: [] });
    expect(ahead.hours.map(({ name }) => name)).toEqual(["16", "20"]);
    expect(ahead.hours[0]!.x).toBeLessThan(drawn([]).hours[0]!.x);
  });

  it("what has no room for a label joins the one before, which says how many", () => {
    const { labels } = drawn([event(midnight + HOUR), event(midnight + 2 * HOUR), event(midnight + 40 * DAY)]).rows[0]!;
    expect(labels.map(({ detail, others }) => [detail, others.length])).toEqual([
      ["and 1 more", 1],
      ["GR-1, room", 0],
    ]);
  });

  it("a rest ends where its moment lies", () => {
    const { rest } = drawn([], midnight + DAY).rows[0]!;
    expect(rest).toBeCloseTo((0.26 + 0.085) * 860, 6);
  });

  it("later lies further right, no label leaves the picture, and none is lost", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 120 * 24 }), { maxLength: 20 }), (hours) => {
        const events = hours.map((hour, at) => event(now + hour * HOUR, { key: String(at) }));
        const { labels } = drawn(events).rows[0]!;
        expect(labels.reduce((sum, { others }) => sum + 1 + others.length, 0)).toBe(events.length);
        for (const [at, { mark, x, isEnd }] of labels.entries()) {
          expect(mark).toBeGreaterThanOrEqual(0);
          expect(mark).toBeLessThanOrEqual(860);
          expect(isEnd ? x < mark : x > mark).toBe(true);
          if (at > 0) expect(mark).toBeGreaterThanOrEqual(labels[at - 1]!.mark);
        }
      }),
    );
  });
});
