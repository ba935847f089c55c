import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { batchState } from "../../process/batch/batchState.ts";
import type { BatchEntry } from "../../process/batch/entries.ts";
import type { PlannedContainer } from "../../process/batch/fillPlan.ts";
import { fillingOf, type FillingRow } from "../../process/batch/filling.ts";
import { whyNot } from "../../process/batch/admit.ts";
import { planBatch } from "../../process/batch/planBatch.ts";
import { done, entry, weighed } from "../../testing/batchEntries.ts";
import { library, sheetOf } from "../../testing/exampleSheet.ts";
import { containerFacts, suitsThickness } from "./containerTypes.ts";
import { netVerdict, tolerableLackGrams } from "./netTolerance.ts";
import { densityByVolume, planFilling, type FillChoice } from "./planFilling.ts";
import { readyToFill } from "./readyToFill.ts";

const plan = planBatch(
  sheetOf([
    ["water-distilled", "q.s."],
    ["cocamidopropyl-betaine", 30],
  ]),
  600,
  library,
);

/** All steps through but the filling itself, one a minute. */
const madeUpToFilling: readonly BatchEntry[] = plan.steps
  .filter(({ code }) => code !== "fill")
  .map(({ id }, at) =>
    entry({ kind: "skipped", step: id, reason: "made elsewhere" }, { at: `2026-11-26T10:${String(at).padStart(2, "0")}:00.000Z` }),
  );
const closed = [
  ...madeUpToFilling,
  done(plan.steps.at(-1)!.id, "2026-11-27T09:00:00.000Z"),
  entry({ kind: "finished", yieldGrams: 580.8 }),
];

const row = (changes: Partial<PlannedContainer> = {}): PlannedContainer => ({
  ...{ id: "bottles", container: null, name: "Bottle", type: "bottle", use: "use", count: 5, grams: 103.1, tareGrams: null },
  ...changes,
});
const jars = row({ id: "jars", name: "Jar", type: "jar", use: "retained", count: 2, grams: 30.9 });
const planned = (...filling: readonly PlannedContainer[]) =>
  entry({ kind: "fill-planned", filling, density: { gramsPerMl: 1.031, source: "measured" } });
const filled = (number: number, grams: number, of = "bottles") => entry({ kind: "container-filled", row: of, number, grams });
const stands = (...entries: readonly BatchEntry[]) => fillingOf(plan, batchState(plan, entries));

