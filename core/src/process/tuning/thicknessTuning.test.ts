import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { adviseThickening } from "../../rheology/index.ts";
import { entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { whyNot } from "../batch/admit.ts";
import { batchState } from "../batch/batchState.ts";
import type { BatchEntry, DosedSalt } from "../batch/entries.ts";
import { planBatch } from "../batch/planBatch.ts";
import { aimedThickness, saltsOf, thicknessTuning, upToPeakGrams } from "./thicknessTuning.ts";

const plan = planBatch(
  sheetOf([
    ["water-distilled", "q.s."],
    ["sles-2eo-28", 30],
    ["cocamidopropyl-betaine", 15],
    ["sodium-chloride", 1],
  ]),
  500,
  library,
);
const step = plan.steps.find(({ tunes }) => tunes === "thickness")?.id ?? "";
const salts = saltsOf(plan);
const [dry] = salts as readonly [DosedSalt];
const brine = salts.find(({ strengthPercent }) => strengthPercent === 20) ?? dry;

const read = (viscosity: number, unit: "Pa·s" | "s" = "Pa·s") => entry({ kind: "thickness-read", step, viscosity, unit, said: "" });
const added = (grams: number, salt = brine) => entry({ kind: "salted", step, salt, grams });
const base = [weighed("water-distilled", 270), weighed("sles-2eo-28", 150), weighed("cocamidopropyl-betaine", 75)];
const tuning = (entries: readonly BatchEntry[], salt = brine) =>
  thicknessTuning(plan, batchState(plan, [...base, ...entries]), { salt, wanted: 2.5 });

describe("salts at the bench", () => {
  it("the formula's own comes first, brine and dry salt count on its line", () => {
    expect(dry).toMatchObject({ name: "sodium chloride", line: "sodium-chloride" });
    expect(salts.map(({ line }) => line)).toEqual(["sodium-chloride", "sodium-chloride", "sodium-chloride"]);
  });

  it("without a wish the aim is a pump gel", () => {
    expect(aimedThickness(plan)).toBe(2.5);
    expect(aimedThickness({ formula: { ...plan.formula, aim: { ...plan.formula.aim, thickness: "syrup" } } })).toBe(0.4);
  });
});

describe("readings and additions", () => {
  it("before the first reading there is nothing to advise on", () => {
    expect(tuning([])).toMatchObject({ thickening: null, rows: [], unit: null, isAddedSince: false });
  });

  it("totals run, and the whole salt is what was hidden and what was added: 10 g of 20 % brine are 2 g", () => {
    const now = tuning([read(0.2), added(10), read(0.6)]);
    const hidden = now.hiddenSaltPercent;
    expect(hidden).toBeGreaterThan(0);
    expect(now.rows.map(({ totalGrams, addedGrams }) => [totalGrams, addedGrams])).toEqual([
      [0, 0],
      [10, 10],
    ]);
    expect(now.rows[1]?.saltPercent).toBeCloseTo((hidden * 495 + 200) / 505, 9);
    expect(now.thickening).toMatchObject({ batchGrams: 495, strengthPercent: 20, target: 2.5 });
    expect(now.thickening?.additions).toEqual([
      { gramsTotal: 0, viscosity: 0.2, gauge: "number" },
      { gramsTotal: 10, viscosity: 0.6, gauge: "number" },
    ]);
  });

  it("after an addition the salt in it is told at once, and that of the reading stays with the reading", () => {
    const now = tuning([read(0.2), added(10)]);
    expect(now.saltPercentNow).toBeCloseTo((now.hiddenSaltPercent * 495 + 200) / 505, 9);
    expect(now.rows.at(-1)?.saltPercent).toBeCloseTo(now.hiddenSaltPercent, 9);
    expect(now).toMatchObject({ addedGrams: 10, isAddedSince: true });
  });

  it("seconds of an uncalibrated funnel are judged by their word; with seconds wanted by the seconds", () => {
    const seconds = (viscosity: number, said: string) => ({ ...read(viscosity, "s"), said, gauge: "funnel" }) as BatchEntry;
    const by = (wanted: number | null, ...entries: readonly BatchEntry[]) =>
      thicknessTuning(plan, batchState(plan, [...base, ...entries]), { salt: brine, wanted });
    const word = by(null, seconds(9, "syrup"));
    expect(word).toMatchObject({ unit: "s", isByWord: true, target: 2.5, isOnTarget: false });
    expect(word.thickening?.additions).toEqual([{ gramsTotal: 0, viscosity: 0.4, gauge: "word" }]);
    expect(word.rows[0]).toMatchObject({ viscosity: 9, said: "syrup" });
    expect(by(null, seconds(22, "pump gel")).isOnTarget).toBe(true);
    expect(by(null, seconds(22, "")).thickening, "without a word nothing is known").toBeNull();
    const wanted = by(22, seconds(9, "syrup"));
    expect(wanted).toMatchObject({ isByWord: false, target: 22, isOnTarget: false });
    expect(wanted.thickening?.additions).toEqual([{ gramsTotal: 0, viscosity: 9, gauge: "funnel" }]);
    expect(by(22, seconds(21, "pump gel")).isOnTarget).toBe(true);
  });

  it("tells how it was measured: as told, else a word by what was said, seconds by the funnel", () => {
    const gauges = (entries: readonly BatchEntry[]) => tuning(entries).rows.map(({ gauge }) => gauge);
    expect(gauges([{ ...read(2.5), said: "pump gel" } as BatchEntry, { ...read(2.4), gauge: "funnel" } as BatchEntry])).toEqual([
      "word",
      "funnel",
    ]);
    expect(gauges([read(30, "s")])).toEqual(["funnel"]);
    const word = { ...read(5.5), gauge: "word" } as BatchEntry;
    expect(tuning([word]).isOnTarget).toBe(true);
    expect(tuning([read(5.5)]).isOnTarget).toBe(false);
  });

  it("another strength counts as the salt it brings: 2 g of dry salt are 10 g of brine", () => {
    expect(tuning([read(0.2), added(2, { ...dry, strengthPercent: 100 }), read(0.6)]).rows[1]?.totalGrams).toBeCloseTo(10, 9);
  });

  it("added and not read yet must rest; on target it is said", () => {
    expect(tuning([read(0.2), added(10)])).toMatchObject({ isAddedSince: true, isOnTarget: false });
    expect(tuning([read(2.5)]).isOnTarget).toBe(true);
    expect(tuning([read(2.1)]).isOnTarget).toBe(false);
  });

  it("a reading in another unit does not stand on the same salt curve", () => {
    expect(tuning([read(0.2), read(40, "s")]).rows).toHaveLength(1);
    expect(tuning([read(40, "s"), read(41, "s")])).toMatchObject({ unit: "s", rows: [{ viscosity: 40 }, { viscosity: 41 }] });
  });

  it("samples of the same base in the same unit go to the advisor, others do not", () => {
    const saltSamples = [
      { saltPercent: 1, viscosity: 0.5, unit: "Pa·s" },
      { saltPercent: 2, viscosity: 40, unit: "s" },
    ] as const;
    const now = thicknessTuning(plan, batchState(plan, [...base, read(0.2)]), { salt: brine, wanted: 2.5, saltSamples });
    expect(now.thickening?.jars).toEqual([saltSamples[0]]);
    expect(now.saltSamples).toEqual([saltSamples[0]]);
  });

  it("scent and a late thickener between two readings are told", () => {
    const thickened = entry({ kind: "thickened", step: "late-thickener", line: "peg-150-distearate", grams: 1 });
    expect(tuning([read(0.2), thickened]).cameBetween).toBe("thickener");
    expect(tuning([thickened, read(0.2)]).cameBetween).toBeNull();
  });

  it("the advisor takes it and adds brine to a thin batch, without passing the peak", () => {
    const { thickening } = tuning([read(0.2)]);
    if (thickening === null) throw new Error("nothing to advise on");
    const { state, recommend } = adviseThickening(thickening);
    expect(state).toBe("add");
    expect(recommend.grams).toBeGreaterThan(0);
    expect(recommend.peakChance).toBeLessThanOrEqual(0.01);
  });

  it("of a brine the line weighs the salt in it: 10 g of 20 % are 2 g, not 10", () => {
    const weighs = batchState(plan, [added(10)]).lines.get("sodium-chloride")?.actualGrams ?? 0;
    expect(weighs * (dry.strengthPercent / 100)).toBeCloseTo(2, 9);
  });

  it("what was added is what the line weighs, and each addition rests eight minutes", () => {
    const state = batchState(plan, [added(2, { ...dry, strengthPercent: 100 }), added(1.5, dry)]);
    expect(state.lines.get("sodium-chloride")?.actualGrams).toBeCloseTo(3.5, 9);
    expect(state.waits[0]?.until).toBe("2026-11-26T10:08:00.000Z");
  });
});

describe("up to the peak", () => {
  const at = (grams: number, saltPercent = 1) =>
    upToPeakGrams(grams, { massGrams: 400, saltPercent }, { safeMaxPercent: 2, strengthPercent: 100 });

  it("400 g from 1 % to the edge at 2 % take 4.08 g of dry salt; less is left as it is", () => {
    expect(at(4)).toBe(4);
    expect(at(6)).toBeCloseTo(4.0816, 4);
  });

  it("on the edge, or past it, nothing more goes in", () => {
    expect(at(1, 1.999)).toBe(0);
    expect(at(1, 2.4)).toBe(0);
  });

  it("a brine no saltier than the edge never reaches it", () => {
    expect(upToPeakGrams(50, { massGrams: 400, saltPercent: 1 }, { safeMaxPercent: 2, strengthPercent: 2 })).toBe(50);
  });

  it("after any addition the batch is no saltier than the edge", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 60, noNaN: true }), fc.double({ min: 0.5, max: 3, noNaN: true }), (grams, saltPercent) => {
        const added = at(grams, saltPercent);
        if (added > 0) expect((4 * saltPercent + added) / (400 + added)).toBeLessThanOrEqual(0.02 + 1e-9);
      }),
    );
  });
});

describe("what cannot be", () => {
  it.each([
    [read(0), "more than 0"],
    [read(-1), "more than 0"],
    [read(0.001), null],
    [added(0), "more than 0 g"],
    [added(9_000), "strongest scale"],
    [{ ...read(1), step: "prepare" }, "No thickness is read"],
    [{ ...added(1), step: "prepare" }, "No salt is added"],
    [weighed("sodium-chloride", 5, step), "dosed by readings"],
  ])("%j", (one, words) => {
    const why = whyNot(plan, [], one as BatchEntry);
    if (words === null) expect(why).toBeNull();
    else expect(why).toContain(words);
  });
});
