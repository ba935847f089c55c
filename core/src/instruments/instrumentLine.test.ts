import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readInstrumentLine, type InstrumentLine } from "./instrumentLine.ts";
import { textLines } from "./textLines.ts";

const reading = (value: number, isStable: boolean | null, unit = "g") => ({ kind: "reading", reading: { value, unit, isStable } });

describe("a line of an instrument", () => {
  it.each([
    ["S 61.38 g", reading(61.38, true)],
    ["ST,+00061.38 g", reading(61.38, true)],
    ["US, -  0,50 g", reading(-0.5, false)],
    ["61.4 g ?", reading(61.4, false)],
    ["  12.0g\r", reading(12, null)],
    ["-0.00 g", reading(0, null)],
    ["S 7.42 pH", reading(7.42, true, "pH")],
    ["7.42 pH ?", reading(7.42, false, "pH")],
    ["23.4 C", reading(23.4, null, "°C")],
    ["23.4 °C", reading(23.4, null, "°C")],
    ["S 1.27 Pa.s", reading(1.27, true, "Pa·s")],
    ["U 41.2 s", reading(41.2, false, "s")],
    ["OL", { kind: "overload" }],
    ["ST, OL", { kind: "overload" }],
    ["S 2.165 oz", { kind: "other-unit", unit: "oz" }],
    ["0.061 kg", { kind: "other-unit", unit: "kg" }],
    ["-180 mV", { kind: "other-unit", unit: "mV" }],
    ["61.38", { kind: "noise" }],
    ["", { kind: "noise" }],
    ["-- pH", { kind: "noise" }],
    ["bench scale 3000", { kind: "noise" }],
    ["S 61.38 g 4", { kind: "noise" }],
    ["XY 61.38 g", { kind: "noise" }],
  ])("%j", (line, read) => {
    expect(readInstrumentLine(line)).toEqual(read);
  });

  it("whatever comes is read or is noise, never a fault", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (line) =>
        ["reading", "overload", "other-unit", "noise"].includes(readInstrumentLine(line).kind),
      ),
    );
  });
});

describe("a stream in pieces", () => {
  const linesOf = (pieces: readonly string[]): readonly string[] => {
    const lines: string[] = [];
    let rest = "";
    for (const piece of pieces) {
      const read = textLines(rest, piece);
      lines.push(...read.lines);
      rest = read.rest;
    }
    return lines;
  };

  it("a line that comes in two pieces is one, and what has not ended waits", () => {
    expect(textLines("", "S 61.3")).toEqual({ lines: [], rest: "S 61.3" });
    expect(textLines("S 61.3", "8 g\r\nS 6")).toEqual({ lines: ["S 61.38 g"], rest: "S 6" });
  });

  it("however it is cut, the same lines come out", () => {
    const whole = "S 61.38 g\r\nU 7.42 pH\nOL\r\n23.4 C\n";
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: whole.length - 1 }), { maxLength: 12 }), (places) => {
        const cuts = [0, ...new Set(places), whole.length].sort((a, b) => a - b);
        const pieces = cuts.slice(1).map((to, at) => whole.slice(cuts[at], to));
        expect(linesOf(pieces)).toEqual(["S 61.38 g", "U 7.42 pH", "OL", "23.4 C"]);
      }),
    );
  });

  it("what never ends is let go: the wrong speed fills no memory", () => {
    expect(textLines("x".repeat(100), "y".repeat(100)).rest).toBe("");
  });

  it("a recorded scale: split frames, noise, a change of unit, overload, back to grams, and the plug pulled in the middle of a line", () => {
    const recorded = [
      ...["boot v2\r", "\nU   0.0", "0 g\r\nS ", "  0.00 g\r\n", "#$%\r\nU  12.4", "1 g\r\nS  61.38 g\r\nS  2.165 oz\r\n"],
      ...["ST, OL\r\n", "S  61.39 g\r\nS  61"],
    ];
    const told = linesOf(recorded)
      .map(readInstrumentLine)
      .map((line: InstrumentLine) =>
        line.kind === "reading" ? `${line.reading.value}${line.reading.isStable === true ? "" : "?"}` : line.kind,
      );
    expect(told).toEqual(["noise", "0?", "0", "noise", "12.41?", "61.38", "other-unit", "overload", "61.39"]);
  });
});