describe("a filling run", () => {
  const run = [
    planned(row(), jars),
    ...[1, 2, 3, 4, 5].map((number) => filled(number, 103.1)),
    filled(1, 30.9, "jars"),
    filled(2, 30.9, "jars"),
  ];

  it("580.8 g of yield, 5 × 103.1 g and 2 × 30.9 g filled leave 3.5 g, and nothing is due", () => {
    const { toFillGrams, isYieldKnown, filledGrams, leftGrams, next } = stands(...closed, ...run);
    expect([toFillGrams, isYieldKnown, next]).toEqual([580.8, true, null]);
    expect(filledGrams).toBeCloseTo(577.3, 9);
    expect(leftGrams).toBeCloseTo(3.5, 9);
  });

  it("a spill and a bottle that was taken back change what is left and what is due", () => {
    const third = run[3]!;
    const { leftGrams, next, lostGrams } = stands(
      ...closed,
      ...run,
      entry({ kind: "fill-lost", grams: 2, text: "left in the funnel" }),
      entry({ kind: "taken-back", entry: third.id }),
    );
    expect(lostGrams).toBe(2);
    expect(leftGrams).toBeCloseTo(3.5 - 2 + 103.1, 9);
    expect([next?.row.id, next?.number]).toEqual(["bottles", 3]);
  });

  it("a container whose trial failed is due no more; a new plan keeps what was filled in the sums", () => {
    const failed = entry({ kind: "container-tried", row: "bottles", works: false, text: "too thick for the cap" });
    const { next, rows, filledGrams } = stands(...closed, planned(row(), jars), filled(1, 103.1), failed);
    expect(next?.row.id).toBe("jars");
    expect(rows[0]?.tried).toEqual({ works: false, text: "too thick for the cap" });
    const anew = stands(...closed, planned(row(), jars), filled(1, 103.1), failed, planned(jars));
    expect(anew.filledGrams).toBe(filledGrams);
    expect(anew.rows.map(({ id, count }) => [id, count])).toEqual([
      ["jars", 2],
      ["bottles", 0],
    ]);
  });

  it("what may be entered: only what is in the plan, each bottle once, and not before the batch is made", () => {
    const may = (before: readonly BatchEntry[], next: BatchEntry) => whyNot(plan, before, next);
    const ready = [...closed, planned(row(), jars)];
    expect(may(ready, filled(1, 103))).toBeNull();
    expect(may([...ready, filled(1, 103)], filled(1, 102))).toContain("Bottle 1 is filled already, with 103.0 g");
    expect(may(ready, filled(1, 103, "barrels"))).toContain("not in the plan");
    expect(may(ready, filled(1, 0))).toContain("more than 0 g");
    expect(may(ready, filled(1.5, 10))).toContain("numbered from 1");
    expect(may([planned(row())], filled(1, 103))).toContain("comes first");
    expect(may([...madeUpToFilling, planned(row())], filled(1, 103))).toBeNull();
    expect(may(ready, entry({ kind: "fill-lost", grams: 3, text: "" }))).toContain("where it went");
    expect(may(ready, entry({ kind: "container-tried", row: "jars", works: false, text: "" }))).toContain("did not work");
    expect(may(closed, planned())).toContain("at least one");
    expect(may(closed, planned(row({ count: 0 })))).toContain("how many");
    expect(may([...ready, filled(1, 103), filled(2, 103)], planned(row({ count: 1 })))).toContain("2 of Bottle are filled already");
    expect(may([entry({ kind: "discarded" })], planned(row()))).toContain("discarded");
  });

  it("mass in is mass out, whatever is filled, spilled and taken back", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 200 }), fc.boolean()), { maxLength: 30 }), (pours) => {
        const entries = pours.flatMap(([grams, isKept], at) => {
          const one = filled(at + 1, grams);
          return isKept ? [one] : [one, entry({ kind: "taken-back", entry: one.id })];
        });
        const { toFillGrams, filledGrams, lostGrams, leftGrams } = stands(...closed, planned(row({ count: 40 })), ...entries);
        expect(filledGrams + lostGrams + leftGrams).toBeCloseTo(toFillGrams, 6);
        expect(filledGrams).toBe(pours.reduce((sum, [grams, isKept]) => sum + (isKept ? grams : 0), 0));
      }),
    );
  });
});

describe("a batch in parts", () => {
  const coloured = planBatch(
    {
      ...sheetOf([
        ["water-distilled", "q.s."],
        ["cocamidopropyl-betaine", 30],
      ]),
      splits: [
        { name: "gold", sharePercent: 30, lines: [{ id: "gold", phase: "A", material: "mica", percent: 1 }] },
        { name: "plain", sharePercent: 30, lines: [] },
      ],
    },
    900,
    library,
  );
  const weighedIn: readonly BatchEntry[] = [...coloured.targets].map(([line, grams]) => weighed(line, grams));
  const of = (...entries: readonly BatchEntry[]) => fillingOf(coloured, batchState(coloured, [...weighedIn, ...entries]));

  it("270 g of each and 360 g of the base are filled by themselves, each with its own account", () => {
    const gold = row({ id: "g", part: "gold", count: 2 });
    expect(of().parts.map(({ part, toFillGrams }) => [part, Math.round(toFillGrams)])).toEqual([
      ["gold", 270],
      ["plain", 270],
      [null, 360],
    ]);
    const { parts, leftGrams } = of(planned(gold, row({ id: "p", part: "plain" })), filled(1, 103.1, "g"), filled(2, 100, "g"));
    expect(parts.map(({ filledGrams }) => filledGrams)).toEqual([expect.closeTo(203.1, 9), 0, 0]);
    expect(leftGrams).toBeCloseTo(900 - 203.1, 6);
  });

  it("a base that was made elsewhere is known by what was drawn of it", () => {
    const skipped = coloured.steps
      .filter(({ stage }) => stage !== "part")
      .map(({ id }) => entry({ kind: "skipped", step: id, reason: "made elsewhere" }));
    const { toFillGrams, parts } = fillingOf(coloured, batchState(coloured, [...skipped, weighed("gold", 2.7)]));
    expect(toFillGrams).toBeCloseTo(540, 6);
    expect(parts.map(({ part }) => part)).toEqual(["gold", "plain"]);
  });

  it("a container that was tried for one part is tried for all of them", () => {
    const of1 = { container: "c", type: "pump" } as const;
    const plan2 = planned(row({ ...of1, id: "g", part: "gold", count: 2 }), row({ ...of1, id: "p", part: "plain", count: 2 }));
    const tried = entry({ kind: "container-tried", row: "g", works: true, text: "" });
    const state = batchState(coloured, [...weighedIn, plan2, filled(1, 100, "g"), tried]);
    expect(fillingOf(coloured, state).rows.map((one) => one.tried?.works)).toEqual([true, true]);
    expect(readyToFill(coloured, state, "2026-11-28T10:00:00.000Z").filter(({ check }) => check === "trial")).toHaveLength(1);
  });
});

