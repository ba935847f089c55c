import { randomNormal, randomLcg } from "d3-random";
import { describe, expect, it } from "vitest";
import { ageingFactor } from "./ageing.ts";
import { alarmDays, trendAt, trendOf } from "./trend.ts";

const falling = [
  { day: 0, value: 5.2 },
  { day: 7, value: 5.1 },
  { day: 14, value: 5.0 },
];

describe("a trend", () => {
  it("5.20, 5.10 and 5.00 on days 0, 7 and 14 fall by 0.0143 a day and meet 4.88 on day 23", () => {
    const trend = trendOf(falling, 0.001)!;
    expect(trend.kind).toBe("straight");
    expect(trend.perDay).toBeCloseTo(-0.1 / 7, 12);
    expect(trendAt(trend, 21).value).toBeCloseTo(4.9, 12);
    expect(alarmDays(trend, { low: 4.88, high: 5.48 }, { from: 14, until: 700 }).likely).toBe(23);
  });

  it("that falls by the same percentage is exponential: 8, 4, 2 halve in ten days", () => {
    const trend = trendOf(
      [0, 10, 20].map((day) => ({ day, value: 8 * 2 ** (-day / 10) })),
      0.01,
    )!;
    expect(trend.kind).toBe("exponential");
    expect(trendAt(trend, 30).value).toBeCloseTo(1, 12);
  });

  it("of two days has no direction, and one that reaches 0 is straight", () => {
    expect(trendOf(falling.slice(0, 2), 0.03)).toBeNull();
    expect(trendOf([...falling.slice(0, 2), { day: 7, value: 5 }], 0.03)).toBeNull();
    expect(
      trendOf(
        [0, 10, 20].map((day) => ({ day, value: day / 10 })),
        0.2,
      ),
    ).toMatchObject({ kind: "straight", perDay: 0.1 });
  });

  it("is less sure the further it looks, and never because three readings happen to lie on a line", () => {
    const trend = trendOf(falling, 0.03)!;
    const roomAt = (day: number) => trendAt(trend, day).high - trendAt(trend, day).low;
    expect(roomAt(40)).toBeGreaterThan(roomAt(14));
    expect(trend.spread).toBeGreaterThan(0.02);
  });

  it("that stays meets no alarm", () => {
    const flat = [0, 10, 20, 40, 80].map((day) => ({ day, value: 5 }));
    expect(alarmDays(trendOf(flat, 0.005)!, { low: 4.7, high: 5.3 }, { from: 80, until: 365 })).toEqual({
      earliest: null,
      likely: null,
      latest: null,
    });
  });

  it("keeps what it promises: of batches that drift at their own pace, the alarm comes within its range four times of five", () => {
    const source = randomLcg(0.25);
    const normal = randomNormal.source(source);
    const [pace, scatter] = [normal(0.03, 0.006), normal(0, 0.025)];
    const days = [0, 1, 2, 7, 14, 28];
    let [inside, told] = [0, 0];
    for (let batch = 0; batch < 600; batch += 1) {
      const fall = Math.max(0.012, pace()) / 7;
      const truth = (day: number) => 5.6 - fall * 7 * day * 0.55;
      const trend = trendOf(
        days.map((day) => ({ day, value: truth(day) + scatter() })),
        0.02,
      )!;
      const band = { low: truth(0) - 0.55, high: 9 };
      const real = 0.55 / (fall * 7 * 0.55);
      if (real <= 28) continue;
      const { earliest, latest } = alarmDays(trend, band, { from: 0, until: 3000 });
      told += 1;
      if (earliest !== null && earliest <= real + 1 && (latest === null || latest >= real - 1)) inside += 1;
    }
    expect(told).toBeGreaterThan(400);
    expect(inside / told).toBeGreaterThan(0.75);
    expect(inside / told).toBeLessThan(0.97);
  });
});

describe("warm against room", () => {
  const at = (perDay: number, value = 5) => [0, 7, 14, 28].map((day) => ({ day, value: value - perDay * day }));

  it("is four times without anything to go by, between half and double of it", () => {
    const { factor, low, high, isMeasured } = ageingFactor(null, null);
    expect([factor, isMeasured]).toEqual([4, false]);
    expect(low).toBeGreaterThan(1.5);
    expect(high).toBeLessThan(10);
  });

  it("moves towards what both samples do, the more the surer they are", () => {
    const room = trendOf(at(0.004), 0.005);
    const sure = ageingFactor(room, trendOf(at(0.008), 0.005));
    expect(sure.isMeasured).toBe(true);
    expect(sure.factor).toBeGreaterThan(1.9);
    expect(sure.factor).toBeLessThan(3);
    const unsure = ageingFactor(trendOf(at(0.004), 0.05), trendOf(at(0.008), 0.05));
    expect(Math.abs(unsure.factor - 4)).toBeLessThan(Math.abs(sure.factor - 4));
  });

  it("stays the guess where they move opposite ways", () => {
    expect(ageingFactor(trendOf(at(-0.01), 0.005), trendOf(at(0.01), 0.005)).isMeasured).toBe(false);
  });
});
