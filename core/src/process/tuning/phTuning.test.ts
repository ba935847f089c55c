import { describe, expect, it } from "vitest";
import { adviseTitration } from "../../acidity/index.ts";
import { entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { whyNot } from "../batch/admit.ts";
import { batchState } from "../batch/batchState.ts";
import type { BatchEntry } from "../batch/entries.ts";
import { nextStep } from "../batch/nextStep.ts";
import { planBatch } from "../batch/planBatch.ts";
import { agentsOf, type BenchAgent } from "./agents.ts";
import { phTuning, targetOf, tunedCorridor } from "./phTuning.ts";

const plan = planBatch(
  sheetOf([
    ["water-distilled", "q.s."],
    ["cocamidopropyl-betaine", 20],
    ["citric-acid-solution-50", 0.4],
  ]),
  500,
  library,
);
const step = plan.steps.find(({ tunes }) => tunes === "ph")?.id ?? "";
const agents = agentsOf(plan);
const [acid] = agents as readonly [BenchAgent];
const base = agents.find(({ kind }) => kind === "base") ?? acid;
const base10 = base;

const read = (ph: number, changes: Partial<BatchEntry & { kind: "ph-read" }> = {}) =>
  entry({ kind: "ph-read", step, ph, way: "dilution", sampleGrams: 2, ...changes });
const dose = (grams: number, agent: BenchAgent = acid) => {
  const { dropGrams: _, ...dosed } = agent;
  return entry({ kind: "dosed", step, agent: dosed, grams });
};
const base500 = [weighed("water-distilled", 398), weighed("cocamidopropyl-betaine", 100)];
const tuning = (entries: readonly BatchEntry[]) =>
  phTuning(plan, batchState(plan, [...base500, ...entries]), { agent: acid, counterAgent: base10 });

describe("solutions at the bench", () => {
  it("the formula's own comes first with its strength and its drop, then what stands on most benches", () => {
    expect(acid).toMatchObject({
      name: "citric acid 50 % w/w solution",
      line: "citric-acid-solution-50",
      kind: "acid",
      strengthPercent: 50,
      dropGrams: 0.055,
    });
    expect(agents.filter(({ line }) => line === null).map(({ kind }) => kind)).toContain("base");
  });
});

describe("readings and doses", () => {
  it("before the first reading there is nothing to advise on", () => {
    expect(tuning([])).toMatchObject({ titration: null, rows: [], leftGrams: 498, isDosedSince: false });
  });

  it("samples leave the batch, doses come in, totals run", () => {
    const now = tuning([read(7.4), dose(0.8), read(5.9), dose(0.4)]);
    expect(now.rows.map(({ ph, totalGrams }) => [ph, totalGrams])).toEqual([
      [7.4, 0],
      [5.9, 0.8],
    ]);
    expect(now.rows[1]?.doses).toEqual([{ grams: 0.8, name: acid.name }]);
    expect(now.leftGrams).toBeCloseTo(498 - 4 + 1.2, 9);
    expect(now.isDosedSince).toBe(true);
    expect(now.titration?.batchGrams).toBe(498);
    expect(now.titration?.readings.map(({ doseGramsTotal, sampleGrams }) => [doseGramsTotal, sampleGrams])).toEqual([
      [0, 2],
      [0.8, 2],
    ]);
  });

  it("another strength counts as what it amounts to: 2 g of 20 % are 0.8 g of 50 %, a base on its own account", () => {
    const weak = agents.find(({ strengthPercent, kind }) => kind === "acid" && strengthPercent === 20) ?? acid;
    const now = tuning([read(7.4), dose(2, weak), dose(0.5, base10), read(6)]);
    expect(now.rows[1]?.totalGrams).toBeCloseTo(0.8, 9);
    expect(now.titration?.readings[1]?.counterGramsTotal).toBeCloseTo(0.5, 9);
  });

  it("a strip carries its own uncertainty, and what is weighed in between thins", () => {
    const now = tuning([read(7.4), weighed("water-distilled", 50), read(7.3, { way: "strip" })]);
    expect(now.titration?.readings[1]).toMatchObject({ otherGramsTotal: 50, phSigma: 0.25 });
  });

  it("brine that went in before it is read again thins it", () => {
    const salt = { name: "brine 20 %", line: null, strengthPercent: 20 };
    const now = tuning([read(5.2), entry({ kind: "salted", step: "salt", salt, grams: 12 }), read(5.25)]);
    expect(now.titration?.readings[1]?.otherGramsTotal).toBe(12);
    expect(now.leftGrams).toBeCloseTo(498 - 4 + 12, 9);
  });

  it("a solution whose drops were weighed in this batch is counted in those drops", () => {
    const drops = entry({ kind: "drops-weighed", agent: "citric acid 20 %", drops: 20, grams: 0.94 });
    const named = agentsOf(plan, [drops]).find(({ name }) => name === "citric acid 20 %");
    expect(named?.dropGrams).toBeCloseTo(0.047, 9);
    expect(agentsOf(plan)[1]?.dropGrams).toBeNull();
    expect(whyNot(plan, [], drops)).toBeNull();
    expect(whyNot(plan, [], { ...drops, drops: 19 } as BatchEntry)).toContain("20 drops");
  });

  it("the advisor takes it: a batch at pH 7.4 is told an acid that lands in the corridor", () => {
    const { titration, corridor } = tuning([read(7.4)]);
    if (titration === null) throw new Error("no titration");
    const advice = adviseTitration(titration);
    expect(advice.state).toBe("dose");
    expect(advice.recommend.agent).toBe("agent");
    expect(advice.recommend.grams).toBeGreaterThan(0);
    expect(advice.recommend.expectedPh).toBeGreaterThan(corridor.low - 0.1);
  });

  it("what was dosed is what the line weighs; nothing asks, and the step is done with less than was planned", () => {
    const entries = [...base500, read(7.4), dose(0.8), dose(0.4), read(5.2)];
    const line = batchState(plan, entries).lines.get("citric-acid-solution-50");
    expect(line?.actualGrams).toBeCloseTo(1.2, 9);
    expect(line?.asks).toBe(false);
    const before = plan.steps
      .slice(
        0,
        plan.steps.findIndex(({ id }) => id === step),
      )
      .map(({ id }) => entry({ kind: "done", step: id }));
    expect(whyNot(plan, [...before, ...entries], entry({ kind: "done", step }))).toBeNull();
  });

  it("a dose is waited for two minutes, and that keeps no other step waiting", () => {
    const state = batchState(plan, [dose(0.8)]);
    expect(state.waits).toMatchObject([
      { step: null, until: "2026-11-26T10:02:00.000Z", text: expect.stringContaining("0.80 g citric acid") as string },
    ]);
    expect(nextStep(state, "2026-11-26T10:00:30.000Z").waitsFor).toEqual([]);
    expect(batchState(plan, [entry({ kind: "done", step })]).waits).toEqual([]);
  });
});

describe("what cannot be", () => {
  const why = (one: BatchEntry) => whyNot(plan, [], one);
  it.each([
    [read(14), null],
    [read(14.1), "between 0 and 14"],
    [read(-0.1), "between 0 and 14"],
    [read(0), null],
    [read(6, { step: "prepare" }), "No pH is read"],
    [read(6, { sampleGrams: -1 }), "not below 0"],
    [dose(0), "more than 0 g"],
    [dose(4_000), "more than your strongest scale"],
    [weighed("citric-acid-solution-50", 2, step), "dosed by readings"],
    [entry({ kind: "calibrated", buffers: [{ bufferPh: 7, readingPh: 7 }, { bufferPh: 7, readingPh: 7 }] }), "different buffers"], // prettier-ignore
  ])("%j", (one, words) => {
    if (words === null) expect(why(one)).toBeNull();
    else expect(why(one)).toContain(words);
  });
});

describe("a target of one's own", () => {
  const target = (low: number, high: number, because?: string) =>
    entry({ kind: "ph-target", step: "ph", low, high, ...(because === undefined ? {} : { because }) });
  const { low, high } = tunedCorridor(plan);

  it("inside the corridor it needs no reason, and the advice goes there", () => {
    const own = target(low + 0.1, low + 0.3);
    expect(whyNot(plan, [], own)).toBeNull();
    expect(targetOf(plan, [own])).toEqual({ low: low + 0.1, high: low + 0.3, isEmpty: false });
    expect(targetOf(plan, [])).toEqual(tunedCorridor(plan));
  });

  it("outside it needs one, and narrower than a meter reads it is none", () => {
    expect(whyNot(plan, [], target(low, high + 0.5))).toContain("Say why");
    expect(whyNot(plan, [], target(low, high + 0.5, "for a trial"))).toBeNull();
    expect(whyNot(plan, [], target(low, low + 0.05))).toContain("at least 0.1 apart");
  });
});