describe("what a filling is planned into", () => {
  const bottle: FillChoice = { container: "b", name: "Bottle", type: "bottle", nominalMl: 100, brimfulMl: 112, tareGrams: 21, pieces: 12 };
  const jar: FillChoice = { container: "j", name: "Jar", type: "jar", nominalMl: 30, brimfulMl: 34, tareGrams: null, pieces: null };

  it("581 g at 1.03 g/mL: one retained jar of 30.9 g first, then five bottles of 103 g; 35.1 g stay", () => {
    const { rows, leftGrams, lackGrams } = planFilling(581, 1.03, {
      choices: [bottle, jar],
      fixed: [{ container: "j", use: "retained", count: 1 }],
      rest: ["b"],
    });
    expect(rows.map(({ name, use, count }) => [name, use, count])).toEqual([
      ["Bottle", "use", 5],
      ["Jar", "retained", 1],
    ]);
    expect([leftGrams, lackGrams]).toEqual([expect.closeTo(35.1, 6), 0]);
  });

  it("no more are planned than stand on the shelf, the fixed ones counted", () => {
    const { rows } = planFilling(2_000, 1, {
      choices: [{ ...bottle, pieces: 7 }],
      fixed: [{ container: "b", use: "tester", count: 2 }],
      rest: ["b"],
    });
    expect(rows.map(({ use, count }) => [use, count])).toEqual([
      ["use", 5],
      ["tester", 2],
    ]);
  });

  it("says what the wanted number lacks", () => {
    const { lackGrams, leftGrams } = planFilling(150, 1, {
      choices: [bottle],
      fixed: [{ container: "b", use: "use", count: 2 }],
      rest: [],
    });
    expect([lackGrams, leftGrams]).toEqual([50, 0]);
  });

  it("planned anew, what is filled stays and counts; a kind that failed its trial gets no more, and its content is gone", () => {
    const at = { entry: "e", number: 1, grams: 103, readOff: null };
    const of = (id: string, changes: Partial<FillingRow>): FillingRow => ({
      ...{ id, container: "b", name: "Bottle", type: "bottle", use: "use", count: 5, grams: 103, tareGrams: null },
      ...{ filled: [at, { ...at, number: 2 }], tried: null },
      ...changes,
    });
    const anew = (rows: readonly FillingRow[]) =>
      planFilling(581 - 206, 1.03, { choices: [bottle, jar], fixed: [{ container: "b", use: "use", count: 3 }], rest: ["b", "j"], rows })
        .rows;
    // Three are wanted and two are filled: one more is fixed, two more fit, and the jars take what is left.
    expect(anew([of("b-use", {})]).map(({ name, count }) => [name, count])).toEqual([
      ["Bottle", 5],
      ["Jar", 2],
    ]);
    const failed = anew([of("b-use", { tried: { works: false, text: "froths" } })]);
    expect(failed.map(({ name, count }) => [name, count])).toEqual([["Jar", 12]]);
  });

  it("parts have rows of their own", () => {
    const { rows } = planFilling(290, 1, { choices: [bottle], fixed: [], rest: ["b"], part: "blue" });
    expect(rows).toMatchObject([{ id: "b-use-blue", part: "blue", count: 2 }]);
  });

  it("never plans more than there is", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5_000 }), fc.integer({ min: 40, max: 300 }), (grams, volume) => {
        const other = { ...jar, nominalMl: volume, brimfulMl: volume };
        const { rows, leftGrams } = planFilling(grams, 1.02, { choices: [bottle, other], fixed: [], rest: ["b", "j"] });
        const used = rows.reduce((sum, { count, grams: each }) => sum + count * each, 0);
        expect(used + leftGrams).toBeCloseTo(grams, 6);
        expect(leftGrams).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 40 },
    );
  });

  it("100 g of whip in 180 mL are 0.556 g/mL", () => {
    expect(densityByVolume(180)).toBeCloseTo(0.5556, 4);
  });
});

