import { describe, expect, it } from "vitest";
import { movedSince, watchedAlarms, watchedReadings, watchedShelfLife, wayOn, type SampleLook } from "./watched.ts";

const nothing = { ph: null, viscosity: null, lab: null, sedimentMm: null, signs: [] } as const;
const look = (day: number, changes: Partial<SampleLook>): SampleLook => ({ ...nothing, storage: "room", day, ...changes });
const start = { ph: 5.2, viscosity: 2 };
const of = (looks: readonly SampleLook[]) => watchedReadings(start, looks, ["room", "warm"]);

describe("what is watched", () => {
  it("begins with what the batch was made with, and has its bounds from there", () => {
    const [ph, viscosity, colour, sediment] = of([look(2, { ph: 5.18 })]);
    expect(ph!.series).toEqual([
      {
        storage: "room",
        points: [
          { day: 0, value: 5.2 },
          { day: 2, value: 5.18 },
        ],
      },
      { storage: "warm", points: [{ day: 0, value: 5.2 }] },
    ]);
    expect([ph!.band?.low, ph!.band?.high]).toEqual([4.9, 5.5]);
    expect(viscosity!.band).toEqual({ low: 1.4, high: 2.6 });
    expect([colour!.band, sediment!.band]).toEqual([null, null]);
  });

  it("colour is the distance to the first photo, whichever sample it is of", () => {
    const lab = (b: number) => ({ l: 90, a: 0, b });
    const [, , colour] = of([look(1, { lab: lab(10) }), look(28, { storage: "warm", lab: lab(30) })]);
    expect(colour!.series[0]!.points).toEqual([{ day: 1, value: 0 }]);
    expect(colour!.series[1]!.points[0]!.value).toBeGreaterThan(8);
    expect(colour!.band).toEqual({ low: null, high: 5 });
  });

  it("what settles by 0.11 mm a day meets its 3 mm on day 28, straight although it begins with nothing", () => {
    const [, , , sediment] = of([0, 7, 14].map((day) => look(day, { sedimentMm: day * 0.11 })));
    const { meets, from, points } = wayOn(sediment!, "room")!;
    expect([meets.likely, from, points.length]).toEqual([28, 14, 60]);
    expect(wayOn(sediment!, "warm")).toBeNull();
  });

  it("has moved from its first reading to its last: 5.2 to 5.0, 2 to 1.5 Pa·s a quarter, 2 mm from nothing; once read has not", () => {
    const looks = [look(1, { ph: 5.1 }), look(20, { ph: 5, viscosity: 1.5, sedimentMm: 2, lab: { l: 90, a: 0, b: 10 } })];
    const moved = movedSince(start, looks, "room");
    expect(moved.ph).toBeCloseTo(-0.2, 9);
    expect(moved.viscosity).toBeCloseTo(-25, 9);
    expect(moved.sediment).toBe(2);
    expect(moved.colour).toBeUndefined();
    expect(movedSince(start, looks, "warm")).toEqual({});
  });

  it("each cause is an alarm of the sample looked at, a sign of spoiling of any", () => {
    const looks = [
      look(1, { ph: 5.1 }),
      look(7, { storage: "warm", ph: 4.8, sedimentMm: 4 }),
      look(9, { storage: "light", signs: ["mould"] }),
    ];
    expect(watchedAlarms(start, looks, "room").map(({ what }) => what)).toEqual(["spoiled"]);
    expect(watchedAlarms(start, looks, "warm").map(({ what }) => what)).toEqual(["spoiled", "ph", "sediment"]);
  });

  it("a warm sample that meets its alarm on day 40 keeps four times that; of two readings the sooner counts", () => {
    const warm = (day: number) => look(day, { storage: "warm", ph: 5.2 - 0.0075 * day, sedimentMm: day / 100 });
    const life = watchedShelfLife(of([7, 14, 21].map(warm)))!;
    expect(life).toMatchObject({ of: "ph", by: "warm", ageing: { factor: 4, isMeasured: false } });
    expect(life.likely / 4).toBeCloseTo(40, -0.5);
    expect(life.low).toBeLessThan(life.likely);
    expect(watchedShelfLife(of([look(1, { ph: 5.2 })]))).toBeNull();
  });
});
