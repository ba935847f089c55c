import { storages } from "@tensidrum/core/stability";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { DRIFT, driftGeometry, markOf, NARROW_DRIFT } from "./geometry";

const days = [1, 2, 7, 14, 28, 56, 84];

describe("readings of a batch over days", () => {
  it("later is further right and more is higher; early looks stand apart", () => {
    const points = [
      { day: 0, value: 5.2 },
      { day: 1, value: 5.1 },
      { day: 84, value: 5 },
    ];
    const [drawn] = driftGeometry({ series: [{ storage: "room", points }], band: null, trend: null, days }, DRIFT).series;
    const [first, second, third] = drawn?.points ?? [];
    expect(second!.x - first!.x).toBeGreaterThan(40);
    expect(second!.y).toBeGreaterThan(first!.y);
    expect(third!.x).toBeCloseTo(DRIFT.width - DRIFT.right, 0);
    expect(drawn?.end).toMatchObject({ value: 5, x: third!.x });
  });

  it("names of samples that end alike do not lie on each other", () => {
    const end = (storage: "room" | "warm" | "cold", value: number) => ({ storage, points: [{ day: 14, value }] });
    const { series } = driftGeometry(
      { series: [end("room", 5.12), end("warm", 4.9), end("cold", 5.13)], band: null, trend: null, days },
      DRIFT,
    );
    const ys = series.map(({ end: at }) => at?.y ?? 0).sort((a, b) => a - b);
    for (const [at, y] of ys.slice(1).entries()) expect(y - ys[at]!).toBeGreaterThanOrEqual(14.9);
  });

  it("a trend has a range around it, and ends where the last planned look is", () => {
    const trend = Array.from({ length: 200 }, (_, day) => ({ day, value: 5 - day / 100, low: 4.9 - day / 80, high: 5.1 - day / 120 }));
    const drawn = driftGeometry({ series: [], band: { low: 4.7, high: 5.3 }, trend, days }, DRIFT);
    expect(drawn.range?.endsWith("Z")).toBe(true);
    const ends = [...(drawn.trend ?? "").matchAll(/[ML]([\d.]+),/g)].map(([, x]) => Number(x));
    expect(Math.max(...ends)).toBeLessThanOrEqual(DRIFT.width - DRIFT.right);
  });

  it("what begins with nothing has no lower end, and its picture begins there", () => {
    const points = [
      { day: 0, value: 0 },
      { day: 7, value: 2 },
    ];
    const drawn = driftGeometry({ series: [{ storage: "warm", points }], band: { low: null, high: 5 }, trend: null, days }, DRIFT);
    expect(drawn.band?.low).toBeNull();
    expect(drawn.yTicks[0]?.value).toBe(0);
  });

  it("each way to keep a sample has a shape of its own", () => {
    expect(new Set(storages.map(markOf)).size).toBe(storages.length);
  });

  it.each([DRIFT, NARROW_DRIFT])("whatever is read lies inside the picture: %o", (frame) => {
    const point = fc.record({ day: fc.integer({ min: 0, max: 400 }), value: fc.double({ min: 0.001, max: 1000, noNaN: true }) });
    fc.assert(
      fc.property(fc.array(point, { maxLength: 8 }), (points) => {
        const { series, band } = driftGeometry(
          { series: [{ storage: "warm", points }], band: { low: 4, high: 6 }, trend: null, days },
          frame,
        );
        for (const { x, y } of series.flatMap(({ points: drawn }) => drawn)) {
          expect(x).toBeGreaterThanOrEqual(frame.left);
          expect(x).toBeLessThanOrEqual(frame.width - frame.right + 0.1);
          expect(y).toBeGreaterThanOrEqual(frame.top);
          expect(y).toBeLessThanOrEqual(frame.height - frame.bottom);
        }
        expect(band!.high).toBeLessThan(band!.low ?? -Infinity);
      }),
    );
  });
});
