import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bookedForBatch, wantedOfLots } from "./bookedForBatch.ts";
import { shiftShare } from "./shiftShare.ts";

describe("the books of a batch", () => {
  it("100 g promised, 98 g used: the promise is taken back and 98 g go", () => {
    expect(bookedForBatch({ reservedGrams: 100, usedGrams: 0 }, { reservedGrams: 0, usedGrams: 98 })).toEqual([
      { kind: "release", grams: 100 },
      { kind: "use", grams: -98 },
    ]);
  });

  it("a weight taken back gives the grams back and promises them again; nothing changed enters nothing", () => {
    expect(bookedForBatch({ reservedGrams: 0, usedGrams: 98 }, { reservedGrams: 100, usedGrams: 0 })).toEqual([
      { kind: "reserve", grams: -100 },
      { kind: "correct", grams: 98 },
    ]);
    expect(bookedForBatch({ reservedGrams: 5, usedGrams: 7 }, { reservedGrams: 5, usedGrams: 7 })).toEqual([]);
  });

  it("after what is entered the books say what was wanted", () => {
    const booked = fc.record({ reservedGrams: fc.integer({ min: 0, max: 500 }), usedGrams: fc.integer({ min: 0, max: 500 }) });
    fc.assert(
      fc.property(booked, booked, (books, wanted) => {
        const sum = (...kinds: string[]) =>
          bookedForBatch(books, wanted)
            .filter(({ kind }) => kinds.includes(kind))
            .reduce((total, { grams }) => total - grams, 0);
        expect(books.reservedGrams + sum("reserve", "release")).toBe(wanted.reservedGrams);
        expect(books.usedGrams + sum("use", "correct")).toBe(wanted.usedGrams);
      }),
    );
  });
});

describe("grams that came from another lot", () => {
  const shares = [
    { lotId: "A", line: "betaine", grams: 100 },
    { lotId: "A", line: "other", grams: 10 },
  ];

  it("110 g weighed against a share of 100 g, of which 22 g came from B: 20 g of the share go over, and 88 and 22 g are used", () => {
    const shifted = shiftShare(shares, 110, { line: "betaine", from: "A", to: "B", grams: 22 });
    expect(shifted).toEqual([
      { lotId: "A", line: "other", grams: 10 },
      { lotId: "A", line: "betaine", grams: 80 },
      { lotId: "B", line: "betaine", grams: 20 },
    ]);
    const wanted = wantedOfLots(shifted, new Map([["betaine", 110]]), true);
    expect(wanted.get("A")?.usedGrams).toBeCloseTo(88, 9);
    expect(wanted.get("B")?.usedGrams).toBeCloseTo(22, 9);
  });

  it("all of it: the first lot gives nothing to the line any more; a lot that gave some gives more", () => {
    const all = shiftShare(shares, 100, { line: "betaine", from: "A", to: "B", grams: 500 });
    expect(all.filter(({ line }) => line === "betaine")).toEqual([{ lotId: "B", line: "betaine", grams: 100 }]);
    const more = shiftShare([...shares, { lotId: "B", line: "betaine", grams: 50 }], 150, {
      line: "betaine",
      from: "A",
      to: "B",
      grams: 30,
    });
    expect(more.filter(({ line }) => line === "betaine").map(({ grams }) => grams)).toEqual([70, 80]);
  });
});

describe("what each lot is to give", () => {
  const shares = [
    { lotId: "A", line: "betaine", grams: 60 },
    { lotId: "B", line: "betaine", grams: 40 },
    { lotId: "A", line: "other", grams: 10 },
  ];

  it("weighed as 110 g, two lots of 60 and 40 give 66 and 44; the other line is still promised", () => {
    const wanted = wantedOfLots(shares, new Map([["betaine", 110]]), false);
    expect(wanted.get("A")?.reservedGrams).toBe(10);
    expect(wanted.get("A")?.usedGrams).toBeCloseTo(66, 9);
    expect(wanted.get("B")).toEqual({ reservedGrams: 0, usedGrams: 44 });
  });

  it("a finished batch promises nothing any more", () => {
    expect(wantedOfLots(shares, new Map(), true).get("A")).toEqual({ reservedGrams: 0, usedGrams: 0 });
  });
});
