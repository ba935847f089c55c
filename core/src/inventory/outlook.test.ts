import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { endOfLot, ordersFor, outlookOf, type OutlookLot, type PlannedBatch } from "./index.ts";

const lot = (id: string, freeGrams: number, endsOn: string | null = null, material = "betaine"): OutlookLot => ({
  ...{ id, material, freeGrams, endsOn },
});
const plan = (id: string, on: string, grams: number, material = "betaine"): PlannedBatch => ({
  id,
  on,
  needs: new Map([[material, grams]]),
});

describe("the end of a lot", () => {
  it.each([
    ["its own date while it is closed", { endsOn: "2027-05-31", openedOn: null, afterOpeningDays: 90 }, "2027-05-31"],
    ["90 days after it was opened", { endsOn: "2028-05-31", openedOn: "2027-03-01", afterOpeningDays: 90 }, "2027-05-30"],
    ["its own date where that comes first", { endsOn: "2027-04-30", openedOn: "2027-03-01", afterOpeningDays: 90 }, "2027-04-30"],
    ["days after opening alone", { endsOn: null, openedOn: "2027-03-01", afterOpeningDays: 1 }, "2027-03-02"],
    ["nothing is known", { endsOn: null, openedOn: "2027-03-01", afterOpeningDays: null }, null],
  ])("%s", (_, dates, end) => expect(endOfLot(dates)).toBe(end));
});

describe("planned batches", () => {
  it("take what ends first, and what nobody uses before it ends is told", () => {
    const lots = [lot("late", 50, "2027-12-31"), lot("early", 100, "2027-05-31")];
    const found = outlookOf([plan("june", "2027-06-10", 80), plan("april", "2027-04-10", 60)], lots, "2027-08-31");
    expect(found.expiring).toEqual([{ lot: "early", grams: 40, endsOn: "2027-05-31" }]);
    expect([...found.lacks]).toEqual([["june", [{ material: "betaine", grams: 30 }]]]);
    expect(found.toBuy).toEqual([{ material: "betaine", grams: 30, neededOn: "2027-06-10" }]);
  });

  it("use a lot on its last day, not on the day after", () => {
    const lots = [lot("a", 10, "2027-05-31")];
    expect(outlookOf([plan("x", "2027-05-31", 10)], lots, "2027-05-31").toBuy).toEqual([]);
    expect(outlookOf([plan("x", "2027-06-01", 10)], lots, "2027-05-31").toBuy).toHaveLength(1);
  });

  it("add up what several lack, by the first day it is needed", () => {
    const found = outlookOf([plan("b", "2027-02-01", 25), plan("a", "2027-01-01", 15)], [], "2027-01-01");
    expect(found.toBuy).toEqual([{ material: "betaine", grams: 40, neededOn: "2027-01-01" }]);
  });

  it("never take more of a lot than it holds, and lack what is left of what they need", () => {
    const days = ["2027-01-10", "2027-03-05", "2027-05-20", null] as const;
    const someLots = fc.array(fc.record({ grams: fc.integer({ min: -5, max: 50 }), end: fc.constantFrom(...days) }), { maxLength: 6 });
    const somePlans = fc.array(fc.record({ grams: fc.integer({ min: 1, max: 60 }), on: fc.constantFrom("2027-01-10", "2027-03-06") }), {
      maxLength: 6,
    });
    fc.assert(
      fc.property(someLots, somePlans, (lots, plans) => {
        const found = outlookOf(
          plans.map(({ grams, on }, at) => plan(`p${at}`, on, grams)),
          lots.map(({ grams, end }, at) => lot(`l${at}`, grams, end)),
          "2099-01-01",
        );
        const wanted = plans.reduce((sum, { grams }) => sum + grams, 0);
        const held = lots.reduce((sum, { grams }) => sum + Math.max(0, grams), 0);
        const lacking = found.toBuy.reduce((sum, { grams }) => sum + grams, 0);
        expect(lacking).toBeGreaterThanOrEqual(Math.max(0, wanted - held) - 1e-9);
        expect(lacking).toBeLessThanOrEqual(wanted);
        const told = [...found.lacks.values()].flat().reduce((sum, { grams }) => sum + grams, 0);
        expect(told).toBeCloseTo(lacking, 9);
      }),
    );
  });
});

describe("what to order", () => {
  const offer = (id: string, packGrams: number, price: number | null, leastPacks = 1) => ({ id, packGrams, price, leastPacks });
  it("is whole packs, at least as many as are sold, the cheapest first", () => {
    const orders = ordersFor(340, [offer("small", 100, 4), offer("large", 1000, 14), offer("box", 250, 5, 4), offer("unknown", 500, null)]);
    expect(orders).toEqual([
      { offer: "large", packs: 1, grams: 1000, price: 14 },
      { offer: "small", packs: 4, grams: 400, price: 16 },
      { offer: "box", packs: 4, grams: 1000, price: 20 },
      { offer: "unknown", packs: 1, grams: 500, price: null },
    ]);
  });
  it("of equal prices is the smaller amount", () => {
    expect(ordersFor(90, [offer("big", 200, 5), offer("fit", 100, 5)])[0]?.offer).toBe("fit");
  });
});
