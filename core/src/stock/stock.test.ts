import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { mixOfLots } from "./mixOfLots.ts";
import { seeTo } from "./seeTo.ts";
import { packPriceOf, type ShelfLot } from "./shelfLot.ts";

describe("several lots in one line", () => {
  it("60 g at 30 % and 20 g at 28 % are 80 g at (1800 + 560) ÷ 80 = 29.5 %, and cost 60 × 0.01 + 20 × 0.02 = 1.00", () => {
    const mix = mixOfLots([
      { grams: 60, assayPercent: 30, pricePerGram: 0.01 },
      { grams: 20, assayPercent: 28, pricePerGram: 0.02 },
    ]);
    expect(mix.grams).toBe(80);
    expect(mix.assayPercent).toBeCloseTo(29.5, 12);
    expect(mix.price).toBeCloseTo(1, 12);
  });

  it("one lot without a certificate leaves the assay open, one without a price the price", () => {
    const known = { grams: 60, assayPercent: 30, pricePerGram: 0.01 };
    expect(mixOfLots([known, { grams: 20, assayPercent: null, pricePerGram: 0.02 }])).toMatchObject({ assayPercent: null, price: 1 });
    expect(mixOfLots([known, { grams: 20, assayPercent: 30, pricePerGram: null }])).toMatchObject({ assayPercent: 30, price: null });
  });

  it("a lot of which nothing is taken says nothing, and nothing at all has neither", () => {
    expect(mixOfLots([{ grams: 0, assayPercent: null, pricePerGram: null }])).toEqual({ grams: 0, assayPercent: null, price: null });
    const mix = mixOfLots([
      { grams: 10, assayPercent: 30, pricePerGram: 1 },
      { grams: 0, assayPercent: null, pricePerGram: null },
    ]);
    expect(mix).toEqual({ grams: 10, assayPercent: 30, price: 10 });
  });

  it("the assay of a mix lies between those of its lots", () => {
    const lot = fc.record({
      grams: fc.double({ min: 0.01, max: 1e4, noNaN: true }),
      assayPercent: fc.double({ min: 0.1, max: 100, noNaN: true }),
      pricePerGram: fc.constant(null),
    });
    fc.assert(
      fc.property(fc.array(lot, { minLength: 1, maxLength: 6 }), (lots) => {
        const assays = lots.map(({ assayPercent }) => assayPercent);
        const mixed = mixOfLots(lots).assayPercent ?? Number.NaN;
        expect(mixed).toBeGreaterThanOrEqual(Math.min(...assays) - 1e-9);
        expect(mixed).toBeLessThanOrEqual(Math.max(...assays) + 1e-9);
      }),
    );
  });
});

describe("what on the shelf wants attention", () => {
  const lot = (endsOn: string | null, leftGrams = 500) => ({ endsOn, leftGrams, packGrams: 1000 });
  const concerns = (...lots: ReturnType<typeof lot>[]) => seeTo(lots, "2026-11-26").map(({ concern, days }) => [concern, days]);

  it("an ending counts from 60 days ahead, and as ended from the day after", () => {
    expect(concerns(lot("2027-01-25"))).toEqual([["ends", 60]]);
    expect(concerns(lot("2027-01-26"))).toEqual([]);
    expect(concerns(lot("2026-11-26"))).toEqual([["ends", 0]]);
    expect(concerns(lot("2026-11-25"))).toEqual([["ended", -1]]);
  });

  it("a tenth of the pack is low, a little more is not, and what is used up asks for nothing", () => {
    expect(concerns(lot(null, 100))).toEqual([["low", null]]);
    expect(concerns(lot(null, 100.1))).toEqual([]);
    expect(concerns(lot("2020-01-01", 0))).toEqual([]);
  });

  it("the ended come first, then what ends soonest, then what is low", () => {
    expect(concerns(lot(null, 50), lot("2026-12-20"), lot("2026-11-01"), lot("2026-12-01"))).toEqual([
      ["ended", -25],
      ["ends", 5],
      ["ends", 24],
      ["low", null],
    ]);
  });
});

describe("what a material costs just now", () => {
  const lot = (changes: Partial<ShelfLot>): ShelfLot => ({
    id: "",
    material: "glycerin",
    code: "",
    leftGrams: 10,
    packGrams: 1000,
    assayPercent: null,
    price: 6,
    endsOn: null,
    ...changes,
  });

  it("is the price of the lot that ends first; one without an end comes last", () => {
    const lots = [lot({ price: 1 }), lot({ price: 2, endsOn: "2027-05-01" }), lot({ price: 3, endsOn: "2027-01-01", packGrams: 500 })];
    expect(packPriceOf(lots, "glycerin")).toEqual({ price: 3, packGrams: 500 });
    expect(packPriceOf(lots.slice(0, 2), "glycerin")).toEqual({ price: 2, packGrams: 1000 });
  });

  it("passes over a lot that is used up or has no price, and is not known without any", () => {
    const used = lot({ price: 3, endsOn: "2027-01-01", leftGrams: 0 });
    const given = lot({ price: null, endsOn: "2027-01-02" });
    expect(packPriceOf([used, given, lot({ price: 0 })], "glycerin")).toEqual({ price: 0, packGrams: 1000 });
    expect(packPriceOf([used, given], "glycerin")).toBeNull();
    expect(packPriceOf([lot({})], "panthenol-75")).toBeNull();
  });
});
