import { describe, expect, it } from "vitest";
import { readPrice } from "./readPrice";

describe("a price as typed", () => {
  it.each([
    ["12.50", "€", 12.5],
    ["12,50", "€", 12.5],
    ["12,50 €", "€", 12.5],
    ["€ 9", "€", 9],
    ["CHF 7.20", "CHF", 7.2],
    ["0", "", 0],
  ])("%s", (typed, currency, value) => expect(readPrice(typed, currency)).toEqual({ value }));

  it.each([
    ["12 $", "€", "“$” is not counted"],
    ["12 €", "", "no currency yet"],
    ["-3", "€", "as a number"],
    ["", "€", "as a number"],
    ["twelve", "€", "not counted"],
  ])("%s is refused with why", (typed, currency, says) =>
    expect(readPrice(typed, currency)).toMatchObject({ problem: expect.stringContaining(says) }),
  );
});
