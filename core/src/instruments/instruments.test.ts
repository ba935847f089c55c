import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readScaleLine } from "./scaleLine.ts";
import { poured, simulatedLine, simulatedScale, tared } from "./simulatedScale.ts";

const reading = (grams: number, isStable: boolean | null) => ({ kind: "reading", reading: { grams, isStable } });

describe("a line of a scale", () => {
  it.each([
    ["S 61.38 g", reading(61.38, true)],
    ["ST,+00061.38 g", reading(61.38, true)],
    ["US, -  0,50 g", reading(-0.5, false)],
    ["61.4 g ?", reading(61.4, false)],
    ["  12.0g\r", reading(12, null)],
    ["-0.00 g", reading(0, null)],
    ["OL", { kind: "overload" }],
    ["ST, OL", { kind: "overload" }],
    ["S 2.165 oz", { kind: "other-unit", unit: "oz" }],
    ["0.061 kg", { kind: "other-unit", unit: "kg" }],
    ["61.38", { kind: "noise" }],
    ["", { kind: "noise" }],
    ["bench scale 3000", { kind: "noise" }],
    ["S 61.38 g 4", { kind: "noise" }],
    ["XY 61.38 g", { kind: "noise" }],
  ])("%j", (line, read) => {
    expect(readScaleLine(line)).toEqual(read);
  });

  it("whatever comes is read or is noise, never a fault", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (line) =>
        ["reading", "overload", "other-unit", "noise"].includes(readScaleLine(line).kind),
      ),
    );
  });
});

describe("the simulated scale", () => {
  const empty = simulatedScale({ readabilityGrams: 0.01, capacityGrams: 600 }, 212.5);

  it("shows 0 with the beaker it was switched on with, follows what is poured, and stands still after a second", () => {
    expect(simulatedLine(empty, 0, 1)).toBe("S 0.00 g");
    const full = poured(empty, 84, 1_000);
    expect(simulatedLine(full, 1_000, 0)).toBe("U 0.00 g");
    // 84 × (1 − e^(−1)) = 53.0981
    expect(simulatedLine(full, 1_160, 0)).toBe("U 53.10 g");
    expect(simulatedLine(full, 1_160, 1)).toBe("U 53.11 g");
    expect(simulatedLine(full, 1_900, 1)).toBe("S 84.00 g");
  });

  it("tared it shows 0 again, and a minus when something is taken out", () => {
    const again = tared(poured(empty, 84, 0), 2_000);
    expect(simulatedLine(again, 2_000, 0)).toBe("S 0.00 g");
    expect(simulatedLine(poured(again, -4, 3_000), 5_000, 0)).toBe("S -4.00 g");
  });

  it("overloads above what it carries with the beaker on it, not at it", () => {
    expect(simulatedLine(poured(empty, 387.5, 0), 2_000, 0)).toBe("S 387.50 g");
    expect(simulatedLine(poured(empty, 387.51, 0), 2_000, 0)).toBe("OL");
  });

  it("every line it sends is one the reader takes, and a settled one is what was poured to half a step", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 380, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.integer({ min: 0, max: 3_000 }),
        (grams, tremble, after) => {
          const read = readScaleLine(simulatedLine(poured(empty, grams, 0), after, tremble));
          expect(read.kind).toBe("reading");
          if (read.kind === "reading" && read.reading.isStable === true)
            expect(Math.abs(read.reading.grams - grams)).toBeLessThanOrEqual(0.005 + 1e-9);
        },
      ),
    );
  });
});
