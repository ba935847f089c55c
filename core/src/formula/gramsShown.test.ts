import { describe, expect, it } from "vitest";
import { library, sheetOf } from "../testing/exampleSheet.ts";
import { assess } from "../assessment/assess.ts";
import { finestDecimals, gramsText } from "./gramsShown.ts";

describe("grams as shown", () => {
  // 600 g: AOS 90 g and glycerin 12 g on the 0.01 g scale, betaine 210 g and the water on the 0.1 g scale
  const sheet = sheetOf([
    ["water-distilled", "q.s."],
    ["aos-40", 15],
    ["cocamidopropyl-betaine", 35],
    ["glycerin", 2],
  ]);
  const { lines } = assess(sheet, library);

  it("show the decimals of their scale", () => {
    expect(lines.slice(1).map((line) => gramsText(line, sheet.scales, null))).toEqual(["90.00", "210.0", "12.00"]);
  });

  it("the line of the rest is shown as fine as the sheet goes", () => {
    const decimals = finestDecimals(lines, sheet.scales);
    expect(decimals).toBe(2);
    expect(gramsText(lines[0] as (typeof lines)[number], sheet.scales, decimals)).toBe("288.00");
  });

  it("never hide digits that are to be weighed", () => {
    const line = { id: "x", percent: 1, grams: 1.2345, gramsToWeigh: 1.2345, scale: null, tooSmall: false, activePercent: 0 };
    expect(gramsText(line, [], null)).toBe("1.2345");
  });
});
