import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { calibrationOf } from "../acidity/calibration.ts";
import { flowViscosity } from "../rheology/viscosity/flowTime.ts";
import { readInstrumentLine } from "./instrumentLine.ts";
import { CUP_TIMES_FASTER, cupLine, emptyCup, filledCup, flowSeconds, SIMULATED_CUP } from "./simulatedCup.ts";
import { dipped, drifted, meterLines, shownPh, simulatedMeter } from "./simulatedMeter.ts";
import { poured, simulatedLine, simulatedScale, tared } from "./simulatedScale.ts";

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

  it("its zero creeps by a step in two and a half minutes, three at the most, and a tare ends it", () => {
    expect(simulatedLine(empty, 60_000, 0)).toBe("S 0.00 g");
    expect(simulatedLine(empty, 150_000, 0)).toBe("S 0.01 g");
    expect(simulatedLine(empty, 3_600_000, 0)).toBe("S 0.03 g");
    expect(simulatedLine(tared(empty, 3_600_000), 3_601_000, 0)).toBe("S 0.00 g");
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
          const read = readInstrumentLine(simulatedLine(poured(empty, grams, 0), after, tremble));
          expect(read.kind).toBe("reading");
          if (read.kind === "reading" && read.reading.isStable === true)
            expect(Math.abs(read.reading.value - grams)).toBeLessThanOrEqual(0.005 + 1e-9);
        },
      ),
    );
  });
});

describe("the simulated pH meter", () => {
  const off = simulatedMeter({ offsetPh: 0.15, slopePercent: 94 });
  const at = (truePh: number, temperatureC = 25) => ({ truePh, temperatureC });

  it("a probe of 94 % and +0.15 shows 7.15 in buffer 7 and 4.33 in buffer 4", () => {
    expect(shownPh(off, 7)).toBeCloseTo(7.15, 9);
    expect(shownPh(off, 4)).toBeCloseTo(7.15 - 3 * 0.94, 9);
    expect(
      calibrationOf({ bufferPh: 4, readingPh: shownPh(off, 4) }, { bufferPh: 7, readingPh: shownPh(off, 7) })?.slopePercent,
    ).toBeCloseTo(94, 9);
  });

  it("set right by what it showed in two buffers it shows the truth, and set right once more it still does", () => {
    const buffers = (meter: typeof off) =>
      [4, 7].map((bufferPh) => ({ bufferPh, readingPh: shownPh(meter, bufferPh) })) as unknown as (typeof off.calibrations)[number];
    const once = { ...off, calibrations: [buffers(off)] };
    expect(shownPh(once, 5.2)).toBeCloseTo(5.2, 9);
    expect(shownPh({ ...once, calibrations: [...once.calibrations, buffers(once)] }, 5.2)).toBeCloseTo(5.2, 9);
  });

  it("a warm sample is steeper: at 40 °C pH 4 is felt 5 % further from 7", () => {
    const perfect = { ...off, offsetPh: 0, slopePercent: 100, temperatureC: 40 };
    expect(shownPh(perfect, 4)).toBeCloseTo(7 - 3 * (313.15 / 298.15), 9);
  });

  it("it creeps to its reading, marks it when it stands after three seconds, and sends the temperature", () => {
    const meter = dipped({ ...off, offsetPh: 0, slopePercent: 100 }, at(5), 1_000);
    expect(meterLines(meter, 1_000, 0)).toEqual(["U 7.00 pH", "25.0 C"]);
    // 5 + 2 e^(−1) = 5.736
    expect(meterLines(meter, 1_600, 0)[0]).toBe("U 5.74 pH");
    expect(meterLines(meter, 4_000, 0)[0]).toBe("S 5.00 pH");
    expect(meterLines(drifted(meter, 4.8), 4_500, 0)[0]).toBe("S 4.80 pH");
  });

  it("in the air it is out of range", () => {
    const [line] = meterLines(dipped(off, null, 0), 10_000, 0);
    expect(readInstrumentLine(line ?? "").kind).toBe("overload");
    expect(drifted(off, 3)).toBe(off);
  });
});

describe("the simulated flow cup", () => {
  it("2 Pa·s of 1.02 g/mL run 39.2 s, and the constants give the thickness back", () => {
    const seconds = flowSeconds(SIMULATED_CUP, 2, 1.02);
    expect(seconds).toBeCloseTo((2 / 1.02 + Math.sqrt((2 / 1.02) ** 2 + 4 * 0.05 * 0.02)) / 0.1, 9);
    expect(seconds).toBeCloseTo(39.2, 0);
    expect(flowViscosity(SIMULATED_CUP, seconds, 1.02)).toMatchObject({ found: true, pascalSeconds: expect.closeTo(2, 9) as number });
  });

  it("empty it is silent; let run it counts, twenty times as fast, and stands at its time", () => {
    expect(cupLine(emptyCup, 5_000)).toBeNull();
    const cup = filledCup({ pascalSeconds: 2, density: 1.02 }, 1_000, 0);
    expect(cupLine(cup, 2_000)).toBe(`U ${CUP_TIMES_FASTER}.0 s`);
    expect(cupLine(cup, 3_000)).toBe("S 39.2 s");
  });

  it("what would run for an hour is over", () => {
    expect(cupLine(filledCup({ pascalSeconds: 1_000, density: 1 }, 0, 0), 400_000)).toBe("OL");
  });
});
