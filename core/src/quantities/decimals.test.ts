import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { decimalPlaces, floorToMultiple, roundToMultiple, toDecimals } from "./decimals.ts";

describe("decimal places", () => {
  it.each([
    [600, 0],
    [0.1, 1],
    [58.695, 3],
    [1e-7, 7],
    [2.5e-7, 8],
    [1e21, 0],
  ])("%d is written with %d decimals", (value, places) => {
    expect(decimalPlaces(value)).toBe(places);
  });
});

describe("rounding to what a scale can show", () => {
  it("0.1 + 0.2 becomes 0.3 again", () => {
    expect(toDecimals(0.1 + 0.2, 1)).toBe(0.3);
  });

  it("12.37 g on a 0.1 g scale reads 12.4, rounded down 12.3", () => {
    expect(roundToMultiple(12.37, 0.1)).toBe(12.4);
    expect(floorToMultiple(12.37, 0.1)).toBe(12.3);
  });

  it("a half goes up even where the double falls short: 1.005 on a 0.01 g scale", () => {
    expect(roundToMultiple(1.005, 0.01)).toBe(1.01);
  });

  it("0.3 is a whole multiple of 0.1 although 0.3 / 0.1 is 2.9999999999999996", () => {
    expect(floorToMultiple(0.3, 0.1)).toBe(0.3);
  });

  it("is never further off than half a step", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.constantFrom(0.001, 0.01, 0.05, 0.1, 0.5, 1, 5),
        (value, step) => Math.abs(roundToMultiple(value, step) - value) <= step / 2 + 1e-6 * step,
      ),
    );
  });
});