describe("how much one may lack", () => {
  it.each([
    [30, 2.7],
    [100, 4.5],
    [150, 6.75],
    [250, 9],
    [400, 12],
    [750, 15],
    [5_000, 75],
  ])("%d g may lack %d g", (nominal, lack) => {
    expect(tolerableLackGrams(nominal)).toBeCloseTo(lack, 9);
  });

  it("is told as even, within, lacking or over", () => {
    expect([103.1, 99, 95, 105].map((grams) => netVerdict(grams, 103))).toEqual(["even", "within", "lacks", "over"]);
  });
});

describe("ready to fill", () => {
  const now = "2026-11-28T10:00:00.000Z";
  const states = (...entries: readonly BatchEntry[]) =>
    Object.fromEntries(readyToFill(plan, batchState(plan, entries), now).map((one) => [one.check, one.state]));
  const fillStep = plan.steps.at(-1)!.id;
  const ph = entry({ kind: "ph-read", step: fillStep, ph: 5.2, way: "dilution", sampleGrams: 2 }, { at: "2026-11-27T09:00:00.000Z" });

  it("asks for what was not read since the rest began, and for one of each kind tried", () => {
    expect(states(...madeUpToFilling, planned(row(), jars))).toEqual({
      rest: "done",
      ph: "open",
      thickness: "open",
      clarity: "open",
      clean: "open",
      trial: "open",
    });
    const before = entry({ kind: "ph-read", step: fillStep, ph: 5.4, way: "dilution", sampleGrams: 2 }, { at: "2026-11-26T09:00:00.000Z" });
    expect(states(...madeUpToFilling, before).ph).toBe("open");
    expect(states(...madeUpToFilling, ph, entry({ kind: "fill-checked", check: "clean" }))).toMatchObject({ ph: "done", clean: "done" });
  });

  it("a wash too thick for a foaming pump is said to be so; one whose thickness nobody read is not", () => {
    const foaming = planned(row({ type: "foaming-pump", name: "Foam pump" }));
    const thick = entry(
      { kind: "thickness-read", step: fillStep, viscosity: 6, unit: "Pa·s", said: "" },
      { at: "2026-11-27T09:00:00.000Z" },
    );
    const suits = (...entries: readonly BatchEntry[]) =>
      readyToFill(plan, batchState(plan, [...madeUpToFilling, ...entries]), now).filter(({ check }) => check === "suits");
    expect(suits(foaming, thick)).toEqual([{ check: "suits", state: "open", row: "bottles", name: "Foam pump", tooThick: true }]);
    expect(suits(foaming)).toEqual([]);
    expect(suitsThickness("jar", 1)).toBe(false);
    expect(suitsThickness("bulk", 400)).toBe(true);
    expect(Object.values(containerFacts).every(({ isTriedFirst, trial }) => isTriedFirst === (trial !== ""))).toBe(true);
  });
});
