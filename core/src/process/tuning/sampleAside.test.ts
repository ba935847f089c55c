import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { adviseTitration, millimolesIn } from "../../acidity/index.ts";
import { keepBook } from "../../acidity/titration/bookkeeping.ts";
import { done, entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { whyNot } from "../batch/admit.ts";
import { batchState } from "../batch/batchState.ts";
import type { BatchEntry } from "../batch/entries.ts";
import { planBatch } from "../batch/planBatch.ts";
import { simulatedBatch } from "../simulation/simulatedBatch.ts";
import { truthAfter } from "../simulation/truth.ts";
import { agentsOf, type BenchAgent } from "./agents.ts";
import { leftInBeaker } from "./leftInBeaker.ts";
import { phTuning } from "./phTuning.ts";
import { dilutedTenfold, dosesBack, sampleOut, samplesAside } from "./sampleAside.ts";

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
const [acid] = agentsOf(plan) as readonly [BenchAgent];
const thin = dilutedTenfold(acid);

const read = (ph: number) => entry({ kind: "ph-read", step, ph, way: "dilution", sampleGrams: 2 });
const readSample = (ph: number, sampleGrams = 2) => entry({ kind: "sample-read", step, ph, way: "dilution", sampleGrams });
const take = (grams: number) => entry({ kind: "sample-taken", step, grams });
const back = (grams: number) => entry({ kind: "sample-back", step, grams });
const doseOf = ({ dropGrams: _, ...agent }: BenchAgent) => agent;
const doseSample = (grams: number) => entry({ kind: "sample-dosed", step, agent: doseOf(thin), grams });
const dose = (grams: number) => entry({ kind: "dosed", step, agent: doseOf(acid), grams });
const poured = [weighed("water-distilled", 398), weighed("cocamidopropyl-betaine", 100)];
const tuning = (entries: readonly BatchEntry[]) =>
  phTuning(plan, batchState(plan, [...poured, ...entries]), { agent: acid, counterAgent: null });
const why = (entries: readonly BatchEntry[], next: BatchEntry) => whyNot(plan, [...poured, ...entries], next);

describe("a sample that is aside", () => {
  const entries = [read(7.4), take(50), doseSample(1.5), readSample(5.6), doseSample(0.5), readSample(5.2)];

  it("holds what was taken and dosed, less what readings took: 50 + 2 − 4 = 48 g", () => {
    const out = sampleOut(entries);
    expect(out).toMatchObject({ takenGrams: 50, state: "out", contentGrams: 48 });
    expect(dosesBack(out!)).toEqual([]);
  });

  it("is titrated with one part in ten: 5 % of what is 50 % in the bottle", () => {
    expect(thin).toMatchObject({ strengthPercent: 5, dropGrams: null, line: acid.line });
    const { sample } = tuning(entries);
    expect(sample?.titration).toMatchObject({ batchGrams: 50, agent: { strengthPercent: 5 } });
    expect(sample?.titration.readings.map(({ doseGramsTotal, otherGramsTotal, ph }) => [doseGramsTotal, otherGramsTotal, ph])).toEqual([
      [0, 0, 7.4],
      [1.5, 1.5, 5.6],
      [2, 2, 5.2],
    ]);
    expect(sample?.rows.map(({ totalGrams, leftGrams }) => [totalGrams, leftGrams])).toEqual([
      [0, 50],
      [1.5, 49.5],
      [2, 48],
    ]);
  });

  it("takes its mass out of the batch with the last reading, and what is dosed then goes into what is left", () => {
    const now = tuning([...entries, dose(1.6)]);
    expect(now.leftGrams).toBeCloseTo(498 - 2 - 50 + 1.6, 9);
    expect(now.titration?.readings.at(-1)?.sampleGrams).toBe(52);
    expect(leftInBeaker(plan, [...poured, ...entries])).toBeCloseTo(446, 9);
  });

  it("begins with what the batch had been dosed already: 2 g of 50 % in 496 g are as much per kilogram in the sample", () => {
    const begun = tuning([read(7.4), dose(2), read(6), take(50), doseSample(1), readSample(5.4)]);
    const [first] = keepBook(begun.sample!.titration).stations;
    expect(first?.agentTotal).toBeCloseTo(millimolesIn(acid, 2) / 0.496, 6);
  });

  it("poured back brings its share of the acid: 24 of 48 g bring 1 g of the thin solution, 0.1 g of the line", () => {
    const all = [...entries, dose(1.6), back(24)];
    expect(dosesBack(samplesAside(all)[0]!).map(({ grams }) => grams)).toEqual([0.75, 0.25]);
    expect(batchState(plan, [...poured, ...all]).lines.get(acid.line!)?.actualGrams).toBeCloseTo(1.7, 9);
    const now = tuning(all);
    expect(now.isDosedSince).toBe(true);
    expect(now.leftGrams).toBeCloseTo(447.6 + 24, 9);
    expect(tuning([...all, read(5.3)]).titration?.readings.at(-1)).toMatchObject({ backGramsTotal: 23, otherGramsTotal: 1 });
  });

  it("lost takes its acid with it", () => {
    const all = [...entries, dose(1.6), entry({ kind: "sample-lost", step, reason: "spilt" })];
    expect(batchState(plan, [...poured, ...all]).lines.get(acid.line!)?.actualGrams).toBeCloseTo(1.6, 9);
    expect(sampleOut(all)).toBeNull();
  });

  it("a dose to the batch goes further at once once the sample has shown the way", () => {
    const { titration, sample } = tuning(entries);
    const blind = adviseTitration(titration!);
    const shown = adviseTitration(titration!, { sample: sample!.titration });
    expect(shown.recommend.grams).toBeGreaterThan(1.5 * blind.recommend.grams);
    // 2 g of 5 % in 50 g are 1.78 g of 50 % in 446 g; the middle of the corridor may ask a little more or less.
    expect(shown.recommend.grams).toBeLessThan(1.3 * 1.78);
  });
});

describe("what may follow what", () => {
  it("only after a reading, and only one at a time", () => {
    expect(why([], take(50))).toContain("Read the pH of the batch first");
    expect(why([read(7.4), dose(1)], take(50))).toContain("Read the pH of the batch first");
    expect(why([read(7.4)], take(50))).toBeNull();
    expect(why([read(7.4), take(50)], take(40))).toContain("out already");
  });

  it("a sample as large as the batch is refused with what is there", () => {
    expect(why([read(7.4)], take(496))).toContain("larger than the batch: 496.0 g are there");
    expect(why([read(7.4)], take(495))).toBeNull();
    expect(why([read(7.4)], take(0))).toContain("more than 0");
  });

  it("nothing is done to a sample that is not out, and no more comes back than it holds", () => {
    for (const next of [doseSample(1), readSample(6), back(40)]) expect(why([read(7.4)], next)).toBe("No sample is out.");
    expect(why([read(7.4), take(50)], back(52))).toContain("holds 50.0 g");
    expect(why([read(7.4), take(50), back(50)], back(50))).toBe("No sample is out.");
    expect(why([read(7.4), take(50)], readSample(6, 51))).toContain("more than the sample holds");
  });

  it("at the close it is asked for; poured back late, or said where it went, the batch closes", () => {
    const skip = (id: string) => entry({ kind: "skipped", step: id, reason: "not needed here" });
    const opened = [read(7.4), take(50)];
    const through = [...opened, ...plan.steps.map(({ id }) => (id === step ? done(id) : skip(id)))];
    const close = entry({ kind: "finished", yieldGrams: 440 });
    expect(why(through, close)).toContain("never poured back");
    expect(why(through, back(49))).toBeNull();
    expect(why([...through, back(49)], close)).toBeNull();
    expect(why(through, entry({ kind: "sample-lost", step, reason: "" }))).toContain("Say where the sample went");
    expect(why([...through, entry({ kind: "sample-lost", step, reason: "spilt" })], close)).toBeNull();
  });
});

describe("in a hidden batch", () => {
  it("a sample taken and poured back untouched changes nothing; one that was adjusted mixes by mass", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 20, max: 200 }),
        fc.integer({ min: 0, max: 3 }),
        (seed, grams, dosed) => {
          const hidden = simulatedBatch(plan, seed);
          const truth = (entries: readonly BatchEntry[]) => truthAfter(hidden, plan, [...poured, read(7), ...entries], null);
          const untouched = truth([take(grams), back(grams)]);
          expect(untouched.ph).toBeCloseTo(truth([]).ph, 6);
          expect(untouched.leftGrams).toBeCloseTo(truth([]).leftGrams, 6);
          const entries = [take(grams), doseSample(dosed + 0.5)];
          const { ph, samplePh } = truth(entries);
          expect(samplePh).toBeLessThan(ph);
          const mixed = truth([...entries, back(grams + dosed + 0.5)]);
          expect(mixed.ph).toBeLessThan(ph);
          expect(mixed.ph).toBeGreaterThan(samplePh ?? 0);
          // The same acid into the whole batch comes to the same.
          expect(mixed.ph).toBeCloseTo(truth([entry({ kind: "dosed", step, agent: doseOf(thin), grams: dosed + 0.5 })]).ph, 6);
        },
      ),
      { numRuns: 60 },
    );
  });
});
