import { describe, expect, it } from "vitest";
import { adviseTitration } from "../../acidity/index.ts";
import { entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { adviseThickening, safeMaxPercent, viscosityAt } from "../../rheology/index.ts";
import { whyNot } from "../batch/admit.ts";
import { batchState } from "../batch/batchState.ts";
import type { BatchEntry } from "../batch/entries.ts";
import { planBatch } from "../batch/planBatch.ts";
import { agentsOf, type BenchAgent } from "../tuning/agents.ts";
import { buffersInBatch, phTuning, tunedCorridor } from "../tuning/phTuning.ts";
import { aimedThickness, saltsOf, thicknessTuning } from "../tuning/thicknessTuning.ts";
import { simulatedBatch, type SimulatedBatch } from "./simulatedBatch.ts";
import { trueCurve, trueDoseGrams } from "./trueCurve.ts";
import { playedUntilTuned } from "./playedUntil.ts";
import { practiceScore } from "./practiceScore.ts";
import { alkalinityAt, truthAfter } from "./truth.ts";

const plan = planBatch(
  sheetOf([
    ["water-distilled", "q.s."],
    ["sles-2eo-28", 30],
    ["cocamidopropyl-betaine", 15],
    ["citric-acid-solution-50", 0.4],
    ["sodium-chloride", 1],
  ]),
  500,
  library,
);
const seeds = Array.from({ length: 25 }, (_, at) => at * 0.0379 + 0.011);
const corridor = tunedCorridor(plan);
const target = aimedThickness(plan);
const agents = agentsOf(plan);
const [acid] = agents as readonly [BenchAgent];
const counterAgent = agents.find(({ kind }) => kind === "base") ?? acid;
const [salt] = saltsOf(plan);
if (salt === undefined) throw new Error("no salt");
const step = (tunes: "ph" | "thickness") => plan.steps.find((one) => one.tunes === tunes)?.id ?? "";

const START = Date.parse("2026-11-27T10:00:00.000Z");
const minute = (minutes: number) => new Date(START + minutes * 60_000).toISOString();
let ids = 0;
const newId = () => `r${(ids += 1)}`;
const poured = playedUntilTuned(plan, [], { at: minute(0), newId });

const read = (ph: number, at: number) =>
  entry({ kind: "ph-read", step: step("ph"), ph, way: "dilution", sampleGrams: 2 }, { at: minute(at) });
const dose = (grams: number, at: number, agent: BenchAgent = acid) => {
  const { dropGrams: _, ...dosed } = agent;
  return entry({ kind: "dosed", step: step("ph"), agent: dosed, grams }, { at: minute(at) });
};
const thick = (viscosity: number, at: number) =>
  entry({ kind: "thickness-read", step: step("thickness"), viscosity, unit: "Pa·s", said: "" }, { at: minute(at) });
const salted = (grams: number, at: number) => entry({ kind: "salted", step: step("thickness"), salt, grams }, { at: minute(at) });

describe("what is hidden in a batch", () => {
  it("comes from its seed alone", () => {
    expect(simulatedBatch(plan, 0.4)).toEqual(simulatedBatch(plan, 0.4));
    expect(simulatedBatch(plan, 0.4)).not.toEqual(simulatedBatch(plan, 0.5));
  });

  const reaches = ({ saltCurve }: SimulatedBatch) => viscosityAt(saltCurve, safeMaxPercent(saltCurve)) > target;

  it("most bases reach what is wanted below their peak; a few hardly answer to salt, by 1.3 to 3 times", () => {
    const weak = seeds.map((seed) => simulatedBatch(plan, seed)).filter((hidden) => !reaches(hidden));
    expect(weak.length).toBeGreaterThan(0);
    expect(weak.length).toBeLessThan(seeds.length / 3);
    for (const { saltCurve } of weak) {
      expect(10 ** saltCurve.height).toBeGreaterThanOrEqual(1.3);
      expect(10 ** saltCurve.height).toBeLessThanOrEqual(3);
    }
  });

  it("sites are inside the ranges of their materials, or off by a factor of up to three", () => {
    const known = buffersInBatch(plan);
    const isIn = (seed: number) =>
      simulatedBatch(plan, seed).sites.slice(0, known.length).every(({ mmolPerKg }, at) => mmolPerKg >= known[at]!.low && mmolPerKg <= known[at]!.high); // prettier-ignore
    const inside = seeds.filter(isIn).length;
    expect(inside).toBeGreaterThan(seeds.length / 3);
    expect(inside).toBeLessThan(seeds.length);
  });

  it.each(seeds)("seed %d: the pH begins where its acid is wanted, the thickness far below what is wanted", (seed) => {
    const hidden = simulatedBatch(plan, seed);
    expect(hidden.startPh).toBeGreaterThan(corridor.high + 0.5);
    const { pascalSeconds } = truthAfter(hidden, plan, poured, null);
    expect(pascalSeconds).toBeLessThan(target / 3);
    expect(hidden.meter.slopePercent).toBeGreaterThanOrEqual(92);
  });

  it("a formula that doses a base begins below its corridor", () => {
    const sheet = sheetOf([
      ["water-distilled", "q.s."],
      ["cocamidopropyl-betaine", 20],
      ["sodium-hydroxide-solution-10", 0.3],
    ]);
    const basic = planBatch(sheet, 500, library);
    expect(simulatedBatch(basic, 0.3).startPh).toBeLessThan(tunedCorridor(basic).low - 0.5);
  });

  it("jars of the same base draw its salt curve; four do not", () => {
    const saltCurve = { peakSaltPercent: 2.4, width: 0.6, baseline: -1, height: 1.6 };
    const jars = [0.8, 1.2, 1.6, 2, 2.4, 2.8, 3.2].map((saltPercent) => {
      return { saltPercent, viscosity: viscosityAt(saltCurve, saltPercent), unit: "Pa·s" } as const;
    });
    expect(simulatedBatch(plan, 0.4, jars).saltCurve.peakSaltPercent).toBeCloseTo(2.4, 4);
    expect(simulatedBatch(plan, 0.4, jars.slice(0, 4)).saltCurve).toEqual(simulatedBatch(plan, 0.4).saltCurve);
  });

  it("what is dosed is no buffer before it is in", () => {
    const { sites } = simulatedBatch(plan, 0.0);
    expect(sites.some(({ pKa }) => pKa === 4.76)).toBe(false);
  });
});

describe("what is true after each entry", () => {
  const simple: SimulatedBatch = {
    ...{ sites: [{ pKa: 6, mmolPerKg: 20 }], startPh: 8, afterScent: 0.7, density: 1.02, meter: { offsetPh: 0, slopePercent: 100 } },
    saltCurve: { peakSaltPercent: 3, width: 0.8, height: 2, baseline: -1 },
  };

  it("one site of 20 mmol/kg and pK 6 from pH 8 to 6: half of it less what it had given, and the water's own", () => {
    // 20 × (1/(1+10⁻²) − 1/2) = 9.802 mmol/kg; water 1000 × (10⁻⁶ − 10⁻⁸ + 10⁻⁶ − 10⁻⁸) = 0.00198
    expect(alkalinityAt(simple, 8) - alkalinityAt(simple, 6)).toBeCloseTo(9.802 + 0.002, 3);
  });

  it("the true dose truly brings it there, as the balance says: strong acid, one kilogram", () => {
    const strong = { kind: "acid", molarMass: 36.46, pKas: [], strengthPercent: 10 } as const;
    // 9.804 mmol × 36.46 mg ÷ 10 % = 3.575 g
    expect(trueDoseGrams(simple, strong, { batchGrams: 1000, ph: 6 })).toBeCloseTo(3.575, 2);
    const grams = trueDoseGrams(simple, strong, { batchGrams: 500, ph: 6 });
    const agent = { ...strong, name: "acid", line: null };
    const dosed = [weighed("water-distilled", 500), entry({ kind: "dosed", step: step("ph"), agent, grams })];
    expect(truthAfter(simple, plan, dosed, null).ph).toBeCloseTo(6, 1);
  });

  it("a dose is not stirred in at once: right after it nothing has moved, after two minutes nearly all", () => {
    const entries = [...poured, read(8, 1), dose(1, 2)];
    const before = truthAfter(simple, plan, entries.slice(0, -1), null).ph;
    const after = truthAfter(simple, plan, entries, null).ph;
    expect(truthAfter(simple, plan, entries, minute(2)).ph).toBeCloseTo(before, 1);
    expect(Math.abs(truthAfter(simple, plan, entries, minute(4)).ph - after)).toBeLessThan(Math.abs(before - after) * 0.06);
  });

  it("salt counts with what is hidden, samples leave, scent thins", () => {
    const begun = truthAfter(simple, plan, poured, null);
    const more = truthAfter(simple, plan, [...poured, salted(5, 1)], null);
    const left = begun.leftGrams;
    expect(more.saltPercent).toBeCloseTo((begun.saltPercent * left + 100 * 5 * (salt.strengthPercent / 100)) / (left + 5), 9);
    expect(more.pascalSeconds).toBeGreaterThan(begun.pascalSeconds);
    expect(truthAfter(simple, plan, [...poured, read(7, 1)], null).leftGrams).toBeCloseTo(left - 2, 9);
  });

  it("a scent that comes after the first reading of the thickness thins, one from before does not", () => {
    const lines = [["water-distilled", "q.s."], ["sles-2eo-28", 30], ["cocamidopropyl-betaine", 15], ["sodium-chloride", 1], ["fragrance-oil", 0.5]] as const; // prettier-ignore
    const scented = planBatch(sheetOf(lines), 500, library);
    const scent = weighed("fragrance-oil", 2.5);
    const base = [weighed("water-distilled", 270), weighed("sles-2eo-28", 150), weighed("cocamidopropyl-betaine", 75)];
    const seen = thick(1, 5);
    const [early, late] = [
      [...base, scent, seen],
      [...base, seen, scent],
    ].map((entries) => truthAfter(simple, scented, entries, null));
    expect((late?.pascalSeconds ?? 0) / (early?.pascalSeconds ?? 1)).toBeCloseTo(0.7, 1);
  });

  it("the true curve falls from the first pH and grows in grams", () => {
    const curve = trueCurve(simple, acid, { batchGrams: 500, toPh: 5 });
    expect(curve[0]).toEqual({ ph: 8, grams: 0 });
    for (let at = 1; at < curve.length; at += 1) expect(curve[at]!.grams).toBeGreaterThan(curve[at - 1]!.grams);
  });
});

describe("pouring it all", () => {
  it("brings every line of the steps before the pH in as planned, each entry one the bench would take", () => {
    const state = batchState(plan, poured);
    expect(state.lines.get("sles-2eo-28")?.actualGrams).toBeCloseTo(150, 6);
    expect(state.steps.find(({ state: is }) => is === "open")?.step.tunes).toBe("ph");
    poured.forEach((one, at) => expect(whyNot(plan, poured.slice(0, at), one)).toBeNull());
  });

  it("at a step that is tuned it plays nothing", () => {
    expect(playedUntilTuned(plan, poured, { at: minute(0), newId })).toEqual([]);
  });
});

/** Makes a hidden batch as the advisors say, with true readings. */
function advised(hidden: SimulatedBatch): readonly BatchEntry[] {
  const entries: BatchEntry[] = [...poured];
  let at = 0;
  for (let round = 0; round < 12; round += 1) {
    entries.push(read(Number(truthAfter(hidden, plan, entries, null).ph.toFixed(2)), (at += 1)));
    const { titration } = phTuning(plan, batchState(plan, entries), { agent: acid, counterAgent });
    if (titration === null) throw new Error("no titration");
    const { state, recommend } = adviseTitration(titration);
    if (state === "in-target" || recommend.grams <= 0) break;
    entries.push(dose(recommend.grams, (at += 1), recommend.agent === "agent" ? acid : counterAgent));
    at += 2;
  }
  entries.push(entry({ kind: "done", step: step("ph") }, { at: minute(at) }));
  entries.push(...playedUntilTuned(plan, entries, { at: minute(at), newId }));
  for (let round = 0; round < 12; round += 1) {
    entries.push(thick(truthAfter(hidden, plan, entries, null).pascalSeconds, (at += 1)));
    const { thickening } = thicknessTuning(plan, batchState(plan, entries), { salt: salt!, wanted: target });
    if (thickening === null) throw new Error("no thickening");
    const { state, recommend } = adviseThickening(thickening);
    if (state !== "add" || recommend.grams <= 0) break;
    entries.push(salted(recommend.grams, (at += 1)));
    at += 8;
  }
  return entries;
}

describe("the score", () => {
  it.each(seeds.slice(0, 6))("seed %d: who follows the advice overshoots nothing, stays below the peak and scores well", (seed) => {
    const hidden = simulatedBatch(plan, seed);
    const score = practiceScore(hidden, plan, advised(hidden));
    const part = (what: string) => score.parts.find((one) => one.what === what);
    expect(part("overshoot")?.measured).toBe(0);
    expect(part("pastPeak")?.measured).toBe(0);
    expect(part("ph")?.points).toBeCloseTo(30, 6);
    expect(score.points).toBeGreaterThanOrEqual(75);
    expect(score.earlyReadings).toBe(0);
  });

  it("its parts sum to the points, and all that can be had is 100", () => {
    const { parts, points } = practiceScore(simulatedBatch(plan, 0.2), plan, [...poured, read(8, 1), dose(0.3, 2), read(7, 3)]);
    expect(parts.reduce((sum, { of }) => sum + of, 0)).toBeCloseTo(100, 9);
    expect(points).toBe(Math.round(parts.reduce((sum, one) => sum + one.points, 0)));
  });

  it("who doses nothing gets nothing for care; who tunes the pH alone gets nothing for the salt and the time", () => {
    const hidden = simulatedBatch(plan, 0.2);
    const pointsOf = (entries: readonly BatchEntry[]) =>
      Object.fromEntries(practiceScore(hidden, plan, [...poured, ...entries]).parts.map(({ what, points }) => [what, points]));
    // It begins more than half a pH outside and less than half as thick as wanted.
    expect(pointsOf([read(8, 1)])).toEqual({ ph: 0, overshoot: 0, doses: 0, thickness: 0, pastPeak: 0, time: 0 });
    expect(pointsOf([read(8, 1), dose(0.3, 2)])).toMatchObject({ overshoot: 20, doses: 10, pastPeak: 0, time: 0 });
    expect(pointsOf([read(8, 1), dose(0.3, 2), salted(0.1, 8)])).toMatchObject({ pastPeak: 10, time: 10 });
  });

  it("a base that hardly answers is judged by how thick salt can safely bring it, and no base by more than what is wanted", () => {
    const hidden = { ...simulatedBatch(plan, 0.2), saltCurve: { peakSaltPercent: 2.4, width: 0.6, baseline: -1, height: 0.3 } };
    const start = truthAfter(hidden, plan, poured, null).saltPercent;
    const left = truthAfter(hidden, plan, poured, null).leftGrams;
    const grams = (left * (safeMaxPercent(hidden.saltCurve) - start)) / (100 - safeMaxPercent(hidden.saltCurve));
    const score = practiceScore(hidden, plan, [...poured, salted(grams, 2)]);
    // 10^(−1 + 0.3 e^(−1 ⁄ 18)) = 0.192 Pa·s
    expect(score.wantedPascalSeconds).toBeCloseTo(0.192, 3);
    expect(score.parts.find(({ what }) => what === "thickness")?.points).toBeCloseTo(20, 6);
    expect(practiceScore(simulatedBatch(plan, 0.2), plan, poured).wantedPascalSeconds).toBeLessThanOrEqual(target);
  });

  it("a bath of acid overshoots and loses those points, and reading it at once is counted", () => {
    const hidden = simulatedBatch(plan, 0.2);
    const score = practiceScore(hidden, plan, [...poured, read(8, 1), dose(60, 2), read(3, 2.2)]);
    const overshoot = score.parts.find(({ what }) => what === "overshoot");
    expect(overshoot?.measured).toBeGreaterThan(0.5);
    expect(overshoot?.points).toBe(0);
    expect(score.earlyReadings).toBe(1);
  });

  it("too much salt passes the peak; hours spent reading cost the time, a night in between does not", () => {
    const hidden = simulatedBatch(plan, 0.2);
    const score = practiceScore(hidden, plan, [...poured, thick(0.2, 1), salted(30, 2), thick(0.1, 42), thick(0.1, 82), thick(0.1, 1000)]);
    const part = (what: string) => score.parts.find((one) => one.what === what);
    expect(part("pastPeak")?.points).toBe(0);
    expect(part("time")?.points).toBe(0);
    // 1 + 40 + 40 minutes, and of the night no more than 60.
    expect(score.minutes).toBeCloseTo(141, 9);
  });

  it("a formula without salt is judged on its pH alone, to 100", () => {
    const plain = planBatch(sheetOf([["water-distilled", "q.s."], ["cocamidopropyl-betaine", 20], ["citric-acid-solution-50", 0.4]]), 500, library); // prettier-ignore
    const { parts } = practiceScore(simulatedBatch(plain, 0.2), plain, []);
    expect(parts.map(({ what }) => what)).toEqual(["ph", "overshoot", "doses", "time"]);
    expect(parts.reduce((sum, { of }) => sum + of, 0)).toBeCloseTo(100, 9);
  });
});
