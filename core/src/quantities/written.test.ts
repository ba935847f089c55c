import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readPercent } from "./readNumber.ts";
import { percentText, written, writtenClock, writtenMass, writtenPercent, writtenShort } from "./written.ts";

describe("numbers as written", () => {
  it("keeps asked decimals and a true minus", () => {
    expect(written(12.37, 2)).toBe("12.37");
    expect(written(-3, 2)).toBe("\u22123.00");
    expect(writtenShort(0.2, 4)).toBe("0.2");
    expect(writtenShort(4000, 1)).toBe("4000");
  });

  it("shows small shares instead of rounding them away", () => {
    expect(writtenPercent(58.695)).toBe("58.70");
    expect(writtenPercent(0)).toBe("0.00");
    expect(writtenPercent(0.005)).toBe("0.005");
    expect(writtenPercent(0.01234)).toBe("0.0123");
  });

  it("writes batches in grams and large ones in kilograms", () => {
    expect(writtenMass(600)).toBe("600 g");
    expect(writtenMass(4000)).toBe("4000 g");
    expect(writtenMass(12_500)).toBe("12.5 kg");
  });
});

describe("a percent in a cell", () => {
  it.each([
    [15, "15.00"],
    [58.695, "58.695"],
    [1e-7, "0.0000001"],
    [0, "0.00"],
  ])("%d stands as %s", (value, text) => {
    expect(percentText(value)).toBe(text);
  });

  it("reads back as the same number", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100_000_000 }), (millionths) => {
        const value = millionths / 1_000_000;
        expect(readPercent(percentText(value))).toEqual({ ok: true, value });
      }),
    );
  });
});

describe("a clock", () => {
  it.each([
    [185_000, "3:05"],
    [184_001, "3:05"],
    [59_000, "0:59"],
    [3_600_000, "1:00:00"],
    [28_770_000, "7:59:30"],
    [0, "0:00"],
    [-5_000, "0:00"],
  ])("a clock with %d ms left shows %s", (milliseconds, text) => {
    expect(writtenClock(milliseconds)).toBe(text);
  });
});
