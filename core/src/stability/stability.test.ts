import { describe, expect, it } from "vitest";
import { checkCalendar } from "./checkCalendar.ts";
import { driftOf, type Check } from "./drift.ts";
import { foamOf, latherOf } from "./lather.ts";
import { scentMemory, type ScentTrial } from "./scentMemory.ts";

describe("lather", () => {
  const test = (atOnceMm: number, afterOneMinuteMm: number, afterFiveMinutesMm: number) =>
    latherOf({ atOnceMm, afterOneMinuteMm, afterFiveMinutesMm });

  it("60 mm at once and 45 mm after five minutes keep 0.75 and fall slowly", () => {
    expect(test(60, 52, 45)).toMatchObject({ flashMm: 60, retention: 0.75, words: "60 mm of foam at once, it falls slowly" });
    expect(test(60, 52, 45).halfLifeMinutes).toBeCloseTo(12.05, 2);
    expect(test(60, 30, 0).halfLifeMinutes).toBe(2.5);
    expect(test(60, 60, 60).halfLifeMinutes).toBeNull();
  });

  it("0.8 stands, 0.79 does not; 0.4 falls slowly, 0.39 soon", () => {
    expect(test(100, 90, 80).words).toContain("it stands");
    expect(test(100, 90, 79).words).toContain("slowly");
    expect(test(100, 90, 40).words).toContain("slowly");
    expect(test(100, 90, 39).words).toContain("soon");
  });

  it("10 g of foam that fill 100 mL weigh a tenth, and have taken up nine times the liquid in air", () => {
    expect(foamOf(10, 100, 1)).toEqual({ density: 0.1, overrunPercent: 900 });
    expect(foamOf(100, 250, 1.02).overrunPercent).toBeCloseTo(155, 9);
    expect(() => foamOf(10, 8, 1)).toThrow("heavier");
    expect(() => foamOf(0, 8, 1)).toThrow("above 0");
  });

  it("no foam has no retention, and foam does not grow", () => {
    expect(test(0, 0, 0)).toMatchObject({ retention: null, words: "hardly any foam" });
    expect(() => test(40, 50, 30)).toThrow("only falls");
  });
});

describe("drift", () => {
  const first: Check = { ph: 5, viscosity: 100, lab: { l: 90, a: 0, b: 10 }, sedimentMm: 0, signs: [] };
  const after = (changes: Partial<Check>) => driftOf(first, { ...first, ...changes }).map(({ what, discard }) => [what, discard]);

  it("pH may move by 0.3, not by 0.31", () => {
    expect(after({ ph: 5.3 })).toEqual([]);
    expect(after({ ph: 5.31 })).toEqual([["ph", false]]);
    expect(after({ ph: 4.69 })).toEqual([["ph", false]]);
  });

  it("thickness may move by 30 %, not by 31", () => {
    expect(after({ viscosity: 70 })).toEqual([]);
    expect(after({ viscosity: 69 })).toEqual([["viscosity", false]]);
    expect(after({ viscosity: 131 })).toEqual([["viscosity", false]]);
  });

  it("any sign of spoiling means discard", () => {
    expect(after({ signs: ["odd smell"] })).toEqual([["spoiled", true]]);
  });

  it("a colour seen at a glance, and more than 3 mm settled", () => {
    expect(after({ lab: { l: 90, a: 0, b: 14 } })).toEqual([]);
    expect(after({ lab: { l: 80, a: 4, b: 24 } })).toEqual([["colour", false]]);
    expect(after({ sedimentMm: 3 })).toEqual([]);
    expect(after({ sedimentMm: 3.5 })).toEqual([["sediment", false]]);
    expect(driftOf({ ...first, sedimentMm: 2 }, { ...first, sedimentMm: 5 })).toEqual([]);
  });

  it("what was not measured is not compared", () => {
    const nothing: Check = { ph: null, viscosity: null, lab: null, sedimentMm: null, signs: [] };
    expect(driftOf({ ...nothing, viscosity: 100 }, { ...nothing, ph: 8, lab: { l: 10, a: 0, b: 0 } })).toEqual([]);
  });
});

describe("the check calendar", () => {
  it("next day, 48 hours, 1, 2, 4, 8 and 12 weeks after 26 November 2026", () => {
    expect(checkCalendar("2026-11-26", "body-wash").map(({ on }) => on)).toEqual([
      "2026-11-27",
      "2026-11-28",
      "2026-12-03",
      "2026-12-10",
      "2026-12-24",
      "2027-01-21",
      "2027-02-18",
    ]);
    expect(checkCalendar("2026-11-26", "whipped-cleanser")[0]).toMatchObject({ on: "2026-11-26", title: "First hours" });
    expect(() => checkCalendar("tomorrow", "body-wash")).toThrow("no date");
  });
});

describe("what a scent did before", () => {
  const trial = (changes: Partial<ScentTrial>): ScentTrial => ({
    batch: "261126-01",
    material: "juniper-berry-oil",
    percent: 0.3,
    viscosityBefore: null,
    viscosityAfter: null,
    phMoved: null,
    clouded: null,
    colourChanged: null,
    ...changes,
  });

  it("factors of 0.5 and 0.8 have a geometric mean of 0.632", () => {
    const memory = scentMemory("juniper-berry-oil", [
      trial({ viscosityBefore: 100, viscosityAfter: 50, clouded: true }),
      trial({ viscosityBefore: 50, viscosityAfter: 40, clouded: false }),
      trial({ material: "lemon-oil", viscosityBefore: 50, viscosityAfter: 200 }),
    ]);
    expect(memory.viscosityFactor).toBeCloseTo(Math.sqrt(0.4), 12);
    expect(memory).toMatchObject({
      batches: 2,
      lowestFactor: 0.5,
      highestFactor: 0.8,
      clouded: { times: 1, of: 2 },
      colourChanged: { times: 0, of: 0 },
    });
    expect(memory.text).toBe("In 2 batches it made it 37 % thinner in the middle, clouded 1 of 2.");
  });

  it("says so when it was never used, or nobody looked", () => {
    expect(scentMemory("lemon-oil", []).text).toContain("Not used before");
    expect(scentMemory("juniper-berry-oil", [trial({})]).text).toContain("nobody noted");
  });
});
