import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { lotsOfLine } from "./lotsOfLine.ts";
import { needsAttention } from "./needsAttention.ts";
import { packPriceOf, type ShelfLot } from "./shelfLot.ts";

describe("several lots in one line", () => {
  const first = { grams: 60, assayPercent: 30, pricePerGram: 0.01 };
  const second = { grams: 20, assayPercent: 28, pricePerGram: 0.02 };

  it("60 g at 30 % and 20 g at 28 % are 80 g at (1800 + 560) ÷ 80 = 29.5 %, and cost 60 × 0.01 + 20 × 0.02 = 1.00", () => {
    const mix = lotsOfLine([first, second], 80);
    expect(mix).toMatchObject({ grams: 80, eachGrams: [60, 20], openGrams: 0 });
    expect(mix.assayPercent).toBeCloseTo(29.5, 12);
    expect(mix.price).toBeCloseTo(1, 12);
  });

  it("a lot without grams takes what the others leave: of 120 g with 60 g said it is 60 g, (1800 + 1680) ÷ 120 = 29 %", () => {
    const mix = lotsOfLine([first, { ...second, grams: null }], 120);
    expect(mix).toMatchObject({ grams: 120, eachGrams: [60, 60], openGrams: 0 });
    expect(mix.assayPercent).toBeCloseTo(29, 12);
    expect(lotsOfLine([first, { ...second, grams: null }, { ...second, grams: null }], 120).eachGrams).toEqual([60, 30, 30]);
  });

  it("what is not covered is open, what is too much is below 0", () => {
    expect(lotsOfLine([first, second], 100).openGrams).toBe(20);
    expect(lotsOfLine([first, second], 70).openGrams).toBe(-10);
    expect(lotsOfLine([first, { ...second, grams: null }], 50)).toMatchObject({ eachGrams: [60, 0], openGrams: -10 });
  });

  it("without the mass of the line lots without grams weigh alike, or nothing beside those with", () => {
    const open = { ...second, grams: null };
    expect(lotsOfLine([{ ...first, grams: null }, open], null)).toMatchObject({ assayPercent: 29, openGrams: null });
    expect(lotsOfLine([first, open], null)).toMatchObject({ assayPercent: 30, eachGrams: [60, 0] });
  });

  it("one lot without a certificate leaves the assay open, one without a price the price", () => {
    expect(lotsOfLine([first, { grams: 20, assayPercent: null, pricePerGram: 0.02 }], 80)).toMatchObject({ assayPercent: null, price: 1 });
    expect(lotsOfLine([first, { grams: 20, assayPercent: 30, pricePerGram: null }], 80)).toMatchObject({ assayPercent: 30, price: null });
  });

  it("nothing at all has neither assay nor price", () => {
    expect(lotsOfLine([], 80)).toEqual({ grams: 0, assayPercent: null, price: null, eachGrams: [], openGrams: 80 });
    expect(lotsOfLine([], null)).toMatchObject({ grams: 0, assayPercent: null });
  });

  it("the assay of a mix lies between those of its lots, and its grams come to the line where one takes the rest", () => {
    const lot = fc.record({
      grams: fc.double({ min: 0.01, max: 1e3, noNaN: true }),
      assayPercent: fc.double({ min: 0.1, max: 100, noNaN: true }),
      pricePerGram: fc.constant(null),
    });
    fc.assert(
      fc.property(fc.array(lot, { minLength: 1, maxLength: 6 }), fc.double({ min: 1, max: 1e4, noNaN: true }), (lots, more) => {
        const said = lots.reduce((sum, { grams }) => sum + grams, 0);
        const mix = lotsOfLine([...lots, { grams: null, assayPercent: 50, pricePerGram: null }], said + more);
        const assays = [...lots.map(({ assayPercent }) => assayPercent), 50];
        expect(mix.assayPercent).toBeGreaterThanOrEqual(Math.min(...assays) - 1e-9);
        expect(mix.assayPercent).toBeLessThanOrEqual(Math.max(...assays) + 1e-9);
        expect(mix.grams).toBeCloseTo(said + more, 6);
      }),
    );
  });
});

describe("what on the shelf wants attention", () => {
  const lot = (endsOn: string | null, leftGrams = 500, isMadeHere = false) => ({ endsOn, leftGrams, packGrams: 1000, isMadeHere });
  const concerns = (...lots: ReturnType<typeof lot>[]) => needsAttention(lots, "2026-11-26").map(({ concern, days }) => [concern, days]);

  it("what was made here and is past its day leads, whatever else is wrong", () => {
    expect(concerns(lot("2026-11-01"), lot(null, -3), lot("2026-11-25", 20, true))).toEqual([
      ["discard", -1],
      ["overdrawn", null],
      ["ended", -25],
    ]);
    expect(concerns(lot("2026-11-26", 500, true))).toEqual([["ends", 0]]);
  });

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

  it("a lot of which more was used than it held comes first and is never left out", () => {
    expect(concerns(lot(null, 100), lot("2026-11-25"), lot(null, -0.001))).toEqual([
      ["overdrawn", null],
      ["ended", -1],
      ["low", null],
    ]);
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
    solutionOf: null,
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
