import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readMassGrams, readNumber, readPercent } from "./readNumber.ts";

describe("a percentage as typed", () => {
  it.each([
    ["12.5", 12.5],
    ["12,5", 12.5],
    [" 0,005 ", 0.005],
    [".5", 0.5],
    ["22 %", 22],
    ["-0", 0],
    ["100", 100],
  ])("%s is read as %d", (text, value) => {
    expect(readPercent(text)).toEqual({ ok: true, value });
  });

  it.each([
    ["", "empty"],
    ["abc", "not-a-number"],
    ["1e309", "not-a-number"],
    ["NaN", "not-a-number"],
    ["Infinity", "not-a-number"],
    ["1,200.5", "two-marks"],
    ["-3", "negative"],
    ["\u22123", "negative"],
    ["101", "above-most"],
  ])("%s is refused as %s", (text, problem) => {
    expect(readPercent(text)).toMatchObject({ ok: false, problem });
  });

  it("refuses 400 digits, which no double can hold", () => {
    expect(readNumber("9".repeat(400))).toEqual({ ok: false, problem: "not-a-number" });
  });

  it("reads back every percentage it could have printed", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10_000_000 }), (millionths) => {
        const value = millionths / 100_000;
        expect(readPercent(String(value).replace(".", ","))).toEqual({ ok: true, value });
      }),
    );
  });
});

describe("a batch as typed", () => {
  it.each([
    ["600", 600],
    ["600 g", 600],
    ["1,2 kg", 1200],
    ["0.5KG", 500],
  ])("%s is %d g", (text, value) => {
    expect(readMassGrams(text)).toEqual({ ok: true, value });
  });

  it.each([
    ["0", "not-positive"],
    ["-5", "not-positive"],
    ["2000 kg", "above-most"],
    ["some", "not-a-number"],
  ])("%s is refused as %s", (text, problem) => {
    expect(readMassGrams(text)).toMatchObject({ ok: false, problem });
  });
});
